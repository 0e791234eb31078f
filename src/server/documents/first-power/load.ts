import {
  fedDrive,
  firstPowerUnit,
  planFirstPower,
  type FirstPowerPlan,
} from '../../../core/power-up/first-power';
import { HttpError } from '../../http/guard';
import type { LoadedJob } from '../../logbook/folded';
import { identity } from '../replacement';

export interface FirstPowerDocument {
  title: string;
  identity: [label: string, value: string][];
  setUp: string;
  sums: FirstPowerPlan['sums'];
  stops: readonly string[];
  /** The bus as it is expected to rise, and as it did. */
  expected: { at_s: number; volts: number; line_A: number }[];
  measured: readonly { at_s: number; volts: number }[];
}

const rowsOfCurve = 12;

/** The first-power plan that was kept, with its sums. @throws HttpError without a plan */
export function loadFirstPowerPlan({ state }: LoadedJob): FirstPowerDocument {
  const { drive, power } = state;
  if (drive === null || power.planned === null)
    throw new HttpError(422, 'No first power-up plan yet: save one under First power-up.');
  const unit = fedDrive(drive);
  if (unit === null)
    throw new HttpError(422, 'Supply or capacitor bank not known: enter both under Nameplates.');
  const plan = planFirstPower(firstPowerUnit(unit), power.planned.payload.way);
  const shown = plan.charge.points.filter((p) => p.t <= 2 * plan.stopAfter_s);
  const every = Math.max(1, Math.ceil(shown.length / rowsOfCurve));
  return {
    title: 'First power-up plan',
    identity: identity(state),
    setUp: plan.setUp,
    sums: plan.sums,
    stops: plan.stops,
    expected: shown
      .filter((_, k) => k % every === 0)
      .map((p) => ({
        at_s: Number(p.t.toFixed(2)),
        volts: Math.round(p.volts),
        line_A: Number(p.line_A.toFixed(2)),
      })),
    measured: power.bus,
  };
}
