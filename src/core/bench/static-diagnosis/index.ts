// From readings to causes: which parts are dead, how surely, what to take again and what to probe next.
import type { Meter, Stage } from '../../equipment/power-stage';
import { diagnose } from './diagnose';
import type { Diagnosis } from './diagnosis';
import { tablesFor } from './hypotheses';
import type { RawReading } from './observations';

export { diagnose } from './diagnose';
export type {
  Candidate,
  Condition,
  ConditionCode,
  Diagnosis,
  NamedFault,
  NextProbe,
  PositionState,
  ReadingJudgement,
} from './diagnosis';
export { prepare, tablesFor } from './hypotheses';
export { directBand, directJunction } from './junctions';
export { normalRange } from './model';
export type { RawReading } from './observations';
export type { Tables } from './tables';
export {
  bareNameOf,
  conclude,
  faultsWords,
  faultWords,
  possibleFaultsWords,
  nameOf,
  trapHeadlines,
  type Conclusion,
} from './words';
import type { Tables } from './tables';

const kept = new Map<string, Tables>();
/** Tables weigh some tens of megabytes once solved. */
const mostKept = 4;

/** Tables that were made for this stage and meter before, or new ones. */
export function keptTables(stage: Stage, meter: Meter): Tables {
  const key = JSON.stringify([stage, meter]);
  const tables = kept.get(key) ?? tablesFor(stage, meter);
  kept.delete(key);
  kept.set(key, tables);
  const [oldest] = kept.keys();
  if (kept.size > mostKept && oldest !== undefined) kept.delete(oldest);
  return tables;
}

/** The whole way for one set of readings. */
export const diagnoseOnce = (
  stage: Stage,
  meter: Meter,
  readings: readonly RawReading[],
  temperature_C?: number,
): Diagnosis => diagnose(keptTables(stage, meter), readings, temperature_C);
