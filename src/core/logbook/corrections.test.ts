/** What a correction may do, and what nobody can take out of a log with one. */
import fc from 'fast-check';
import { greatestLimits } from '../bench/make-safe';
import {
  extend,
  fold,
  mustStayDead,
  openJumpers,
  openTrials,
  powerLock,
  type JobState,
  type Payload,
} from '.';
import type { EntryKind } from './payloads';
import { ines, job, odo, pip, planned, proven } from './__tests__/job';

const context = { limits: greatestLimits };
const stateOf = (j: ReturnType<typeof job>) => fold(j.entries, context);
const lastVoid = (j: ReturnType<typeof job>) => stateOf(j).log.at(-1)?.void;

const jumper: Payload<'jumper.set'> = {
  form: 'jumper',
  where: 'X3',
  guards: 'remote-enable',
  plant: 'existing',
  landed: 'yes',
  motorConnected: false,
  reason: 'test',
  approver: 'Odo Wrack',
  removeBy: '2026-12-01',
};
const noted = (j: ReturnType<typeof job>) => stateOf(j).notes.map((n) => n.payload.text);
const note = (text: string): Payload<'note.added'> => ({ stage: 'take', text, photos: [] });
const reading = (value: number): Payload<'static.reading'> => ({
  red: 'L1',
  black: 'DC+',
  value,
  typed: String(value),
});

describe('a correction', () => {
  it('stands in the place of what it corrects, and may be corrected itself', () => {
    const j = proven();
    const first = j.add('static.reading', reading(4.5));
    const second = j.add('static.reading', reading(0.54), { corrects: first });
    const third = j.add('static.reading', reading(0.45), { corrects: second });
    const { readings, log } = stateOf(j);
    expect(readings.map((r) => r.value)).toEqual([0.45]);
    expect(log.slice(-3).map((l) => l.correctedBy)).toEqual([second, third, null]);
  });

  it('is the author’s or the lead’s', () => {
    const j = proven();
    const mine = j.add('note.added', note('right'));
    j.add('note.added', note('wrong'), { by: pip, corrects: mine });
    expect(lastVoid(j)).toBe('Only Ines Tarrow or the lead can correct this.');
    expect(noted(j)).toEqual(['right']);
    j.add('note.added', note('better'), { by: odo, corrects: mine });
    expect(noted(j)).toEqual(['better']);
  });

  it('is of the same kind, once, and of something that came before it', () => {
    const j = proven();
    const target = j.add('note.added', note('one'));
    j.add('question.opened', { text: 'two' }, { corrects: target });
    expect(lastVoid(j)).toMatch(/same kind/);
    j.add('note.added', note('three'), { corrects: target });
    j.add('note.added', note('four'), { corrects: target });
    expect(lastVoid(j)).toMatch(/corrected before/);
    expect(noted(j)).toEqual(['three']);
  });

  it('of each other: the later one counts, and neither vanishes', () => {
    const j = proven();
    const second = `0190b000-0000-7000-8000-${String(j.entries.length + 1).padStart(12, '0')}`;
    const first = j.add('note.added', note('first'), { corrects: second });
    j.add('note.added', note('second'), { corrects: first });
    expect(noted(j)).toEqual(['second']);
    j.add('note.added', note('alone'), { corrects: 'nothing here' });
    expect(lastVoid(j)).toMatch(/not an earlier entry/);
  });

  it('that does not count leaves what it was to correct', () => {
    const j = proven();
    const kept = j.add('static.reading', reading(0.45));
    j.add('safety.source-back', { kind: 'mains' });
    // The drive is not proven dead any more: the new reading does not count, so the old one does.
    j.add('static.reading', reading(0.54), { corrects: kept });
    expect(lastVoid(j)).not.toBeNull();
    expect(stateOf(j).readings.map((r) => r.value)).toEqual([0.45]);
  });

  it.each<[string, (j: ReturnType<typeof job>) => string, (s: JobState) => unknown]>([
    ['switched on', (j) => j.add('power.on', { through: 'supply' }), (s) => s.power.onAt !== null],
    ['a jumper', (j) => j.add('jumper.set', jumper), (s) => openJumpers(s.registers).length],
    [
      'a source that came back',
      (j) => j.add('safety.source-back', { kind: 'mains' }),
      (s) => s.safety.lapsed !== null,
    ],
  ])('never takes back %s, whoever tries', (_, happen, seen) => {
    const j = planned();
    const id = happen(j);
    const before = seen(stateOf(j));
    const { kind, payload } = j.entries.at(-1) ?? {};
    expect(before).toBeTruthy();
    for (const by of [ines, odo, pip]) {
      j.add(kind as 'power.on', payload as Payload<'power.on'>, { by, corrects: id });
      expect(lastVoid(j)).toMatch(/cannot be corrected/);
    }
    expect(seen(stateOf(j))).toEqual(before);
  });
});

/** What must not go by an apprentice's word: each a line of its own. */
const hazards = (state: JobState): string[] => [
  ...mustStayDead(state).map((sign) => `sign ${sign}`),
  ...openJumpers(state.registers).map((j) => `jumper ${j.id}`),
  ...openTrials(state.registers).map((w) => `trial ${w.id}`),
  ...(state.power.onAt === null ? [] : ['switched on']),
  ...(state.asFound === null ? [] : [`as found ${JSON.stringify(state.asFound)}`]),
];

const trial = {
  ...{ target: 't', typeId: 'whimbrel-w4', number: 'P1', name: 'Ramp', from: 5, to: 9 },
  ...{ shownFrom: '5', shownTo: '9', reason: 'try', trial: true, mayMove: 'nothing' },
  ...{ runOpen: true as const, peopleClear: true as const },
};

/** A job with every hazard there is in it, by technicians. */
function dangerous() {
  const j = planned();
  j.add('take.call', { signs: ['bang'] });
  j.add('as-found.captured', { family: 'ground', slots: [], photos: [] });
  j.add('look.finding', { item: 'soot', state: 'found', photos: [] });
  // A jumper takes the signature off, without which nothing is switched on.
  j.add('power.on', { through: 'lamps' });
  const set = j.add('jumper.set', jumper);
  const asked = j.add('drive.write-asked', trial);
  j.add('drive.write-done', { asked, found: 9 });
  return { j, set, asked };
}

type Attack = { [K in EntryKind]: [K, Payload<K>] }[EntryKind];

/** Whatever an apprentice may think of. */
const attacks = ({ set, asked }: ReturnType<typeof dangerous>): Attack[] => [
  ['take.call', { signs: [] }],
  ['as-found.captured', { family: 'none', slots: [], photos: [] }],
  ['as-found.impossible', { reason: 'no display' }],
  ['look.finding', { item: 'soot', state: 'clear', photos: [] }],
  ['look.finding', { item: 'soot', state: 'not-checked', photos: [] }],
  ['jumper.removed', { jumper: set, how: 'gone' }],
  ['jumper.set', jumper],
  ['drive.write-asked', { ...trial, restores: asked }],
  ['drive.write-done', { asked, found: 5 }],
  ['drive.write-failed', { asked, why: 'no', certain: true }],
  ['trial.kept', { asked, reason: 'fine' }],
  ['power.off', {}],
  ['power.on', { through: 'lamps' }],
  ['static.retake', { reason: 'again' }],
  ['safety.source-back', { kind: 'mains' }],
  ['note.added', note('x')],
];

it('no sequence of entries by an apprentice removes a hazard or a jumper', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ what: fc.nat({ max: 15 }), corrects: fc.option(fc.nat({ max: 60 })) }), {
        maxLength: 25,
      }),
      (steps) => {
        const start = dangerous();
        const { j } = start;
        const before = hazards(stateOf(j));
        const all = attacks(start);
        for (const { what, corrects } of steps) {
          const [kind, payload] = all[what] as ['power.off', Payload<'power.off'>];
          const target = corrects === null ? undefined : j.entries[corrects]?.id;
          j.add(kind, payload, { by: pip, ...(target === undefined ? {} : { corrects: target }) });
        }
        const after = hazards(stateOf(j));
        expect(before.filter((hazard) => !after.includes(hazard))).toEqual([]);
      },
    ),
    { seed: 20261130, numRuns: 200 },
  );
});

it('what was kept under other limits is judged by those, whatever is in force now', () => {
  const j = proven({ bank_V: 4 });
  const kept = j.entries.map((e) => ({ ...e, limits: greatestLimits }));
  const strict = { limits: { hands_V: 2, test_V: 1 } };
  const read = { ...kept[0]!, id: 'r', kind: 'static.reading' as const, payload: reading(0.45) };
  const taken = { ...read, seq: kept.length + 1, receivedAt: new Date(j.now() + 1000).toISOString() };
  expect(fold([...kept, taken], strict).readings).toHaveLength(1);
  expect(fold([...kept, { ...taken, limits: strict.limits }], strict).readings).toHaveLength(0);
});

it('entries that wait are put on top of what is kept, without folding it again', () => {
  const j = proven();
  const kept = fold(j.entries, context);
  const { seq: _seq, receivedAt: _at, ...waiting } = { ...j.entries.at(-1)!, id: 'z' };
  const shown = extend(kept, [waiting], context);
  expect(shown.log).toHaveLength(kept.log.length + 1);
  expect(shown.log[0]).toBe(kept.log[0]);
  expect(shown.seq).toBe(kept.seq);
});

describe('a signature', () => {
  const signing = { verdict: 'not-shorted' as const, headline: 'x', detail: '', seq: 0 };
  const with_ = (j: ReturnType<typeof job>, more: object) =>
    fold([...j.entries.slice(0, -1), { ...j.entries.at(-1)!, ...more }], context);

  it('counts only once the server has it: nothing is switched on because of a page alone', () => {
    const j = proven();
    j.add('sheet.signed', signing);
    expect(powerLock(with_(j, { seq: undefined, receivedAt: undefined }))).toMatch(
      /signed as not shorted first/,
    );
    expect(powerLock(with_(j, { verified: { verdict: 'not-shorted' } }))).toBeNull();
  });

  it('says what the server found in the readings, whatever the page said', () => {
    const j = proven();
    j.add('sheet.signed', signing);
    const forged = with_(j, { verified: { verdict: 'faulty' } });
    expect(forged.log.at(-1)?.void).toMatch(/lead to “faulty”, and “not shorted” was to be signed/);
    expect(powerLock(forged)).toMatch(/signed as not shorted first/);
  });

  it('under a start-up or a hand-over answers for every issue that the server found', () => {
    const open = [{ id: 'step:x', text: 'A step is open.', mayWait: true }];
    const j = proven();
    j.add('job.signed-off', { second: 'Odo Wrack', secondIs: '', open: [], seq: 0 });
    expect(with_(j, { verified: { openIssues: open } }).log.at(-1)?.void).toBe('A step is open.');
    expect(with_(j, { verified: { openIssues: [] } }).swap.signedOff).not.toBeNull();
    const k = proven();
    k.add('startup.signed', { seq: 0, entries: 1, against: [] });
    expect(with_(k, { verified: { openIssues: open } }).log.at(-1)?.void).toBe('A step is open.');
    const named = { until: '2030-01-01', approver: 'Odo Wrack', open: [{ id: 'step:x', text: '' }] };
    const agreed = { payload: { seq: 0, entries: 1, against: [], mayRun: named } };
    expect(with_(k, { ...agreed, verified: { openIssues: open } }).startUp.signed).not.toBeNull();
    const never = [{ ...open[0]!, mayWait: false }];
    expect(with_(k, { ...agreed, verified: { openIssues: never } }).startUp.signed).toBeNull();
  });
});

it('an edit that did not see another one shows both: it names the version that it began from', () => {
  const j = proven();
  const call = (doing: string): Payload<'take.call'> => ({ doing, signs: [] });
  const first = j.add('take.call', call('starting'), { by: odo });
  const { length } = j.entries;
  const unseenOf = (seen: number | undefined, by = ines) => {
    j.entries.length = length;
    j.add('take.call', call('stopping'), { by });
    j.entries[length] = { ...j.entries[length]!, ...(seen === undefined ? {} : { seen }) };
    return stateOf(j).log.at(-1)?.unseen?.id ?? null;
  };
  expect(unseenOf(length - 1)).toBe(first);
  expect(unseenOf(length)).toBeNull();
  expect(unseenOf(undefined)).toBeNull();
  expect(unseenOf(0, odo)).toBeNull();
});
