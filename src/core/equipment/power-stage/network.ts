import { saturationAt, thermalVolts, type Diode, type Element, type Resistor } from '../../numerics/circuit';
import {
  familyOf,
  linesOf,
  motorTerminals,
  positionsOf,
  type Family,
  type Fault,
  type Position,
  type Stage,
} from './vocabulary';

/** A junction as a data sheet would give it: Is at 27 °C, emission coefficient, series resistance. */
export interface DeviceLaw {
  Is: number;
  n: number;
  Rs: number;
}

/**
 * Typical junctions per family, about 0.45, 0.37, 0.55 and 0.50 V at 1 mA and 27 °C (common
 * practice, no source). They only start a fit: the drops of the unit in hand are always fitted.
 */
export const typicalDevices: Readonly<Record<Family, DeviceLaw>> = {
  rectifier: { Is: 8.94438364e-9, n: 1.5, Rs: 0.02 },
  freewheel: { Is: 7.03217846e-8, n: 1.5, Rs: 0.02 },
  brake: { Is: 6.45309386e-10, n: 1.5, Rs: 0.05 },
  precharge: { Is: 2.52956613e-9, n: 1.5, Rs: 0.05 },
};

const fuseOhm = 0.005;
const windingOhm = 0.5;
const bankSeriesOhm = 0.1;
/** A shorted device where nothing is said, Ω. */
export const defaultShortOhm = 0.5;
/** A leaky device where nothing is said, Ω. */
export const defaultLeakOhm = 1000;
/** What a degraded device has in series where nothing is said, Ω: +100 mV at 1 mA. */
export const defaultAddedOhm = 100;

/** What is still connected or charged while it is tested. */
export interface StageConditions {
  /** The motor is still on U, V, W. */
  motorConnected?: boolean;
  /** The bank still holds this much, V. */
  busVolts?: number;
}

/** A power stage as it is to be solved: faults, temperature, what is still connected. */
export interface StageCase {
  stage: Stage;
  temperature_C: number;
  faults?: readonly Fault[];
  conditions?: StageConditions;
  devices?: Partial<Record<Position, DeviceLaw>>;
  /** Shift of every junction of a family, V: how the unit in hand differs from the typical one. */
  familyShift_V?: Partial<Record<Family, number>>;
}

/** The two nodes of every position of a stage. */
export function nodesOf(stage: Stage, position: Position): [string, string] {
  const rectifierPlus = stage.link === 'none' ? 'DC+' : 'DC+R';
  const inverterPlus = stage.fuse === 'inverter' ? 'DC+I' : 'DC+';
  const [group, name = '', side] = position.split('.');
  if (group === 'rect') return side === 'hi' ? [name, rectifierPlus] : ['DC-', name];
  if (group === 'inv') return side === 'hi' ? [name, inverterPlus] : ['DC-', name];
  if (group === 'pre') return [name, 'PCX'];
  if (position === 'brk.switch') return ['DC-', 'BR'];
  if (position === 'brk.diode') return ['BR', 'DC+'];
  if (position === 'bus.link') return ['DC+R', 'DC+'];
  if (position === 'bus.precharge') return [stage.frontEnd === 'scr-half-3ph' ? 'PCX' : 'DC+R', 'DC+'];
  if (position === 'bus.fuse') return ['DC+', 'DC+I'];
  return ['DC+', 'DC-'];
}

const junction = (name: string, ends: [string, string], law: DeviceLaw, temperature_C: number): Diode => ({
  type: 'D',
  name,
  anode: ends[0],
  cathode: ends[1],
  saturation_A: saturationAt(law.Is, law.n, temperature_C),
  emission_V: law.n * thermalVolts(temperature_C),
  series_ohm: law.Rs,
});

const resistor = (name: string, [a, b]: [string, string], ohm: number): Resistor => ({
  type: 'R',
  name,
  a,
  b,
  ohm,
});

/** Is this position a junction in this stage? A thyristor without gate current is not. */
export const isJunction = (stage: Stage, position: Position): boolean =>
  familyOf(position) !== null && !(stage.frontEnd === 'scr-half-3ph' && /^rect\..*hi$/.test(position));

/** What a sound device of this position contributes to the network at rest. */
function soundElement(c: StageCase, position: Position): Element | null {
  const ends = nodesOf(c.stage, position);
  const family = familyOf(position);
  if (family !== null) {
    if (!isJunction(c.stage, position)) return null;
    const law = c.devices?.[position] ?? typicalDevices[family];
    const shift_V = c.familyShift_V?.[family];
    const diode = junction(position, ends, law, c.temperature_C);
    return shift_V === undefined ? diode : { ...diode, shift_V };
  }
  if (position === 'bus.bleeder') return resistor(position, ends, c.stage.bleederOhm);
  if (position === 'bus.link') return resistor(position, ends, c.stage.linkOhm);
  if (position === 'bus.precharge') return resistor(position, ends, c.stage.prechargeOhm);
  if (position === 'bus.fuse') return resistor(position, ends, fuseOhm);
  return null;
}

/** The same device with its fault: none, one or two elements instead. */
function faultyElements(c: StageCase, position: Position, fault: Fault): Element[] {
  const sound = soundElement(c, position);
  const ends = nodesOf(c.stage, position);
  if (fault.mode === 'open') return [];
  if (fault.mode === 'degraded') {
    if (sound?.type === 'D' && fault.isScale !== undefined)
      return [{ ...sound, saturation_A: sound.saturation_A * fault.isScale }];
    const added = fault.addedOhm ?? defaultAddedOhm;
    if (sound?.type === 'D') return [{ ...sound, series_ohm: sound.series_ohm + added }];
    return sound?.type === 'R' ? [{ ...sound, ohm: sound.ohm + added }] : [];
  }
  const ohm = fault.ohm ?? (fault.mode === 'short' ? defaultShortOhm : defaultLeakOhm);
  const path = resistor(`F.${position}`, ends, ohm);
  return sound === null ? [path] : [sound, path];
}

/**
 * The network of a powered-off stage as a meter sees it: the bank is open at DC, transistors are
 * their antiparallel diodes, a fault changes its device.
 */
export function networkOf(c: StageCase): Element[] {
  const faultOf = new Map((c.faults ?? []).map((fault) => [fault.component, fault]));
  const elements = positionsOf(c.stage).flatMap((position): Element[] => {
    const fault = faultOf.get(position);
    if (fault !== undefined) return faultyElements(c, position, fault);
    const sound = soundElement(c, position);
    return sound === null ? [] : [sound];
  });
  if (c.conditions?.motorConnected === true)
    for (const phase of motorTerminals) elements.push(resistor(`motor.${phase}`, [phase, 'MN'], windingOhm));
  const busVolts = c.conditions?.busVolts ?? 0;
  if (busVolts !== 0)
    elements.push({
      type: 'V',
      name: 'bus.charge',
      plus: 'DC+',
      minus: 'DC-',
      volts: busVolts,
      series_ohm: bankSeriesOhm,
    });
  return elements;
}

/** The devices in the same position of all phases, this one among them; one that has none stands alone. */
export const peersOf = (stage: Stage, position: Position): Position[] => {
  const [group, , side] = position.split('.');
  if (group === 'rect')
    return linesOf(stage).map((l): Position => `rect.${l}.${side === 'hi' ? 'hi' : 'lo'}`);
  if (group === 'inv') return motorTerminals.map((p): Position => `inv.${p}.${side === 'hi' ? 'hi' : 'lo'}`);
  if (group === 'pre') return linesOf(stage).map((l): Position => `pre.${l}`);
  return [position];
};
