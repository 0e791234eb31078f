import type { WaveCase } from './case';
import { engineFor } from './engine';
import { ticksPerSample } from './timing';
import { gateEdges } from './gates';
import { recorderFor, samplesIn, type Recording } from './recorder';
import { item } from '../../numerics/arrays';

/** What a run of a circuit gives. */
export interface NetworkRun extends Recording {
  /** Changes of what conducts. */
  events: number;
}

/** Start of the whole periods of `hz` that fit at the end of a window; its start where not one fits, s. */
export function wholePeriodsFrom([from, to]: readonly [number, number], hz: number): number {
  const periods = Math.floor((to - from) * hz + 1e-6);
  return periods === 0 ? from : Math.max(from, to - periods / hz);
}

/** The whole network, event by event: gates, devices that come and go, earth faults. */
export function runWhole(given: WaveCase): NetworkRun {
  const engine = engineFor(given, false);
  const { load, inverter, window } = given;
  const ticks = (s: number) => Math.round(s * engine.ticksPerSecond);
  const withInverter = load.kind === 'inverter';
  const edges = withInverter ? gateEdges(inverter, window[1], engine.ticksPerSecond) : [];
  const recorder = recorderFor(
    engine,
    withInverter ? inverter.f1 : null,
    samplesIn(window, engine.ticksPerSecond),
  );
  const start = ticks(window[0]);
  const whole = withInverter ? ticks(wholePeriodsFrom(window, inverter.f1)) : Infinity;
  const end = ticks(window[1]);
  let edge = 0;
  let grid = 0;
  while (engine.ticks() < end) {
    const now = engine.ticks();
    if (now === start) {
      recorder.begin();
      grid = start;
    }
    if (now === whole) recorder.beginWhole();
    while (edge < edges.length && (edges[edge]?.tick ?? 0) <= now) {
      const { leg, gate } = item(edges, edge);
      engine.gate(leg, gate);
      edge += 1;
    }
    if (now >= start && now >= grid) {
      recorder.sample();
      grid += ticksPerSample;
    }
    if (load.kind === 'P') {
      const volts = engine.busVolts();
      engine.draw(volts >= load.Vmin ? load.P / volts : (load.P * volts) / load.Vmin ** 2);
    }
    const mark = now < start ? start : now < whole ? whole : end;
    const upTo = now < start ? now + ticksPerSample : grid;
    engine.advance(Math.min(mark, upTo, edges[edge]?.tick ?? end));
  }
  recorder.sample();
  return { ...recorder.result(), events: engine.events() };
}
