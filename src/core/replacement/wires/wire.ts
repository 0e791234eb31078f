import { inputFunctionNames } from '../../equipment/concepts';
import type { WireRole } from './terminals';

/** A wire as the map asks for it. */
export interface Wire {
  id: string;
  /** Mark of the old terminal, as it was found; null: it hangs loose. */
  from: string | null;
  /** What it was proven to be; `none`: it goes nowhere. */
  role: WireRole | 'none' | 'unknown';
  /** Who took an unknown one on, and why. */
  accepted?: { by: string; reason: string } | null | undefined;
  /** Volts seen against the common it belongs to. */
  volts?: number | undefined;
  /** A terminal that a person chose; null: it gets none. */
  chosen?: string | null | undefined;
  /** Where it was seen on the new unit: it stays there whatever the values say. */
  landed?: string | undefined;
}

/** Positions of the jumpers of analog inputs, as they were seen. */
export type Jumpers = Partial<Record<'AI1' | 'AI2', 'V' | 'mA'>>;

/** An entry that must have another value for a wire to do there what it did. */
export interface EntryChange {
  number: string;
  name: string;
  value: number;
  shown: string;
}

/** Where a wire goes, and why. */
export interface WirePlacement {
  wire: string;
  /** Mark of the new terminal; null: it gets none. */
  to: string | null;
  /**
   * `goes`: the terminal does that already; `set`: an entry must be changed first; `no-home`: the new unit has nothing for it;
   * `cap`: it goes nowhere, cap and tag it; `unknown`: nobody knows what it is; `by-hand`: a person decides; `chosen`: one did.
   */
  outcome: 'goes' | 'set' | 'no-home' | 'cap' | 'unknown' | 'by-hand' | 'chosen';
  why: string;
  change: EntryChange | null;
}

/** Above this no control terminal of a drive takes a wire (common practice, no source). */
export const mostControlVolts = 35;

const roleNames: Readonly<Record<string, string>> = {
  plus24: 'own 24 V',
  'digital-common': 'common of the inputs',
  plus10: '10 V for a potentiometer',
  'analog-common': 'common of the analog signals',
  'reference-volts': 'reference, voltage',
  'reference-current': 'reference, current',
  'analog-out': 'analog output',
  'safe-1': 'STO, channel 1',
  'safe-2': 'STO, channel 2',
  'safe-supply': 'STO, supply',
  'safe-return': 'STO, return',
  option: 'option board',
  serial: 'serial link',
  thermistor: 'thermistor',
  none: 'not connected',
  unknown: 'not known',
};

const inputNames: Readonly<Record<string, string | undefined>> = inputFunctionNames;

/** A role in words. */
export function wireRoleWords(role: WireRole | 'none' | 'unknown'): string {
  const named = roleNames[role];
  if (named !== undefined) return named;
  const [kind, what = '', contact = ''] = role.split(':');
  if (kind === 'power') return what === 'PE' ? 'protective earth' : `power, ${what}`;
  if (kind === 'in') return inputNames[what] ?? what.replaceAll('-', ' ');
  return `relay “${what.replaceAll('-', ' ')}”, ${contact}`;
}
