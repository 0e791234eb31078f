import { ohmAtAmps, type LampRating } from './lamp';

/** How a bank fills through a rectifier, resistance in each line and a precharge resistor. */
export interface ChargeCase {
  supply_V: number;
  phases: 1 | 3;
  capacitance_F: number;
  prechargeOhm: number;
  /** In each line; null: nothing. */
  lamps: { lamp: LampRating; perLine: number } | null;
  /** A supply that gives no more than this in each line, A; null: no limit. */
  limit_A: number | null;
  /** What the control takes once the bus is high enough for it, W. */
  standby_W: number;
}

/** One moment of it: t in s, volts of the bus. */
export interface ChargePoint {
  t: number;
  volts: number;
  /** RMS in a line, A. */
  line_A: number;
  /** Of the lamps' own volts; 0 without lamps. */
  lampShare: number;
}

/** How the bus comes up through lamps or a limit. */
export interface Charge {
  points: readonly ChargePoint[];
  /** Where it comes to rest. */
  final_V: number;
  /** When 90 % of that is reached, s; null: not within the time looked at. */
  reached_s: number | null;
}

const steps = 24;
/** The control's own supply starts here, over the final bus (common practice, no source). */
const supplyStarts = 0.5;
const rectifierDrop_V = 1.6;

interface Pulse {
  mean: number;
  square: number;
}

/** Current into the bank at a bus of `v`: what the peaks of the lines drive through `ohm`, over a period of the bridge. */
function pulse(peak: number, v: number, ohm: number, half: number, limit: number | null): Pulse {
  let [mean, square] = [0, 0];
  for (let k = 0; k < steps; k += 1) {
    const angle = (half * (k + 0.5)) / steps;
    const driven = Math.max(0, peak * Math.cos(angle) - rectifierDrop_V - v) / ohm;
    const i = limit === null ? driven : Math.min(limit, driven);
    mean += i / steps;
    square += (i * i) / steps;
  }
  return { mean, square };
}

/** The bus over time, as its mean. The lamps are taken as warm as their current of the moment keeps them. */
export function chargeOf(given: ChargeCase): Charge {
  const { supply_V, phases, capacitance_F, prechargeOhm, lamps, limit_A, standby_W } = given;
  const peak = Math.SQRT2 * supply_V;
  const half = phases === 3 ? Math.PI / 6 : Math.PI / 2;
  const points: ChargePoint[] = [];
  const lampOhm = (amps: number) => (lamps === null ? 0 : lamps.perLine * ohmAtAmps(lamps.lamp, amps));
  let v = 0;
  let line_A = 0;
  let t = 0;
  const slowest =
    capacitance_F * (prechargeOhm + 2 * (lamps === null ? 1 : lampOhm(lamps.lamp.watts / lamps.lamp.volts)));
  const until = Math.max(1, Math.min(60, 12 * slowest));
  const dt = until / 600;
  for (let k = 0; k <= 600; k += 1) {
    // Its own resistance and current: a few rounds settle them.
    let p: Pulse = { mean: 0, square: 0 };
    for (let round = 0; round < 25; round += 1) {
      const ohm = Math.max(0.05, 2 * lampOhm(line_A) + prechargeOhm);
      p = pulse(peak, v, ohm, half, limit_A);
      const change = 0.4 * (Math.sqrt((p.square * 2) / (phases === 3 ? 3 : 2)) - line_A);
      line_A += change;
      if (Math.abs(change) < 1e-4 * line_A) break;
    }
    const share = lamps === null ? 0 : (line_A * ohmAtAmps(lamps.lamp, line_A)) / lamps.lamp.volts;
    points.push({ t, volts: v, line_A, lampShare: share });
    const draw = v > supplyStarts * peak ? standby_W / v : 0;
    // Where the bank would overshoot its source within a step it comes to rest at it.
    const next = v + ((p.mean - draw) * dt) / capacitance_F;
    v = Math.min(Math.max(0, next), peak - rectifierDrop_V);
    t += dt;
  }
  const final_V = points[points.length - 1]?.volts ?? 0;
  const reached = points.find((p) => p.volts >= 0.9 * final_V);
  return { points, final_V, reached_s: reached?.t ?? null };
}
