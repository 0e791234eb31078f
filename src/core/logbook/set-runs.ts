import type { Ending, LeftOver } from '../parameter-sets/write-run';
import type { KeptSet } from './sets';
import { timeOf, type Entry, type Person } from './entry';

/** A run of writes, as the log tells it. */
export interface SetRun {
  id: string;
  set: string;
  name: string;
  target: string;
  serial: string | null;
  values: number;
  by: Person;
  begunAt: number;
  /** Why it waits; null: it does not. */
  held: string | null;
  end: { at: number; ending: Ending; taken: number; leftOver: readonly LeftOver[] } | null;
  verified: readonly { at: number; afterPower: boolean; ending: Ending; leftOver: readonly LeftOver[] }[];
}

const kinds = [
  'set.write-begun',
  'set.write-held',
  'set.write-resumed',
  'set.write-ended',
  'set.verified',
] as const;
type RunEntry = Extract<Entry, { kind: (typeof kinds)[number] }>;

export const isRunEntry = (entry: Entry): entry is RunEntry => kinds.some((kind) => kind === entry.kind);

/** The runs after one more entry; a reason where the entry does not count. */
export function applyRun(runs: readonly SetRun[], entry: RunEntry): readonly SetRun[] | { void: string } {
  const at = timeOf(entry);
  if (entry.kind === 'set.write-begun') {
    const { run: id, set, name, target, serial, values } = entry.payload;
    const run: SetRun = {
      id,
      set,
      name,
      target,
      serial,
      values,
      by: entry.by,
      begunAt: at,
      held: null,
      end: null,
      verified: [],
    };
    return [...runs.filter((r) => r.id !== id), run];
  }
  const before = runs.find((r) => r.id === entry.payload.run);
  if (before === undefined) return { void: 'The run it speaks of is not in this job.' };
  const change = (): Partial<SetRun> => {
    switch (entry.kind) {
      case 'set.write-held':
        return { held: entry.payload.why };
      case 'set.write-resumed':
        return { held: null };
      case 'set.write-ended': {
        const { ending, taken, leftOver } = entry.payload;
        return { held: null, end: { at, ending, taken, leftOver } };
      }
      case 'set.verified': {
        const { afterPower, ending, leftOver } = entry.payload;
        return { verified: [...before.verified, { at, afterPower, ending, leftOver }] };
      }
    }
  };
  return runs.map((r) => (r.id === before.id ? { ...r, ...change() } : r));
}

/** What was in the drive before a run: the read-out that was newest when it began. */
export const foundBefore = (
  sets: readonly KeptSet[],
  { begunAt }: Pick<SetRun, 'begunAt'>,
): KeptSet | undefined => sets.filter((s) => s.source === 'read-out' && s.at <= begunAt).at(-1);
