// What the firmware can see: its settings by meaning, its terminals, the place that holds, the reference.
import {
  type ConceptId,
  type InputFunction,
  type UnitState,
  inputConcept,
  presetConcept,
} from '@/core/equipment/concepts';
import { meaningOf, type Slot } from '@/core/equipment/drive-words';
import type { MachineBank, SimulatedMachine } from './machine';
import { inputIsOn, safeStopIsOn, type Plant } from './plant';
import type { Settings } from './settings';

export interface SimulatedUnit {
  settings: Settings;
  bank: MachineBank;
  machine: SimulatedMachine;
  state: UnitState;
  /** Code of the alarm that holds it; null: none. */
  alarm: string | null;
  /** Seconds since the state was entered, and since power came. */
  inState_s: number;
  powered_s: number;
  bypassed: boolean;
  output_Hz: number;
  reference_Hz: number;
  /** A start by pulse holds until the stop contact opens. */
  latched: boolean;
  /** Run was seen off since the unit was last held: a run that is simply there starts nothing. */
  armed: boolean;
  /** Seconds that a suspicion lasts, by alarm family. */
  doubts: Readonly<Record<string, number>>;
  resetSeen: boolean;
  /** Automatic restarts since somebody reset it. */
  restarts: number;
  history: Slot[];
  runHours: number;
}

/** Neutral meaning of a setting; a figure where it is one. */
export const setTo = ({ settings }: SimulatedUnit, concept: ConceptId): string | number | undefined =>
  meaningOf(settings.control, settings.values, concept);
export const figureOf = (unit: SimulatedUnit, concept: ConceptId, otherwise: number): number => {
  const value = setTo(unit, concept);
  return typeof value === 'number' ? value : otherwise;
};

/** The terminals as the unit sees them. */
export const simulatedTerminals = (unit: SimulatedUnit, plant: Plant): Record<string, boolean> => ({
  ...Object.fromEntries(
    unit.settings.control.inputs.map(({ id }) => [
      id,
      inputIsOn(plant, id, setTo(unit, 'input.polarity') === 'sink' ? 'sink' : 'source'),
    ]),
  ),
  ...(unit.settings.control.safeStop === null ? {} : safeStopIsOn(plant)),
});

/** State of the input that carries a function; null where none does. */
export function functionOn(unit: SimulatedUnit, plant: Plant, wanted: InputFunction): boolean | null {
  const on = simulatedTerminals(unit, plant);
  const carrying = unit.settings.control.inputs.filter(({ id }) => setTo(unit, inputConcept(id)) === wanted);
  return carrying.length === 0 ? null : carrying.some(({ id }) => on[id] === true);
}

export function simulatedPlace(unit: SimulatedUnit, plant: Plant): 'local' | 'remote' {
  const selected = setTo(unit, 'place.selected');
  if (selected === 'by-input') return functionOn(unit, plant, 'local-remote') === true ? 'remote' : 'local';
  return selected === 'local' ? 'local' : 'remote';
}

/** A signal as a share of its full scale. */
function analogShare(unit: SimulatedUnit, plant: Plant, input: 'AI1' | 'AI2'): number {
  const signal = setTo(unit, `input.${input}-signal`);
  const value = plant[input];
  const share = signal === '4-20mA' ? (value - 4) / 16 : signal === '0-20mA' ? value / 20 : value / 10;
  const low = figureOf(unit, `input.${input}-low`, 0) / 100;
  const high = figureOf(unit, `input.${input}-high`, 100) / 100;
  return Math.max(0, low + share * (high - low));
}

export function referenceOf(unit: SimulatedUnit, plant: Plant): number {
  const highest = figureOf(unit, 'limit.maximum-frequency', 50);
  const source = setTo(unit, `place.${simulatedPlace(unit, plant)}-reference`);
  const on = (f: InputFunction) => functionOn(unit, plant, f) === true;
  const preset = (on('preset-1') ? 1 : 0) + (on('preset-2') ? 2 : 0) + (on('preset-3') ? 4 : 0);
  const wanted =
    preset > 0
      ? figureOf(unit, presetConcept(preset), 0)
      : source === 'AI1' || source === 'AI2'
        ? analogShare(unit, plant, source) * highest
        : source === 'knob'
          ? (plant.knob_percent / 100) * highest
          : source === 'serial'
            ? plant.serial.reference_Hz
            : source === 'keypad'
              ? figureOf(unit, 'reference.keypad', 0)
              : 0;
  return Math.min(highest, Math.max(figureOf(unit, 'limit.minimum-frequency', 0), wanted));
}
