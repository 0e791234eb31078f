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
    chain: 'Rectifier devices of two phases failed together: a supply surge, or a short downstream.',
    inspect: [
      'line fuses and surge arresters',
      'supply voltage, phase by phase',
      'capacitor bank and inverter for a short',
    ],
  },
  {
    id: 'rectifier',
    parts: ['rect.'],
    modes: ['short', 'open', 'leaky', 'degraded'],
    atLeast: 1,
    chain:
      'A rectifier device failed: overload, a supply surge, or a downstream short cleared too late by the fuse.',
    inspect: [
      'line fuses',
      'loose lugs at the input',
      'capacitor bank for a short',
      'precharge resistor and its relay',
    ],
  },
  {
    id: 'inverter-short',
    parts: ['inv.'],
    modes: ['short', 'leaky'],
    atLeast: 1,
    chain:
      'An inverter device shorted: gate driver, motor or motor cable are the likely cause, or were damaged with it.',
    inspect: [
      'gate driver of that device and its supply',
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
    chain: 'A freewheel path is open: the module is burnt internally, usually after a short.',
    inspect: ['the other device of the same leg', 'gate driver', 'motor and cable insulation'],
  },
  {
    id: 'bank-short',
    parts: ['bus.cap'],
    modes: ['short', 'leaky'],
    atLeast: 1,
    chain:
      'Capacitor bank shorted: the precharge resistor usually opens as a consequence; the cause is balancing resistors or age.',
    inspect: [
      'precharge resistor and its relay',
      'balancing resistors',
      'line fuses',
      'fan and filters: overheated?',
    ],
  },
  {
    id: 'precharge-open',
    parts: ['bus.precharge'],
    modes: ['open', 'degraded'],
    atLeast: 1,
    chain:
      'Precharge resistor open: often a consequence of a shorted capacitor bank or inverter, or of a precharge relay that does not close.',
    inspect: [
      'capacitor bank for a short',
      'precharge relay and its coil driver',
      'how often the supply was switched',
    ],
  },
  {
    id: 'fuse-open',
    parts: ['bus.fuse'],
    modes: ['open'],
    atLeast: 1,
    chain:
      'Inverter fuse blown: something downstream is or was shorted. The meter shows it only between motor terminals.',
    inspect: ['inverter, between U, V and W', 'brake IGBT', 'motor and cable'],
  },
  {
    id: 'link-open',
    parts: ['bus.link'],
    modes: ['open', 'degraded'],
    atLeast: 1,
    chain:
      'Link between rectifier and capacitor bank open: link jumper missing, or choke wire loose or burnt.',
    inspect: ['link or choke terminals for heat marks', 'was the link left off after the last work?'],
  },
  {
    id: 'brake',
    parts: ['brk.'],
    modes: ['short', 'open', 'leaky'],
    atLeast: 1,
    chain:
      'Brake chopper failed: brake resistor of too low resistance or shorted, or an earth fault in its cable.',
    inspect: ['brake resistor: resistance, and insulation to earth', 'its cable', 'ramp down too short'],
  },
];
