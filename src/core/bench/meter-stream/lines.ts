/** What one line of a meter says. */
export type MeterLine =
  | { kind: 'figure'; volts: number }
  | { kind: 'open' }
  | { kind: 'battery-low' }
  | { kind: 'remark' }
  | { kind: 'garbage' };

const figure = /^DIODE ([+-]?\d{1,4}(?:\.\d{1,6})?) V$/;

/** Reads a line of the format in docs/meter-lines.md. */
export function readLine(line: string): MeterLine {
  const text = line.trim();
  if (text === '' || text.startsWith('#')) return { kind: 'remark' };
  if (text === 'DIODE OL V') return { kind: 'open' };
  if (text === 'BATT LOW') return { kind: 'battery-low' };
  const volts = figure.exec(text)?.[1];
  return volts === undefined ? { kind: 'garbage' } : { kind: 'figure', volts: Number(volts) };
}
