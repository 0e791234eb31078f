import { distance } from 'fastest-levenshtein';

// Common practice, no source: what plates write beside their values, and what readers of letters make of it.

/** A value of a plate that has a unit or a label. */
export type PlateQuantity =
  | 'power-kW'
  | 'power-hp'
  | 'volts'
  | 'amps'
  | 'hz'
  | 'rpm'
  | 'cosPhi'
  | 'serviceFactor'
  | 'poles'
  | 'efficiency'
  | 'waitMinutes'
  | 'other';

const patterns: readonly (readonly [PlateQuantity, RegExp])[] = [
  ['power-kW', /^(?:k[wv]{1,2}|power|p[n2])$/i],
  ['power-hp', /^(?:hp|h\.p\.?|cv|ps)$/i],
  ['hz', /^(?:h[z2xs]|hertz|freq(?:uency)?\.?)$/i],
  [
    'rpm',
    /^(?:rpm|pm|[-–~]1|\S{1,2}min|r\.p\.m\.?|r\/min\.?|1\/min|min-1|min[-–'’"]?[1li|]|min⁻¹|rev\/min|u\/min|speed)$/i,
  ],
  ['cosPhi', /^(?:cos ?[φϕøo0@pq9¢e]?|cosφ|cos\.? ?phi|p\.?f\.?|power factor|cosphi)$/i],
  ['volts', /^(?:v|vv|\\['’]?[})/]?|\\\/|volts?|vac|v\.|u[n1]|voltage|v~|v[aΔ4∆][/rln]{0,2}[yλ]?)$/i],
  ['amps', /^(?:a|amps?\.?|amperes?|fla|f\.l\.a\.?|current|i[n1]|a\.|a[aΔ4∆][/rln]{0,2}[yλ])$/i],
  ['serviceFactor', /^(?:s\.?f\.?|service factor)$/i],
  ['poles', /^(?:poles?|pol\.?)$/i],
  ['efficiency', /^(?:%|eff\.?|η|nom\.? ?eff\.?|efficiency|eta)$/i],
  ['waitMinutes', /^(?:min|mins|minutes?)$/i],
  [
    'other',
    /^(?:ip|kg|lb|lbs|°c|amb\.?|iec|frame|mm|duty|s1|code|design|kva|nm|rise|ta|de|nde|bearing|ie[1-4]|class|cl\.?|isol\.?|kvar|in|phase|ph|year|weight|enclosure|rating|efficiency class)$/i,
  ],
];

/** Symbols of formulas, which only count as capitals: a scratch is easily an "i". */
const symbols: Readonly<Record<string, PlateQuantity>> = { U: 'volts', I: 'amps' };

/** Words that are long enough to be known with a letter wrong or worn off. */
const longLabels: readonly (readonly [string, PlateQuantity])[] = [
  ['voltage', 'volts'],
  ['volts', 'volts'],
  ['current', 'amps'],
  ['amps', 'amps'],
  ['frequency', 'hz'],
  ['speed', 'rpm'],
  ['power', 'power-kW'],
  ['poles', 'poles'],
];
const lettersOff = 1;

/** What a word beside a value says it is; undefined where it is none we know. */
export function quantityOf(text: string): PlateQuantity | undefined {
  const inside = /^\S{0,3}\(([^()]{1,8})\)$/.exec(text.trim())?.[1];
  const plain = (inside ?? text.trim()).replace(/[:=,;]$/, '');
  const known = symbols[plain] ?? patterns.find(([, pattern]) => pattern.test(plain))?.[0];
  if (known !== undefined || plain.length < 4) return known;
  return longLabels.find(([label]) => distance(label, plain.toLowerCase()) <= lettersOff)?.[1];
}
