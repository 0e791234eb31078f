import { isOpen, type LedgerWire } from '../replacement/wires';
import { timeOf, type Entry, type EntryOf } from './entry';
import type { Payload } from './kinds';

/** How a task of the stop goes. */
export interface TaskProgress {
  begunAt: number | null;
  doneAt: number | null;
}

/** A swap as the log tells it. */
export interface SwapState {
  figures: Payload<'decide.figures'> | null;
  decision: EntryOf<'decide.made'> | null;
  units: Payload<'swap.units'> | null;
  asked: Payload<'swap.asked'> | null;
  wires: readonly LedgerWire[];
  /** Where jumpers of analog inputs stood on the old unit. */
  selectors: Partial<Record<'AI1' | 'AI2', 'V' | 'mA'>>;
  /** Terminals that were looked at by themselves. */
  terminals: readonly EntryOf<'swap.terminal'>[];
  /** Tasks of the stop, where there is one; null: nobody planned it. */
  planned: Payload<'stop.planned'> | null;
  stop: {
    begunAt: number | null;
    overAt: number | null;
    tasks: Readonly<Record<string, TaskProgress>>;
  };
  /** When the old unit came out, and when the plate of the new one was read after that. */
  outAt: number | null;
  inAt: number | null;
  handOver: {
    told: EntryOf<'handover.told'> | null;
    followed: EntryOf<'handover.followed'> | null;
    partners: Readonly<Record<string, EntryOf<'handover.partner'>>>;
    locks: EntryOf<'handover.locks'> | null;
    inspection: EntryOf<'handover.inspection'> | null;
  };
  signedOff: EntryOf<'job.signed-off'> | null;
}

export const noSwap: SwapState = {
  figures: null,
  decision: null,
  units: null,
  asked: null,
  wires: [],
  selectors: {},
  terminals: [],
  planned: null,
  stop: { begunAt: null, overAt: null, tasks: {} },
  outAt: null,
  inAt: null,
  handOver: { told: null, followed: null, partners: {}, locks: null, inspection: null },
  signedOff: null,
};

export type SwapEntry = Extract<
  Entry,
  {
    kind:
      | `decide.${string}`
      | `swap.${string}`
      | `wire.${string}`
      | `stop.${string}`
      | `handover.${string}`
      | 'job.signed-off';
  }
>;
export const isSwapEntry = (entry: Entry): entry is SwapEntry =>
  /^(decide|swap|wire|stop|handover)\.|^job\.signed-off$/.test(entry.kind);

type Change = Partial<SwapState> | { void: string };

/** The ledger after one of its entries. */
function applyWire(
  wires: readonly LedgerWire[],
  entry: Extract<SwapEntry, { kind: `wire.${string}` }>,
): readonly LedgerWire[] | { void: string } {
  const { wire: id } = entry.payload;
  const known = wires.find((w) => w.id === id);
  if (entry.kind === 'wire.noted') {
    const { wire: _, volts, ...found } = entry.payload;
    const noted: LedgerWire = {
      id,
      ...found,
      ...(volts === undefined ? {} : { volts }),
      ...(known?.chosen === undefined ? {} : { chosen: known.chosen }),
      ...(known?.landed === undefined ? {} : { landed: known.landed }),
      // Taken on as unknown: known now, or another thing.
      accepted: found.role === 'unknown' ? (known?.accepted ?? null) : null,
      ticked: known?.ticked ?? {},
    };
    return known === undefined ? [...wires, noted] : wires.map((w) => (w.id === id ? noted : w));
  }
  if (known === undefined) return { void: 'The wire it speaks of is not in this job.' };
  const changed = (change: Partial<LedgerWire>): LedgerWire[] =>
    wires.map((w) => (w.id === id ? { ...w, ...change } : w));
  switch (entry.kind) {
    case 'wire.removed':
      return wires.filter((w) => w.id !== id);
    case 'wire.accepted':
      return entry.by.role === 'apprentice'
        ? { void: 'A technician or the lead takes an unknown wire on.' }
        : changed({ accepted: { by: entry.by.name, reason: entry.payload.reason } });
    case 'wire.chosen':
      return wires.map((w) => {
        if (w.id !== id) return w;
        const { chosen: _, ...rest } = w;
        return entry.payload.back ? rest : { ...rest, chosen: entry.payload.to };
      });
    case 'wire.ticked': {
      const { end, on, to } = entry.payload;
      const { [end]: _, ...other } = known.ticked;
      const ticked = on ? { ...other, [end]: entry.by.name } : other;
      const { landed: was, ...rest } = known;
      const landed = end !== 'drive' ? was : on ? to : undefined;
      return wires.map((w) =>
        w.id === id ? { ...rest, ticked, ...(landed === undefined ? {} : { landed }) } : w,
      );
    }
  }
}

/**
 * A swap after one more entry; a reason where the entry does not count.
 * @param handsHeld why no hand may go in now; null: it may
 */
export function applySwap(
  state: SwapState,
  entry: SwapEntry,
  { handsHeld, standing }: { handsHeld: string | null; standing: string | null },
): Change {
  const at = timeOf(entry);
  // What was signed was signed without it.
  const unsigned = { signedOff: null };
  switch (entry.kind) {
    case 'decide.figures':
      return { figures: entry.payload };
    case 'decide.made':
      return entry.by.role === 'apprentice'
        ? { void: 'A technician or the lead decides.' }
        : { decision: entry };
    case 'swap.units':
      return { units: entry.payload };
    case 'swap.asked':
      return { asked: entry.payload };
    case 'swap.selector':
      return { selectors: { ...state.selectors, [entry.payload.input]: entry.payload.position } };
    case 'swap.terminal':
      return { terminals: [...state.terminals, entry] };
    case 'wire.noted':
    case 'wire.removed':
    case 'wire.accepted':
    case 'wire.chosen':
    case 'wire.ticked': {
      const wires = applyWire(state.wires, entry);
      return 'void' in wires ? wires : { wires, ...unsigned };
    }
    case 'stop.planned':
      return { planned: entry.payload };
    case 'stop.begun':
      return state.stop.begunAt === null
        ? { stop: { ...state.stop, begunAt: at }, ...unsigned }
        : { void: 'The machine stands already.' };
    case 'stop.task': {
      const { task, did } = entry.payload;
      const before = state.stop.tasks[task] ?? { begunAt: null, doneAt: null };
      const now: TaskProgress =
        did === 'open'
          ? { begunAt: null, doneAt: null }
          : did === 'begun'
            ? { begunAt: at, doneAt: null }
            : { begunAt: before.begunAt ?? at, doneAt: at };
      return state.planned?.tasks.some((t) => t.id === task) === true
        ? { stop: { ...state.stop, tasks: { ...state.stop.tasks, [task]: now } } }
        : { void: 'There is no such task in the plan.' };
    }
    case 'stop.over':
      return state.stop.begunAt === null
        ? { void: 'The machine did not stand.' }
        : { stop: { ...state.stop, overAt: at } };
    case 'swap.unit-out': {
      const open = state.wires.find(isOpen);
      if (open !== undefined)
        return {
          void: `Nobody knows what wire ${String(open.number)} is, and nobody took it on: the old unit does not come out.`,
        };
      return handsHeld === null ? { outAt: at, inAt: null, ...unsigned } : { void: handsHeld };
    }
    case 'handover.told':
      return { handOver: { ...state.handOver, told: entry } };
    case 'handover.followed':
      return { handOver: { ...state.handOver, followed: entry }, ...unsigned };
    case 'handover.partner':
      return {
        handOver: {
          ...state.handOver,
          partners: { ...state.handOver.partners, [entry.payload.machine]: entry },
        },
        ...unsigned,
      };
    case 'handover.locks':
      return { handOver: { ...state.handOver, locks: entry }, ...unsigned };
    case 'handover.inspection':
      return { handOver: { ...state.handOver, inspection: entry } };
    case 'job.signed-off': {
      if (entry.by.role === 'apprentice') return { void: 'A technician or the lead signs.' };
      if (entry.payload.second.toLowerCase() === entry.by.name.toLowerCase())
        return { void: 'Two names sign: the second is somebody else.' };
      return standing === null ? { signedOff: entry } : { void: standing };
    }
  }
}
