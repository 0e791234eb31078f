import type { TraceTable } from './table';
import { currentTables } from './tables/current';
import { heatTables } from './tables/heat';
import { motionTables } from './tables/motion';
import { signalTables } from './tables/signals';
import { supplyTables } from './tables/supply';

/** The tables that ship, one a family; a shop may put its own in the place of any. */
export const usualTables: readonly TraceTable[] = [
  ...supplyTables,
  ...currentTables,
  ...heatTables,
  ...signalTables,
  ...motionTables,
];

/** The shop's tables, and the usual ones of all other families. */
export const tablesWith = (own: readonly TraceTable[]): TraceTable[] =>
  usualTables.map((t) => own.find((o) => o.family === t.family) ?? t);
