/** A job under way, for tests: every call appends an entry some seconds after the last. */
import { proofSteps, sourceKinds } from '../../bench/make-safe';
import { stage } from '../../equipment/power-stage';
import type { Entry, Person } from '../entry';
import type { EntryKind, Payload } from '../payloads';
import { newestVersion } from '../version';

export const ines: Person = {
  id: '0190a000-0000-7000-8000-000000000001',
  name: 'Ines Tarrow',
  role: 'technician',
};
export const odo: Person = { id: '0190a000-0000-7000-8000-000000000002', name: 'Odo Wrack', role: 'lead' };
export const pip: Person = {
  id: '0190a000-0000-7000-8000-000000000003',
  name: 'Pip Sallow',
  role: 'apprentice',
};
export const start = Date.parse('2026-11-20T13:00:00Z');
export const testStage = stage({ brake: true, link: 'link' });

export const testDrive: Payload<'identify.drive'> = {
  typeId: 'whimbrel-w4',
  maker: 'Whimbrel',
  type: 'W4-15',
  serial: '40-1187',
  supply_V: 400,
  phases: 3,
  ratedAmps: 15,
  labelWait_min: 5,
  drawingOnlySimilar: false,
  stage: testStage,
  strip: [
    { mark: 'P', terminal: 'DC+' },
    { mark: 'N', terminal: 'DC-' },
  ],
  photos: [],
};

export const opening: Payload<'job.opened'> = {
  assetId: '0190a100-0000-7000-8000-000000000001',
  site: 'Pellow Quay',
  machine: 'Slipway winch',
  complaint: 'dead since the surge',
  stoppedAt: new Date(start).toISOString(),
  downtimeAllowed_min: 240,
  peopleInDanger: 'no',
  loadSuspended: 'no',
  bypass: 'no',
};

export interface Options {
  by?: Person;
  after?: number;
  corrects?: string;
}

export function job() {
  const entries: Entry[] = [];
  let seconds = 0;
  const add = <K extends EntryKind>(
    kind: K,
    payload: Payload<K>,
    { by = ines, after = 5, corrects }: Options = {},
  ) => {
    seconds += after;
    const at = new Date(start + seconds * 1000).toISOString();
    const id = `0190b000-0000-7000-8000-${String(entries.length).padStart(12, '0')}`;
    const made = {
      v: newestVersion,
      id,
      jobId: 'j',
      at,
      receivedAt: at,
      seq: entries.length + 1,
      kind,
      payload,
      by,
    };
    entries.push({ ...made, ...(corrects === undefined ? {} : { corrects }) } as unknown as Entry);
    return id;
  };
  return { entries, add, now: () => start + seconds * 1000 };
}

/** Proven dead, signed as not shorted, and first power planned. */
export function planned() {
  const j = proven();
  j.add('sheet.signed', { verdict: 'not-shorted', headline: 'x', detail: '', seq: 0 });
  const way = { by: 'lamps' as const, watts: 100 };
  j.add('power.planned', { way, expected_V: 501, stopBelow_V: 426, stopAfter_s: 4 });
  return j;
}

/** What proves the meter. */
export const knownSources = {
  dc: { source: 'proving unit', volts: 240 },
  ac: { source: 'socket', volts: 231 },
};

/** The drive identified and proven dead, with these bank volts. */
export function proven({ bank_V = 3.1, by = ines } = {}) {
  const j = job();
  j.add('job.opened', opening, { by });
  j.add('identify.drive', testDrive, { by });
  const sources = sourceKinds.map((kind) => ({
    kind,
    state: kind === 'mains' ? ('isolated' as const) : ('absent' as const),
  }));
  j.add('safety.sources', { sources }, { by });
  j.add('safety.locked', { isolatedAt: new Date(start).toISOString(), tag: 'padlock 7' }, { by });
  j.add('safety.meter-proof', { when: 'before', ...knownSources }, { by, after: 300 });
  for (const { point, quantity } of proofSteps(testStage)) {
    const volts = point.id.startsWith('bank') && quantity === 'dc' ? bank_V : 0.1;
    j.add(
      'safety.figure',
      { point: point.id, quantity, volts },
      { by, after: point.id === 'bank-again' ? 61 : 5 },
    );
  }
  j.add('safety.meter-proof', { when: 'after', ...knownSources }, { by });
  return j;
}
