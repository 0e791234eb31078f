import type { WaveCase } from './case';
import type { Gate } from './conduction';
import { valueAt } from '../../numerics/arrays';

/** Three windings in star on three legs, in closed form while nothing turns. Currents out of the legs, A; volts to the bank's negative. */
export interface Legs {
  i: Float64Array;
  v: Float64Array;
  turn: (gates: readonly Gate[]) => void;
  /** What the legs draw at this moment, A. */
  drawnNow: () => number;
  /** On from one tick to another, stretch by stretch. @returns what was drawn on average, A */
  pass: (
    from: number,
    to: number,
    ticksPerSecond: number,
    bus: number,
    begins: (tick: number) => void,
    ended: (tick: number) => void,
  ) => number;
}

const [float, up, down] = [0, 1, 2] as const;
const mostStretches = 8;

/** The three legs and the motor behind a given bus. */
export function legsFor({ inverter, motor }: WaveCase): Legs {
  const { Vce, Rce, Vfd, Rfd } = inverter;
  const R = motor.R + (Rce + Rfd) / 2;
  const tau = motor.L / R;
  const i = new Float64Array(3);
  const v = new Float64Array(3);
  const emf = new Float64Array(3);
  const ends = new Float64Array(3);
  const side = new Uint8Array(3);
  /** Works both ways: a switch is on; else a diode alone carries. */
  const held = new Uint8Array(3);
  const absent = Uint8Array.from(['U', 'V', 'W'], (p) => (motor.openPhase === p ? 1 : 0));
  const omega1 = 2 * Math.PI * inverter.f1;
  const lag = (motor.emfLag_deg * Math.PI) / 180;
  const hiOpen = ['U', 'V', 'W'].map((p) => inverter.openSwitch === `inv.${p}.hi`);
  const loOpen = ['U', 'V', 'W'].map((p) => inverter.openSwitch === `inv.${p}.lo`);

  function turn(gates: readonly Gate[]): void {
    for (let k = 0; k < 3; k += 1) {
      const hi = gates[k] === 'hi' && hiOpen[k] !== true;
      const lo = gates[k] === 'lo' && loOpen[k] !== true;
      held[k] = hi || lo ? 1 : 0;
      if (absent[k] === 1) {
        // With nothing on it the terminal follows its gates, and stays where it was between them.
        if (held[k] === 1) side[k] = hi ? up : down;
        continue;
      }
      // Nothing keeps a current going through a winding without inductance.
      if (held[k] === 0 && motor.L === 0) i[k] = 0;
      const now = valueAt(i, k);
      side[k] = hi ? up : lo ? down : now > 0 ? down : now < 0 ? up : float;
    }
  }

  /** Volts of the legs that carry, and how far what differs from the mean resistance counts. */
  function volts(bus: number): void {
    for (let k = 0; k < 3; k += 1) {
      if (side[k] === float) continue;
      const now = valueAt(i, k);
      const bySwitch = side[k] === up ? now > 0 : now < 0;
      const drop = bySwitch ? Vce : Vfd;
      const r = bySwitch ? Rce : Rfd;
      v[k] = (side[k] === up ? bus : 0) - Math.sign(now) * drop - r * now;
    }
  }

  /** The star point's volts from the legs that carry. */
  function star(): number {
    let sum = 0;
    let count = 0;
    for (let k = 0; k < 3; k += 1) {
      if (side[k] === float || absent[k] === 1) continue;
      sum += valueAt(v, k) - valueAt(emf, k);
      count += 1;
    }
    return count === 0 ? NaN : sum / count;
  }

  /** Diodes of floating legs that the star point or the motor's volts push open. */
  function wake(bus: number): number {
    let s = star();
    for (let k = 0; k < 3; k += 1) {
      if (side[k] !== float || absent[k] === 1 || Number.isNaN(s)) continue;
      const at = s + valueAt(emf, k);
      v[k] = at;
      if (at > bus + Vfd) side[k] = up;
      else if (at < -Vfd) side[k] = down;
      else continue;
      v[k] = side[k] === up ? bus + Vfd : -Vfd;
      s = star();
    }
    return s;
  }

  const drawnNow = (): number => {
    let sum = 0;
    for (let k = 0; k < 3; k += 1) if (side[k] === up) sum += valueAt(i, k);
    return sum;
  };

  function pass(
    from: number,
    to: number,
    ticksPerSecond: number,
    bus: number,
    begins: (tick: number) => void,
    ended: (tick: number) => void,
  ): number {
    let drawn = 0;
    let at = from;
    for (let round = 0; round < mostStretches && at < to; round += 1) {
      const left = (to - at) / ticksPerSecond;
      if (motor.emf !== 0)
        for (let k = 0; k < 3; k += 1)
          emf[k] =
            motor.emf * Math.sin(omega1 * (at / ticksPerSecond + left / 2) - lag - (k * 2 * Math.PI) / 3);
      volts(bus);
      const s = wake(bus);
      let carrying = 0;
      for (let k = 0; k < 3; k += 1) if (side[k] !== float && absent[k] === 0) carrying += 1;
      // One leg alone carries nothing.
      const flows = carrying >= 2;
      let first = left;
      let stops = -1;
      for (let k = 0; k < 3; k += 1) {
        const now = valueAt(i, k);
        // v has the whole drop at this moment; the mean resistance of the devices is in R.
        const push =
          valueAt(v, k) - valueAt(emf, k) - s + ((Rce + Rfd) / 2) * now * (side[k] === float ? 0 : 1);
        const end = !flows || side[k] === float || absent[k] === 1 ? 0 : push / R;
        ends[k] = end;
        if (held[k] === 1 || side[k] === float || now === 0 || end * now >= 0) continue;
        const crosses = tau * Math.log((now - end) / -end);
        if (crosses < first) {
          first = crosses;
          stops = k;
        }
      }
      const step = stops < 0 ? left : Math.max(first, 1 / ticksPerSecond);
      const e = tau > 0 ? Math.exp(-step / tau) : 0;
      const share = tau > 0 ? (tau * (1 - e)) / step : 0;
      // Without inductance a current is what it will be from the start.
      if (tau === 0) for (let k = 0; k < 3; k += 1) i[k] = valueAt(ends, k);
      begins(at);
      for (let k = 0; k < 3; k += 1) {
        const now = valueAt(i, k);
        const end = valueAt(ends, k);
        const mean = end + (now - end) * share;
        if (side[k] === up) drawn += mean * step;
        i[k] = end + (now - end) * e;
      }
      if (stops >= 0) {
        i[stops] = 0;
        side[stops] = float;
      }
      at = stops < 0 ? to : Math.min(to, at + step * ticksPerSecond);
      ended(at);
    }
    return (drawn * ticksPerSecond) / (to - from);
  }

  return { i, v, turn, drawnNow, pass };
}
