import type { FaultMode } from '../../equipment/power-stage';

/** One line of the table: when these parts are dead, that is probably why, and these are to be looked at. */
export interface Consequence {
  id: string;
  /** Beginnings of position names, e.g. "inv." for every inverter position. */
  parts: string[];
  modes: FaultMode[];
  /** At least so many different positions of these must be dead; of different legs where more than one. */
  atLeast: number;
  chain: string;
  inspect: string[];
}

/** What shops have seen (common practice, no source). A site may change it in its settings. */
export const usualConsequences: readonly Consequence[] = [
  {
    id: 'surge',
    parts: ['rect.'],
    modes: ['short', 'open', 'leaky'],
    atLeast: 2,
    chain:
      'Devices of two phases of the rectifier dead together: a surge on the supply, or a short behind it.',
    inspect: [
      'line fuses and surge arresters',
      'supply volts, phase by phase',
      'bank and inverter for a short',
    ],
  },
  {
    id: 'rectifier',
    parts: ['rect.'],
    modes: ['short', 'open', 'leaky', 'degraded'],
    atLeast: 1,
    chain:
      'A rectifier device dead: overload, a supply surge, or a short behind it that took the fuse too late.',
    inspect: [
      'line fuses',
      'loose lugs at the input',
      'bank for a short',
      'precharge resistor and its relay',
    ],
  },
  {
    id: 'inverter-short',
    parts: ['inv.'],
    modes: ['short', 'leaky'],
    atLeast: 1,
    chain:
      'An inverter position shorted: the gate driver, the motor or its cable are likely behind it, or went with it.',
    inspect: [
      'gate driver of that position and its supply',
      'motor and cable insulation to earth and between phases',
      'the other device of the same leg',
      'bank and rectifier',
    ],
  },
  {
    id: 'inverter-open',
    parts: ['inv.'],
    modes: ['open', 'degraded'],
    atLeast: 1,
    chain: 'A freewheel path open: the module has burnt inside, mostly after a short.',
    inspect: ['the other device of the same leg', 'gate driver', 'motor and cable insulation'],
  },
  {
    id: 'bank-short',
    parts: ['bus.cap'],
    modes: ['short', 'leaky'],
    atLeast: 1,
    chain:
      'The bank shorted: the precharge resistor usually opens as a consequence; sharing resistors or age are behind it.',
    inspect: [
      'precharge resistor and its relay',
      'balancing resistors',
      'line fuses',
      'fan and filters: was it hot?',
    ],
  },
  {
    id: 'precharge-open',
    parts: ['bus.precharge'],
    modes: ['open', 'degraded'],
    atLeast: 1,
    chain:
      'The precharge resistor open: often the consequence of a shorted bank or inverter, or of a bypass relay that does not close.',
    inspect: ['bank for a short', 'bypass relay and its coil drive', 'how often the supply was switched'],
  },
  {
    id: 'fuse-open',
    parts: ['bus.fuse'],
    modes: ['open'],
    atLeast: 1,
    chain:
      'The inverter fuse blown: something behind it is or was shorted. The meter sees it only between motor terminals.',
    inspect: ['inverter, between U, V and W', 'brake transistor', 'motor and cable'],
  },
  {
    id: 'link-open',
    parts: ['bus.link'],
    modes: ['open', 'degraded'],
    atLeast: 1,
    chain: 'The link between rectifier and bank open: left off, a choke wire loose or burnt.',
    inspect: ['the link or choke terminals for heat', 'was it left off at the last work?'],
  },
  {
    id: 'brake',
    parts: ['brk.'],
    modes: ['short', 'open', 'leaky'],
    atLeast: 1,
    chain: 'The brake chopper dead: a resistor of too few ohms, or shorted, or its cable to earth.',
    inspect: ['brake resistor: ohms and to earth', 'its cable', 'deceleration ramps that ask too much'],
  },
];
