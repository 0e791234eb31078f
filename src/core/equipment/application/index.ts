// What a drive is used for: its load, and what a person decides about control, supply and brake.

/** Kinds of load that differ in torque, in what may turn them, or in what falls. */
export const loadKinds = ['fan-or-pump', 'conveyor', 'piston-pump', 'hoist', 'winch', 'other'] as const;
/** A kind of load. */
export type LoadKind = (typeof loadKinds)[number];

/** What is known of a unit's past. */
export const unitHistories = ['from-its-box', 'set-up-before', 'not-known'] as const;
/** What is known of a unit's past. */
export type UnitHistory = (typeof unitHistories)[number];

/** What a person decides; the rules do the rest. */
export interface StartUpChoices {
  load: LoadKind;
  region: '50Hz' | '60Hz';
  runFrom: 'keypad' | 'terminals' | 'serial';
  speedFrom: 'keypad' | 'knob' | 'AI1' | 'AI2' | 'preset' | 'serial';
  wiring: 'two-wire' | 'three-wire' | 'two-wire-direction';
  signal?: '0-10V' | '0-20mA' | '4-20mA' | undefined;
  reverse: boolean;
  /** An encoder is fitted, with its board. */
  encoder: boolean;
  /** A draught or a flow may turn it before the start; absent: not said. */
  windmills?: boolean | undefined;
  /** The shaft is coupled to its machine. */
  coupled: boolean;
  /** A mechanical brake that is proven to close. */
  brakeProven: boolean;
  brakeResistor: boolean;
  /** What is known of the unit's past; absent: not said. */
  history?: UnitHistory | undefined;
  /** Fed from one phase although it is made for three. */
  singlePhaseFed: boolean;
  up_s?: number | undefined;
  down_s?: number | undefined;
  minimum_Hz?: number | undefined;
  maximum_Hz?: number | undefined;
}

/** To begin with: what most machines have. */
export const defaultStartUpChoices = ({
  plate_Hz,
  knob,
}: {
  plate_Hz: number;
  knob: boolean;
}): StartUpChoices => ({
  load: 'other',
  region: plate_Hz >= 55 ? '60Hz' : '50Hz',
  runFrom: 'terminals',
  speedFrom: knob ? 'knob' : 'AI1',
  wiring: 'two-wire',
  signal: '0-10V',
  reverse: false,
  encoder: false,
  coupled: true,
  brakeProven: false,
  brakeResistor: false,
  singlePhaseFed: false,
});

/** Does the load fall or pull when it is not held? */
export const isLifting = (load: LoadKind): boolean => load === 'hoist' || load === 'winch';

/** Does the torque of the load grow with the square of its speed? */
export const isVariableTorque = (load: LoadKind): boolean => load === 'fan-or-pump';
