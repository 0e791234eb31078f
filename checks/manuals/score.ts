import type { ManualReading } from '@/core/reading/manual';
import { unitOf } from '@/core/reading/meaning';
import type { Make, TrueParameter } from './makes';

/** How a reading compares with what is true: counts, and what went wrong in words. */
export interface Score {
  parameters: number;
  found: number;
  names: number;
  units: number;
  ranges: number;
  defaults: number;
  choices: number;
  withConcept: number;
  conceptsRight: number;
  /** Told with a confidence of 0.9 and more; and of those, wrong. */
  sure: number;
  sureButWrong: number;
  /** How many were told with a confidence of 0.5, 0.6 … and of those, how many are right. */
  calibration: { told: number; right: number }[];
  alarms: number;
  familiesRight: number;
  spurious: string[];
  wrong: string[];
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const bins = [0.5, 0.6, 0.7, 0.8, 0.9, 0.99];
const binOf = (confidence: number): number => bins.findLastIndex((least) => confidence >= least);

type Entry = ManualReading['entries'][number];

const partsOf = (entry: Entry, p: TrueParameter) => ({
  names: entry.name === p.name,
  units: entry.unit === (p.unit === null ? null : unitOf(p.unit)),
  ranges: entry.min === p.min && entry.max === p.max,
  defaults: same(entry.default, p.default),
  choices: same(
    entry.choices.map(({ value, name }) => ({ value, name })),
    p.choices,
  ),
});

/** Compares what was read of a manual with the make it was printed from. */
export function score(make: Make, reading: ManualReading): Score {
  const result: Score = {
    ...{
      parameters: make.parameters.length,
      found: 0,
      names: 0,
      units: 0,
      ranges: 0,
      defaults: 0,
      choices: 0,
    },
    ...{ withConcept: 0, conceptsRight: 0, sure: 0, sureButWrong: 0 },
    calibration: bins.map(() => ({ told: 0, right: 0 })),
    ...{ alarms: make.alarms.length, familiesRight: 0, spurious: [], wrong: [] },
  };
  const left = new Map(reading.entries.map((entry) => [entry.number, entry]));
  for (const p of make.parameters) {
    const entry = left.get(p.number);
    left.delete(p.number);
    if (p.concept !== null) result.withConcept += 1;
    if (entry === undefined) {
      result.wrong.push(`${p.number} ${p.name}: not found`);
      continue;
    }
    result.found += 1;
    for (const [part, right] of Object.entries(partsOf(entry, p)) as [
      keyof ReturnType<typeof partsOf>,
      boolean,
    ][])
      if (right) result[part] += 1;
      else result.wrong.push(`${p.number} ${p.name}: ${part}`);
    judgeConcept(result, p, entry);
  }
  result.spurious.push(...[...left.values()].map(({ number, name }) => `${number} ${name}`));
  for (const alarm of make.alarms) {
    const read = reading.alarms.find(({ code }) => code === alarm.code);
    if (read?.name === alarm.name && read.family?.id === alarm.family) result.familiesRight += 1;
    else result.wrong.push(`${alarm.code} ${alarm.name}: ${read?.family?.id ?? 'not found'}`);
  }
  return result;
}

function judgeConcept(result: Score, { number, name, concept }: TrueParameter, entry: Entry): void {
  const told = entry.concept;
  const right = told?.id === concept;
  if (concept !== null && right) result.conceptsRight += 1;
  if (concept !== (told?.id ?? null))
    result.wrong.push(`${number} ${name}: ${told?.id ?? 'no concept'}, not ${concept ?? 'any'}`);
  if (told === null) return;
  const bin = result.calibration[binOf(told.confidence)];
  if (bin !== undefined) {
    bin.told += 1;
    bin.right += right ? 1 : 0;
  }
  if (told.confidence < 0.9) return;
  result.sure += 1;
  if (!right) result.sureButWrong += 1;
}

/** A share, 1 of nothing. */
export const shareOf = (part: number, whole: number): number => (whole === 0 ? 1 : part / whole);

/** All scores as one. */
export const totalOf = (scores: readonly Score[]): Score =>
  scores.reduce((a, b) => ({
    ...(Object.fromEntries(
      Object.entries(a).map(([key, value]) => [
        key,
        typeof value === 'number' ? value + (b[key as keyof Score] as number) : value,
      ]),
    ) as unknown as Score),
    calibration: a.calibration.map(({ told, right }, i) => ({
      told: told + (b.calibration[i]?.told ?? 0),
      right: right + (b.calibration[i]?.right ?? 0),
    })),
    spurious: [...a.spurious, ...b.spurious],
    wrong: [...a.wrong, ...b.wrong],
  }));

const percent = (part: number, whole: number): string =>
  `${(100 * shareOf(part, whole)).toFixed(1)} %`.padStart(8);

/** The scores as lines for a person, with the calibration at the end. */
export function table(scores: ReadonlyMap<string, Score>): string {
  const line = (name: string, s: Score): string =>
    [
      name.padEnd(30),
      ...[s.names, s.units, s.ranges, s.defaults, s.choices].map((n) => percent(n, s.found)),
      percent(s.conceptsRight, s.withConcept),
      percent(s.familiesRight, s.alarms),
      `${s.found}/${s.parameters}`.padStart(9),
    ].join(' ');
  const all = totalOf([...scores.values()]);
  return [
    `${'manual'.padEnd(30)}    name     unit    range  default  choices  concept   family    found`,
    ...[...scores].map(([name, s]) => line(name, s)),
    line('all', all),
    `told with 0.9 and more: ${all.sure}, of them wrong: ${all.sureButWrong}`,
    ...all.calibration.map(
      ({ told, right }, i) => `confidence ≥ ${bins[i] ?? 0}: ${told} told, ${percent(right, told)} right`,
    ),
    ...all.wrong.slice(0, 20),
  ].join('\n');
}
