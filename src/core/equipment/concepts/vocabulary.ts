/** States of a drive under neutral names. */
export const unitStates = [
  'off',
  'precharge',
  'not-ready',
  'ready',
  'running',
  'stopping',
  'tripped',
  'safe-stop',
] as const;
/** What a drive is doing. */
export type UnitState = (typeof unitStates)[number];

/** Alarm families with the same consequence. */
export const alarmFamilies = [
  'none',
  'overcurrent',
  'overcurrent-accelerating',
  'overcurrent-steady',
  'overcurrent-decelerating',
  'desaturation',
  'short-circuit',
  'ground',
  'overvoltage',
  'overvoltage-decelerating',
  'overvoltage-rest',
  'undervoltage',
  'input-phase-loss',
  'output-phase-loss',
  'overload',
  'over-temperature',
  'external',
  'encoder',
  'communication',
  'reference-loss',
  'memory',
  'charging',
  'fan',
  'thermistor',
  'gate-supply',
  'current-sensor',
  'control-rail',
  'brake-chopper',
  'brake-resistor',
  'sto-mismatch',
  'autotune',
  'stall',
  'overspeed',
  'keypad',
  'temperature-sensor',
  'other',
] as const;
/** A family of faults, whatever a make calls them. */
export type AlarmFamily = (typeof alarmFamilies)[number];
