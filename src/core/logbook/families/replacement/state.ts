import type { RecordedWire } from '../../../replacement/wires';
import type { EntryOf } from '../../entry';
import type { Payload } from '../../payloads';

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
  wires: readonly RecordedWire[];
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

/** Before anybody thought of another unit. */
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
