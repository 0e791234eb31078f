import type { Control } from '../../equipment/catalogue';
import { meaningOf, parameterFor, shownAs, type Live, type Values } from '../../equipment/drive-words';
import type { Check, LiveFigure, ReadRule, TraceTable } from './table';

/** What is known of the drive, from the link or off its display. */
export interface DriveFacts {
  control: Pick<Control, 'parameters'>;
  supply_V: number;
  ratedAmps: number;
  values: Values;
  live: Live;
}

/** A check that the drive answers itself. */
export interface DriveAnswer {
  check: Check;
  outcome: string;
  /** What it rests on, e.g. "1-14 Feedback: encoder". */
  evidence: string;
}

const restingStates: readonly (Live['state'] | undefined)[] = ['ready', 'not-ready', 'safe-stop'];

interface Figure {
  value: string | number;
  said: string;
}

const liveFigure = (figure: LiveFigure, { live, supply_V, ratedAmps }: DriveFacts): Figure | null => {
  const { busVolts, outputCurrent_A, reference_Hz, heatsink_C, state, alarm } = live;
  switch (figure) {
    case 'busShare':
      // After a trip the bank keeps for minutes what it was pumped up to: only a drive that stands ready is at rest.
      return busVolts === undefined || !restingStates.includes(state) || (alarm ?? null) !== null
        ? null
        : { value: busVolts / (Math.SQRT2 * supply_V), said: `bus ${busVolts.toFixed(0)} V` };
    case 'currentShare':
      return outputCurrent_A === undefined
        ? null
        : { value: outputCurrent_A / ratedAmps, said: `output ${outputCurrent_A.toFixed(1)} A` };
    case 'reference_Hz':
      return reference_Hz === undefined
        ? null
        : { value: reference_Hz, said: `reference ${reference_Hz.toFixed(1)} Hz` };
    case 'heatsink_C':
      return heatsink_C === undefined
        ? null
        : { value: heatsink_C, said: `heatsink ${heatsink_C.toFixed(0)} °C` };
    case 'running':
      return state === undefined ? null : { value: state === 'running' ? 1 : 0, said: `state: ${state}` };
  }
};

function read({ concept, live }: ReadRule, facts: DriveFacts): Figure | null {
  if (live !== undefined) return liveFigure(live, facts);
  if (concept === undefined) return null;
  const p = parameterFor(facts.control, concept);
  const value = meaningOf(facts.control, facts.values, concept);
  const raw = p === undefined ? undefined : facts.values[p.number];
  return p === undefined || value === undefined || raw === undefined
    ? null
    : { value, said: `${p.number} ${p.name}: ${shownAs(p, raw)}` };
}

const holds = ({ is, atLeast = -Infinity, below = Infinity }: ReadRule, { value }: Figure): boolean =>
  typeof value === 'string' ? (is?.includes(value) ?? false) : value >= atLeast && value < below;

/** Which checks of a table the drive answers itself; the person still says yes to each. */
export const driveSays = (table: TraceTable, facts: DriveFacts): DriveAnswer[] =>
  table.checks.flatMap((check) => {
    for (const rule of check.read ?? []) {
      const figure = read(rule, facts);
      if (figure !== null && holds(rule, figure))
        return [{ check, outcome: rule.outcome, evidence: figure.said }];
    }
    return [];
  });
