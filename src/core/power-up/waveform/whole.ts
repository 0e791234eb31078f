import { ImpossibleCircuit, type WaveCase } from './case';
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

/** Share of the bank that a load of constant power may draw in a step at its least volts. */
const mostOfBank = 0.05;

/**
 * What a load of constant power draws: P/v, and below `Vmin` P·v/Vmin².
 * @param open_V of the bus with nothing drawn this moment
 * @param ohm across which what is drawn drops at once
 */
function ampsOf({ P, Vmin }: { P: number; Vmin: number }, open_V: number, ohm: number): number {
  const square = open_V ** 2 - 4 * ohm * P;
  const volts = square < 0 ? 0 : (open_V + Math.sqrt(square)) / 2;
  if (volts >= Vmin) return P / volts;
  return (P * open_V) / (Vmin ** 2 + ohm * P);
}

/** Diodes in series across the bus take over below zero; how far, V, is their drops and a little. */
const belowZero_V = 5;

/** @throws ImpossibleCircuit where the bus ran below zero: what carries there is not in the network */
export function mustHold({ bank, inverter }: WaveCase, bus_V: number): void {
  if (bus_V > -belowZero_V - 2 * inverter.Vfd) return;
  throw new ImpossibleCircuit({
    path: 'bank.C',
    given: bank.C,
    allowed: `more: the load empties the bus and takes it to ${Math.round(bus_V)} V; below zero the drive's diodes would carry, which is not computed`,
  });
}

/** The whole network, event by event: gates, devices that come and go, earth faults. */
export function runWhole(given: WaveCase): NetworkRun {
  const engine = engineFor(given, false);
  const { load, inverter, window, bank } = given;
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
  /** What is drawn is held for a step: short against the time in which it would empty the bank, ticks. */
  const heldFor = ({ P, Vmin }: { P: number; Vmin: number }, bus_V: number): number =>
    Math.max(1, P > 0 ? ticks((mostOfBank * bank.C * Math.max(bus_V, Vmin) ** 2) / P) : Infinity);
  let drawn = 0;
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
    const volts = engine.busVolts();
    mustHold(given, volts);
    if (load.kind === 'P') {
      drawn = ampsOf(load, volts + bank.ESR * drawn, bank.ESR);
      engine.draw(drawn);
    }
    const mark = now < start ? start : now < whole ? whole : end;
    const next = now < start ? now + ticksPerSample : grid;
    const upTo = load.kind === 'P' ? Math.min(next, now + heldFor(load, volts)) : next;
    engine.advance(Math.min(mark, upTo, edges[edge]?.tick ?? end));
  }
  recorder.sample();
  return { ...recorder.result(), events: engine.events() };
}
