import { numberAt } from '../../numerics/arrays';
import type { Inverter } from './case';
import type { Gate } from './conduction';

/** A change of a leg's gate at a tick. */
export interface GateEdge {
  tick: number;
  leg: number;
  gate: Gate;
}

/** How far each leg's reference is behind the first one's, rad. */
const behind = [0, (-2 * Math.PI) / 3, (2 * Math.PI) / 3] as const;

/** What a leg (0, 1, 2) is asked for at a time, −1 … 1 (beyond: overmodulated). */
function referenceOf({ mode, m, f1 }: Inverter, leg: number, t: number): number {
  const angle = 2 * Math.PI * f1 * t;
  if (mode === 'spwm') return m * Math.sin(angle + numberAt(behind, leg));
  const a = m * Math.sin(angle);
  const b = m * Math.sin(angle + behind[1]);
  const c = m * Math.sin(angle + behind[2]);
  // Centred in the band, which is what space vectors with evenly shared zero states come to.
  const middle = (Math.max(a, b, c) + Math.min(a, b, c)) / 2;
  return (leg === 0 ? a : leg === 1 ? b : c) - middle;
}

/** Where a leg's reference meets the triangle in the half period that begins at `from`. */
function crossing(inverter: Inverter, leg: number, from: number, half: number, rising: boolean): number {
  let t = from + half / 2;
  for (let i = 0; i < 30; i += 1) {
    const r = Math.max(-1, Math.min(1, referenceOf(inverter, leg, t)));
    const better = from + (half * (rising ? 1 + r : 1 - r)) / 2;
    if (Math.abs(better - t) < 1e-7 * half) return better;
    t = better;
  }
  return t;
}

/** Edges fall on every 64th tick (0.15 µs at 50 Hz), which saves short steps and moves no figure. */
const edgeTicks = 64;

/** All changes of the gates up to a time, in order: natural sampling by a triangle, each gate on later by the dead time. */
export function gateEdges(inverter: Inverter, until_s: number, ticksPerSecond: number): GateEdge[] {
  const half = 0.5 / inverter.fc;
  const toTick = (s: number) => edgeTicks * Math.round((s * ticksPerSecond) / edgeTicks);
  const dead = toTick(inverter.deadTime);
  const edges: GateEdge[] = [];
  for (let leg = 0; leg < 3; leg += 1) {
    let high = referenceOf(inverter, leg, 0) > -1;
    edges.push({ tick: 0, leg, gate: high ? 'hi' : 'lo' });
    let pending: GateEdge | null = null;
    for (let k = 0; k * half < until_s; k += 1) {
      const rising = k % 2 === 0;
      const at = toTick(crossing(inverter, leg, k * half, half, rising));
      const end = toTick((k + 1) * half);
      // Low from where the rising triangle meets the reference, high from where the falling one does; never met: it stays.
      if (high !== rising || at >= end) continue;
      if (pending !== null && pending.tick <= at) edges.push(pending);
      edges.push({ tick: at, leg, gate: 'none' });
      high = !high;
      pending = { tick: at + dead, leg, gate: high ? 'hi' : 'lo' };
    }
    if (pending !== null) edges.push(pending);
  }
  return edges.sort((a, b) => a.tick - b.tick);
}
