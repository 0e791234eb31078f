/** Signs after which mains is not restored to read the display. */
export const dangerSigns = ['bang', 'smell', 'blown-fuse', 'smoke'] as const;
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
  'other',
] as const;

export const lookItems = ['capacitors', 'soot', 'moisture', 'fan', 'lugs', 'smell', 'fuses'] as const;
export type LookItem = (typeof lookItems)[number];
export type AlarmFamily = (typeof alarmFamilies)[number];
export type DangerSign = (typeof dangerSigns)[number];
