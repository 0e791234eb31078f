import { formatSignificant } from '../../numerics/figures';
import { inertiaOf, loadTorque, mostTorque, speedOf, type RampCase } from './model';
import { simulate } from './simulate';

/** The shortest ramp that does not trip, with its calculation. */
export interface Shortest {
  /** To the frequency that ramp times count to, as it is entered; null where no ramp is long enough. */
  seconds: number | null;
  sum: string;
}

/** What is entered is rounded, and a meter of volts too. */
const margin = 0.002;
/** Ramps longer than this are not looked for, s. */
const longest_s = 3600;

/** So many speeds on the way are looked at. */
const speeds = 200;

/**
 * Shortest acceleration by a straight ramp: t = J·ω ÷ (T_most − T_load), where on the way that leaves the least.
 * Above the rated frequency the most falls with 1/f.
 */
export function shortestUp(given: RampCase): Shortest {
  const top = speedOf(given, given.ramp.countsTo_Hz);
  const end = speedOf(given, given.ramp.to_Hz);
  const onTheWay = Array.from({ length: speeds }, (_, k) => {
    const omega = (end * (k + 1)) / speeds;
    const [most, load] = [mostTorque(given, omega), loadTorque(given, omega)];
    return { most, load, spare: most - load };
  });
  const { most, load, spare } = onTheWay.reduce((a, b) => (b.spare < a.spare ? b : a));
  const inertia = inertiaOf(given);
  return spare <= 0
    ? {
        seconds: null,
        sum: `the load needs ${formatSignificant(load)} N·m and the limit allows ${formatSignificant(most)} N·m: no torque left to accelerate`,
      }
    : {
        seconds: (inertia * top) / spare,
        sum: `${formatSignificant(inertia)} kg·m² × ${formatSignificant(top)} rad/s ÷ (${formatSignificant(most)} − ${formatSignificant(load)} N·m)`,
      };
}

/** Shortest deceleration that neither torque limit nor bus forbids, found by trying. */
export function shortestDown(given: RampCase): Shortest {
  const stops = (down_s: number): boolean => {
    const { trip } = simulate({
      ...given,
      drive: { ...given.drive, regulated: false },
      // The way up is not the question: gentle, and from there down.
      ramp: {
        ...given.ramp,
        up_s: Math.max(given.ramp.up_s, 10 * (shortestUp(given).seconds ?? 1)),
        hold_s: 0,
        down_s,
      },
    });
    // A load that is lowered fills the bank before it is stopped: then no ramp helps.
    return trip === null || (trip.while === 'up' && trip.why === 'overcurrent');
  };
  if (!stops(longest_s)) return { seconds: null, sum: 'No ramp is long enough: a brake resistor is needed' };
  let low = 0.01;
  let high = longest_s;
  for (let i = 0; i < 22; i += 1) {
    const middle = Math.sqrt(low * high);
    if (stops(middle)) high = middle;
    else low = middle;
  }
  return {
    // Where the search ends it has just not tripped: a little longer, it does not when it is entered either.
    seconds: high * (1 + margin),
    sum: 'Shortest without an overvoltage trip and within the torque limit',
  };
}
