/** How the power stage of a drive is built; what the tests need to know of it. */
export interface Stage {
  frontEnd: 'diode-3ph' | 'diode-1ph' | 'scr-half-3ph';
  /** What joins DC+R to DC+; with 'none' they are one node. */
  link: 'none' | 'link' | 'precharge';
  /** Between DC+ and the inverter's positive. */
  fuse: 'none' | 'inverter';
  brake: boolean;
  /** Is DC+R brought out to a terminal? */
  dcrAccessible: boolean;
  /** The small bridge that charges the bank of a half-controlled front end. */
  scrPrecharge: 'diodes' | 'none';
  prechargeOhm: number;
  linkOhm: number;
  bleederOhm: number;
  capacitance_uF: number;
  /** What nobody has stated: the value is a usual one, for the model only, and the part may be there or not. */
  assumed?: readonly Assumable[];
}

/** What of a power stage may be assumed. */
export const assumables = ['link', 'fuse', 'bleederOhm', 'capacitance_uF', 'brake'] as const;
/** What of a power stage may be assumed. */
export type Assumable = (typeof assumables)[number];

/** Was this stated by a label, a manual or a person? */
export const isStated = ({ assumed = [] }: Stage, what: Assumable): boolean => !assumed.includes(what);

/** A six-diode stage without extras; `stage({ brake: true })` says what differs. */
export const stage = (differs: Partial<Stage> = {}): Stage => ({
  frontEnd: 'diode-3ph',
  link: 'none',
  fuse: 'none',
  brake: false,
  dcrAccessible: false,
  scrPrecharge: 'diodes',
  prechargeOhm: 47,
  linkOhm: 0.1,
  bleederOhm: 150_000,
  capacitance_uF: 1000,
  ...differs,
});

/** Terminals that a lead can reach. */
export const terminals = ['L1', 'L2', 'L3', 'U', 'V', 'W', 'BR', 'DC+', 'DC-', 'DC+R'] as const;
/** A terminal that a lead can reach. */
export type Terminal = (typeof terminals)[number];

/** One terminal of the power strip: its marking on the plate and what it is. */
export interface MarkedTerminal {
  mark: string;
  terminal: Terminal | 'PE';
}

/** Devices and parts of a power stage, by their place. */
export const positions = [
  ...(['L1', 'L2', 'L3'] as const).flatMap((l) => [`rect.${l}.hi`, `rect.${l}.lo`] as const),
  ...(['U', 'V', 'W'] as const).flatMap((p) => [`inv.${p}.hi`, `inv.${p}.lo`] as const),
  'brk.switch',
  'brk.diode',
  'bus.cap',
  'bus.link',
  'bus.precharge',
  'bus.fuse',
  'bus.bleeder',
  'pre.L1',
  'pre.L2',
  'pre.L3',
] as const;
/** A device or part of a power stage, by its place. */
export type Position = (typeof positions)[number];

/** How a device can fail. */
export const faultModes = ['short', 'leaky', 'open', 'degraded'] as const;
/** How a device can fail. */
export type FaultMode = (typeof faultModes)[number];

/** A device that is not as it was made. */
export interface Fault {
  component: Position;
  mode: FaultMode;
  /** Resistance of a short (default 0.5) or a leak (default 1000), Ω. */
  ohm?: number;
  /** Degraded by resistance in series, Ω (default 100, i.e. +100 mV at 1 mA). */
  addedOhm?: number;
  /** Degraded by a smaller saturation current, factor; then no resistance is added. */
  isScale?: number;
}

/** Where the red and the black lead of the meter sit. */
export interface Probe {
  red: Terminal;
  black: Terminal;
}

/** The lines a front end has. */
export const linesOf = (s: Stage): readonly ('L1' | 'L2' | 'L3')[] =>
  s.frontEnd === 'diode-1ph' ? ['L1', 'L2'] : ['L1', 'L2', 'L3'];

/** The output terminals. */
export const motorTerminals = ['U', 'V', 'W'] as const;

/** The terminals that this stage has and a lead can reach. */
export const terminalsOf = (s: Stage): Terminal[] => [
  ...linesOf(s),
  ...motorTerminals,
  ...(s.brake ? (['BR'] as const) : []),
  'DC+',
  'DC-',
  ...(s.link !== 'none' && s.dcrAccessible ? (['DC+R'] as const) : []),
];

/** The positions that this stage has. */
export function positionsOf(s: Stage): Position[] {
  const half = s.frontEnd === 'scr-half-3ph';
  const lines = linesOf(s);
  return [
    ...lines.flatMap((l): Position[] => [`rect.${l}.hi`, `rect.${l}.lo`]),
    ...motorTerminals.flatMap((p): Position[] => [`inv.${p}.hi`, `inv.${p}.lo`]),
    ...(s.brake ? (['brk.switch', 'brk.diode'] as const) : []),
    'bus.cap',
    ...(s.link === 'link' ? (['bus.link'] as const) : []),
    ...(s.link === 'precharge' || (half && s.scrPrecharge === 'diodes') ? (['bus.precharge'] as const) : []),
    ...(s.fuse === 'inverter' ? (['bus.fuse'] as const) : []),
    'bus.bleeder',
    ...(half && s.scrPrecharge === 'diodes' ? lines.map((l): Position => `pre.${l}`) : []),
  ];
}

/** The kinds of device whose forward drops should agree. */
export type Family = 'rectifier' | 'freewheel' | 'brake' | 'precharge';

/** The family a junction belongs to; null for what is not a junction. */
export function familyOf(position: string): Family | null {
  if (position.startsWith('rect.')) return 'rectifier';
  if (position.startsWith('inv.')) return 'freewheel';
  if (position.startsWith('brk.')) return 'brake';
  if (position.startsWith('pre.')) return 'precharge';
  return null;
}

const frontEndWords: Readonly<Record<Stage['frontEnd'], string>> = {
  'diode-3ph': 'three-phase diode rectifier',
  'diode-1ph': 'single-phase diode rectifier',
  'scr-half-3ph': 'half-controlled',
};

/** A stage in a few words: "half-controlled, link, brake". */
export const stageWords = (s: Stage): string =>
  [
    frontEndWords[s.frontEnd],
    ...(s.link === 'none' ? [] : [s.link]),
    ...(s.fuse === 'inverter' ? ['inverter fuse'] : []),
    s.brake ? 'brake' : 'no brake',
  ].join(', ');
