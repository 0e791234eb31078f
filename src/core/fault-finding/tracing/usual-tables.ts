import type { TraceTable } from './table';
import { withCommonCauses } from './tables/common';
import { currentTables } from './tables/current';
import { heatTables } from './tables/heat';
import { motionTables } from './tables/motion';
import { noFaultTables } from './tables/no-fault';
import { signalTables } from './tables/signals';
import { supplyTables } from './tables/supply';
import { unitTables } from './tables/unit';

/** The tables that ship, one a family; a shop may put its own in the place of any. */
export const usualTables: readonly TraceTable[] = [
  ...supplyTables,
  ...currentTables,
  ...heatTables,
  ...signalTables,
  ...unitTables,
  ...noFaultTables,
  ...motionTables,
].map(withCommonCauses);

/** The shop's tables, and the usual ones of all other families. */
export const tablesWith = (own: readonly TraceTable[]): TraceTable[] =>
  usualTables.map((t) => own.find((o) => o.family === t.family) ?? t);
