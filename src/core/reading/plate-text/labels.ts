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
  ['power-kW', /^k[wvv]{1,2}$/i],
  ['power-hp', /^(?:hp|h\.p\.?|cv|ps)$/i],
  ['hz', /^(?:h[z2xs]|hertz|freq(?:uency)?\.?)$/i],
  ['rpm', /^(?:rpm|r\.p\.m\.?|r\/min\.?|1\/min|min-1|min[-–'’"]?[1li|]|min⁻¹|rev\/min|u\/min|n|speed)$/i],
  ['cosPhi', /^(?:cos ?[φϕøo0@pq9¢e]?|cos\.? ?phi|p\.?f\.?|power factor|cosphi)$/i],
  ['volts', /^(?:v|volts?|vac|v\.|u|voltage|v~)$/i],
  ['amps', /^(?:a|amps?\.?|fla|f\.l\.a\.?|current|i|a\.)$/i],
  ['serviceFactor', /^(?:s\.?f\.?|service factor)$/i],
  ['poles', /^(?:poles?|pol\.?)$/i],
  ['efficiency', /^(?:%|eff\.?|η|nom\.? ?eff\.?|efficiency|eta)$/i],
  ['waitMinutes', /^(?:min|mins|minutes?)$/i],
  [
    'other',
    /^(?:ip|kg|lb|lbs|°c|amb\.?|iec|frame|mm|duty|s1|code|design|kva|nm|rise|ta|de|nde|bearing|ie[1-4]|class|cl\.?|isol\.?|kvar|in|phase|ph|year)$/i,
  ],
];

/** What a word beside a value says it is; undefined where it is none we know. */
export function quantityOf(text: string): PlateQuantity | undefined {
  const plain = text.trim().replace(/[:=,;]$/, '');
  return patterns.find(([, pattern]) => pattern.test(plain))?.[0];
}
