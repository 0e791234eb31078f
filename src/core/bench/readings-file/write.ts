import { commonMeter, type Probe, type Stage, type Value } from '../../equipment/power-stage';
import { csvOfRecords } from '../../text';

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

/** A table. */
export const asCsv = (readings: readonly Taken[]): string =>
  csvOfRecords(
    heads,
    readings.map(rowOf).map((row) => ({ ...row, value: unmistakable(row.value) })),
  );

/** The test as a question to `./grim calc static-diagnose`. */
export const asCase = (id: string, stage: Stage, readings: readonly Taken[]): string =>
  JSON.stringify({
    id,
    stage,
    meter: commonMeter,
    readings: readings.map(({ red, black, value }) => ({ red, black, value })),
  });
