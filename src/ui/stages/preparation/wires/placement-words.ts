import type { RecordedWire, WirePlacement } from '@/core/replacement/wires';
import type { Mark } from '../../../kit/state-mark';

export const outcomeMarks: Readonly<Record<WirePlacement['outcome'], Mark>> = {
  goes: 'sound',
  chosen: 'sound',
  set: 'doubt',
  cap: 'unprobed',
  'by-hand': 'failed',
  'no-home': 'failed',
  unknown: 'failed',
};

export const outcomeWords: Readonly<Record<WirePlacement['outcome'], string>> = {
  goes: 'goes',
  chosen: 'chosen',
  set: 'parameter to set',
  cap: 'cap and tag',
  'by-hand': 'to decide',
  'no-home': 'no match',
  unknown: 'unknown',
};

/** A wire as one speaks of it. */
export const wireName = (w: Pick<RecordedWire, 'number' | 'ferrule'>): string =>
  `wire ${w.number}${w.ferrule === '' ? '' : ` “${w.ferrule}”`}`;

/** Shared, unknown, incomplete: what a line of the wire list says beside its placement. */
export const wireFlags = (w: RecordedWire): string[] => [
  ...(w.shared === null ? [] : [`shared with ${w.shared.machine}`]),
  ...(w.later ? ['to be completed'] : []),
  ...(w.drawnAt !== null && w.drawnAt !== (w.from ?? '')
    ? [`drawing shows ${w.drawnAt || 'no terminal'}`]
    : []),
  ...(w.accepted === null ? [] : [`accepted by ${w.accepted.by}`]),
  ...(!w.proven && w.role !== 'unknown' && w.role !== 'none' ? ['not proven'] : []),
];
