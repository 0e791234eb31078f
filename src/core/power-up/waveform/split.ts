import { phaseNames, type WaveCase } from './case';
import type { Gate } from './conduction';
import { engineFor } from './engine';
import { ticksPerSample } from './timing';
import { gateEdges, type GateEdge } from './gates';
import { legsFor } from './legs';
import { filteredNames, motorNames, pairs, recorderFor, samplesIn, samplesOf } from './recorder';
import { tallyOf } from './tally';
import { mustHold, wholePeriodsFrom, type NetworkRun } from './whole';
import { item, valueAt, recordOf } from '../../numerics/arrays';

/** The bus is summed with the windings: what they draw at once shows in it at once. */
const names = ['vdc', ...motorNames] as const;
const pairAt = names.indexOf('vuv');
const sumKinds = ['mean', 'square', 'least', 'most', 'sin1', 'cos1'] as const;

/**
 * The drive in two halves that meet at the bus: source to bank exactly, event by event, and the three windings in
 * closed form between gate edges, on the bus as it was and moved just before. What they draw in a sample's time is
 * drawn from the bus as its average. Without an earth fault nothing else joins the two.
 */
export function runSplit(given: WaveCase): NetworkRun {
  const { inverter, window, bank } = given;
  const engine = engineFor(given, true);
  const perSecond = engine.ticksPerSecond;
  const edges: GateEdge[] = gateEdges(inverter, window[1], perSecond);
  const legs = legsFor(given);
  const room = samplesIn(window, perSecond);
  const recorder = recorderFor(engine, null, room);
  const tally = tallyOf(names, inverter.f1, 1, perSecond);
  const samples = samplesOf([...names, ...filteredNames], room);
  const row = new Float64Array(names.length + filteredNames.length);
  /** Volt-ticks of the three pairs since the last sample. */
  const cell = new Float64Array(3);
  let before = new Float64Array(names.length);
  let after = new Float64Array(names.length);
  const start = Math.round(window[0] * perSecond);
  const whole = Math.round(wholePeriodsFrom(window, inverter.f1) * perSecond);
  const end = Math.round(window[1] * perSecond);
  const gates: Gate[] = phaseNames.map(() => 'none');
  let recording = false;
  const began = new Float64Array(1);
  /** The bus at a sample with nothing drawn, by how much it moves a tick, and when. */
  const smooth = Float64Array.of(engine.busVolts(), 0, 0);
  /** The bus at a tick: what is drawn drops at once in the bank's resistance. */
  const busAt = (tick: number): number =>
    valueAt(smooth, 0) + valueAt(smooth, 1) * (tick - valueAt(smooth, 2)) - bank.ESR * legs.drawnNow();

  function read(row: Float64Array, tick: number): void {
    for (let k = 0; k < 3; k += 1) {
      row[1 + k] = valueAt(legs.i, k);
      row[4 + k] = valueAt(legs.v, k);
    }
    pairs(row, 4);
    row[0] = busAt(tick);
  }
  function begins(tick: number): void {
    if (!recording) return;
    began[0] = tick;
    read(before, tick);
  }
  function ended(tick: number): void {
    if (!recording) return;
    read(after, tick);
    const from = valueAt(began, 0);
    tally.add(before, after, from, tick);
    for (let k = 0; k < 3; k += 1)
      cell[k] =
        valueAt(cell, k) + ((valueAt(before, pairAt + k) + valueAt(after, pairAt + k)) / 2) * (tick - from);
    const kept = before;
    before = after;
    after = kept;
  }

  function sample(tick: number): void {
    read(row, tick);
    for (let k = 0; k < 3; k += 1) {
      row[names.length + k] = valueAt(cell, k) / ticksPerSample;
      cell[k] = 0;
    }
    samples.add(tick / perSecond, row);
  }

  let edge = 0;
  while (engine.ticks() < end) {
    const now = engine.ticks();
    if (now === start) {
      recorder.begin();
      recording = true;
    }
    if (now === whole) tally.beginWhole();
    if (now >= start) {
      recorder.sample();
      sample(now);
    }
    const mark = now < start ? start : now < whole ? whole : end;
    const upTo = Math.min(mark, now + ticksPerSample);
    let at = now;
    let charge = 0;
    while (at < upTo) {
      let turned = false;
      while (edge < edges.length && item(edges, edge).tick <= at) {
        const { leg, gate } = item(edges, edge);
        gates[leg] = gate;
        edge += 1;
        turned = true;
      }
      if (turned) legs.turn(gates);
      const to = Math.min(upTo, edges[edge]?.tick ?? upTo);
      charge += legs.pass(at, to, perSecond, busAt((at + to) / 2), begins, ended) * (to - at);
      at = to;
    }
    const mean = charge / (upTo - now);
    engine.draw(mean);
    engine.advance(upTo);
    // What the bus would stand at with nothing drawn this moment: that moves smoothly.
    const bus = engine.busVolts();
    mustHold(given, bus);
    const there = bus + bank.ESR * mean;
    smooth[1] = (there - valueAt(smooth, 0)) / (upTo - now);
    smooth[0] = there;
    smooth[2] = upTo;
  }
  recorder.sample();
  sample(end);
  const line = recorder.result();
  const motor = tally.sums();
  const sums = recordOf(sumKinds, (kind) => ({ ...line.sums[kind], ...motor[kind] }));
  return {
    t: line.t,
    sums,
    samples: { ...line.samples, ...samples.columns() },
    events: engine.events(),
  };
}
