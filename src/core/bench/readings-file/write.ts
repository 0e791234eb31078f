import Papa from 'papaparse';
import { commonMeter, type Probe, type Stage, type Value } from '../../equipment/power-stage';

interface Taken extends Probe {
  value: Value;
  /** When, ms since 1970. */
  at: number;
  by: { name: string };
}

const rowOf = ({ red, black, value, at, by }: Taken) => ({
  red,
  black,
  value,
  taken_at: new Date(at).toISOString(),
  by: by.name,
});

/** One reading a line, in the order they were taken. */
export const asJsonLines = (readings: readonly Taken[]): string =>
  readings.map((r) => `${JSON.stringify(rowOf(r))}\n`).join('');

/** A bare 1 is how some meters show overload: it gets its point. */
const unmistakable = (value: Value): Value | string => (value === 1 ? '1.000' : value);

const heads = ['red', 'black', 'value', 'taken_at', 'by'] as const;

/** A table with a head, even without a reading; text that a spreadsheet would take for a formula is made harmless. */
export const asCsv = (readings: readonly Taken[]): string =>
  Papa.unparse(
    {
      fields: [...heads],
      data: readings.map(rowOf).map((row) => ({ ...row, value: unmistakable(row.value) })),
    },
    { escapeFormulae: true },
  );

/** The test as a question to `./grim calc static-diagnose`. */
export const asCase = (id: string, stage: Stage, readings: readonly Taken[]): string =>
  JSON.stringify({
    id,
    stage,
    meter: commonMeter,
    readings: readings.map(({ red, black, value }) => ({ red, black, value })),
  });
