/** What tests of the interface share: our theme, people, a job's store that folds as the real one does. */
import { readFileSync } from 'node:fs';
import { ChakraProvider } from '@chakra-ui/react';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactNode } from 'react';
import type { WriteOrder } from '@/api/contract';
import { stageOf, type Control } from '@/core/equipment/catalogue';
import { parameterAt, shownAs } from '@/core/equipment/drive-words';
import { controlSchema, driveTypeSchema } from '@/core/equipment/catalogue/schema';
import { fold, newestVersion, type Entry, type EntryKind, type Payload, type Person } from '@/core/logbook';
import { ines, knownSources, odo, pip } from '@/core/logbook/__tests__/job';
import { greatestLimits, proofSteps, sourceKinds } from '@/core/bench/make-safe';
import type { Stage } from '@/core/equipment/power-stage';
import type { JobStore } from '../job-store/use-job';
import { quiet } from '../job-store/__tests__/quiet';
import { system } from '../kit/theme';

export const show = (children: ReactNode) =>
  render(<ChakraProvider value={system}>{children}</ChakraProvider>);

export const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
/** Opens a panel of a row of tabs. */
export const openTab = (name: string) => userEvent.click(screen.getByRole('tab', { name }));
/** One of a group of answers. */
export const choose = (group: string, answer: string | RegExp) =>
  userEvent.click(within(screen.getByRole('group', { name: group })).getByRole('radio', { name: answer }));
export const tick = (name: string | RegExp) => userEvent.click(screen.getByRole('checkbox', { name }));
/** Text at once, as pasted: a whole screen is drawn anew once, not with each letter. */
export async function fillField(field: Element, text: string): Promise<void> {
  await userEvent.click(field);
  await userEvent.paste(text);
}
export const fill = (label: string | RegExp, text: string) => fillField(screen.getByLabelText(label), text);
/** Letter by letter, with keys like {Enter}. */
export const type = (label: string | RegExp, text: string) =>
  userEvent.type(screen.getByLabelText(label), text);

export { ines, odo, pip };

const readJson = (...path: string[]): unknown => JSON.parse(readFileSync(path.join('/'), 'utf8'));
export const testControl = (type: string) => controlSchema.parse(readJson('catalogue', type, 'control.json'));
export const typeOf = (type: string) => driveTypeSchema.parse(readJson('catalogue', type, 'type.json'));

export type RecordedEntry = { [K in EntryKind]: [kind: K, payload: Payload<K>] }[EntryKind];

let made = 0;
export function entryOf([kind, payload]: RecordedEntry, by: Person = ines): Entry {
  made += 1;
  const at = new Date(Date.UTC(2026, 10, 20, 13) + made * 5000).toISOString();
  const id = `0190b000-0000-7000-8000-${String(made).padStart(12, '0')}`;
  return {
    v: newestVersion,
    id,
    jobId: 'j',
    at,
    receivedAt: at,
    seq: made,
    kind,
    payload,
    by,
  } as unknown as Entry;
}

/**
 * A face with a store of its own; what it records is folded, and told to `log`.
 * @param server what a server records by itself, for the store to catch up with
 */
export function WithStore({
  said = [],
  log,
  server,
  person = ines,
  children,
}: {
  said?: readonly RecordedEntry[];
  log?: RecordedEntry[];
  server?: Entry[];
  person?: Person;
  children: (store: JobStore) => ReactNode;
}) {
  const [entries, setEntries] = useState(() => said.map((s) => entryOf(s, person)));
  // It is as late as the newest entry: what was proven a moment ago holds.
  const [clockOffset_ms] = useState(() => Date.parse(entries.at(-1)?.at ?? '') - Date.now() || 0);
  const store: JobStore = {
    state: fold(entries, { limits: greatestLimits }),
    ...quiet,
    clockOffset_ms,
    catchUp: () => {
      const fresh = server?.splice(0) ?? [];
      log?.push(...fresh.map(({ kind, payload }) => [kind, payload] as unknown as RecordedEntry));
      setEntries((list) => [...list, ...fresh]);
      return Promise.resolve();
    },
    record: (kind, payload, corrects) => {
      const one = [kind, payload] as unknown as RecordedEntry;
      const entry = { ...entryOf(one, person), ...(corrects === undefined ? {} : { corrects }) };
      log?.push(one);
      setEntries((list) => [...list, entry]);
      return entry.id;
    },
  };
  return children(store);
}

const whimbrel = typeOf('whimbrel-w4');
const w415 = whimbrel.models.find((m) => m.type === 'W4-15');
if (w415 === undefined) throw new Error('the catalogue has no W4-15');
export const winchDrive: Payload<'identify.drive'> = {
  typeId: whimbrel.id,
  maker: whimbrel.maker,
  type: w415.type,
  serial: '40-1187',
  supply_V: whimbrel.supply_V,
  phases: whimbrel.phases,
  ratedAmps: w415.ratedAmps,
  labelWait_min: whimbrel.labelWait_min,
  drawingOnlySimilar: false,
  stage: stageOf(whimbrel, w415),
  strip: whimbrel.strip,
  photos: [],
};
/** The drive that was identified before is proven dead: each entry comes five seconds after the last. */
export function provenDead(stage: Stage): RecordedEntry[] {
  const minute = Array.from({ length: 12 }, (): RecordedEntry => [
    'note.added',
    { stage: 'make-safe', text: 'waiting', photos: [] },
  ]);
  return [
    ['safety.sources', { sources: sourceKinds.map((kind) => ({ kind, state: 'absent' })) }],
    ['safety.locked', { isolatedAt: '2026-11-20T12:00:00.000Z', tag: 'padlock 7' }],
    ['safety.meter-proof', { when: 'before', ...knownSources }],
    ...proofSteps(stage).flatMap(({ point, quantity }): RecordedEntry[] => [
      ...(point.id === 'bank-again' ? minute : []),
      ['safety.figure', { point: point.id, quantity, volts: 0.1 }],
    ]),
    ['safety.meter-proof', { when: 'after', ...knownSources }],
  ];
}

export const winchMotor: Payload<'identify.motor'> = {
  plate: { power: { value: 7.5, unit: 'kW' }, volts: 400, amps: 14.8, hz: 50, rpm: 1455, cosPhi: 0.84 },
  photos: [],
};

/** What a server records of a write to a drive, and answers; null: it dies before it can answer. */
export type WriteOutcome =
  { found: number; kept?: boolean; lockOpen?: boolean } | { refused: string; certain: boolean } | null;

/** A server that writes to drives of a type. @returns what it answers, for `answering` */
export const serverThatWrites =
  (control: Control, server: Entry[], outcome: (to: number) => WriteOutcome) =>
  ({ body }: SentRequest): { status?: number; body: unknown } | null => {
    const { id, jobId: _job, confirmed: _yes, ...order } = body as WriteOrder;
    const parameter = parameterAt(control, order.number);
    if (parameter === undefined) throw new Error(`no entry ${order.number}`);
    const { name } = parameter;
    const shown = { shownFrom: shownAs(parameter, order.from), shownTo: shownAs(parameter, order.to) };
    const said = { mayMove: 'it may start', runOpen: true, peopleClear: true } as const;
    const asked = { ...order, ...shown, ...said, name, typeId: 'whimbrel-w4' };
    server.push({ ...entryOf(['drive.write-asked', asked]), id });
    const became = outcome(order.to);
    if (became === null) return null;
    if ('refused' in became) {
      const { refused: why, certain } = became;
      server.push(entryOf(['drive.write-failed', { asked: id, why, certain }]));
      return { status: 409, body: { error: why, certain, problems: [] } };
    }
    server.push(entryOf(['drive.write-done', { asked: id, found: became.found }]));
    return { body: { kept: true, lockOpen: false, ...became } };
  };

export interface SentRequest {
  url: string;
  method: string;
  body: unknown;
}

/** A server that answers as told; what was asked of it is kept. */
export function answering(
  answer: (asked: SentRequest) => { status?: number; body: unknown } | null,
): SentRequest[] {
  const asked: SentRequest[] = [];
  globalThis.fetch = (url: unknown, init: RequestInit = {}) => {
    const one: SentRequest = {
      url: String(url),
      method: init.method ?? 'GET',
      body: typeof init.body === 'string' ? JSON.parse(init.body) : null,
    };
    asked.push(one);
    const said = answer(one);
    if (said === null) return Promise.reject(new Error('no network'));
    const { status = 200, body } = said;
    return Promise.resolve({
      ok: status < 400,
      status,
      headers: new Headers(),
      json: () => Promise.resolve(body),
    } as Response);
  };
  return asked;
}
