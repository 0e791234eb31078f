import type { PlateReading } from '@/core/reading/plate-text';
import type { MadePlate, PlateTruth } from './plates';

/** How readings of plates compare with what is true: counts, and what went wrong in words. */
export interface PlateScore {
  fields: number;
  right: number;
  /** Read although it is not on the plate. */
  invented: number;
  /** Told with a confidence of 0.9 and more; and of those, wrong. */
  sure: number;
  sureButWrong: number;
  calibration: { told: number; right: number }[];
  wrong: string[];
}

/** Bounds of confidence that are counted apart. */
export const plateBins = [0, 0.5, 0.7, 0.8, 0.9, 0.97];

const emptyScore = (): PlateScore => ({
  ...{ fields: 0, right: 0, invented: 0, sure: 0, sureButWrong: 0 },
  calibration: plateBins.map(() => ({ told: 0, right: 0 })),
  wrong: [],
});

interface Told {
  value: unknown;
  confidence: number;
}

const lists = ['power', 'volts', 'amps', 'hz', 'rpm', 'outputAmps'] as const;
const singles = [
  ...['cosPhi', 'serviceFactor', 'insulationClass', 'serial', 'type', 'phases', 'inputVolts', 'waitMinutes'],
] as readonly (keyof PlateTruth & keyof PlateReading['fields'])[];

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Compares what was read with the plate; kinds of fields that a truth leaves out are not judged. */
export function scorePlate({ name, truth }: MadePlate, reading: PlateReading): PlateScore {
  const score = emptyScore();
  const judge = (field: string, told: Told | undefined, isTrue: boolean, wanted: unknown): void => {
    if (wanted !== undefined) score.fields += 1;
    if (wanted !== undefined && isTrue) score.right += 1;
    if (wanted === undefined) score.invented += 1;
    if (!isTrue)
      score.wrong.push(
        `${name}: ${field} is ${JSON.stringify(wanted ?? null)}, read ${JSON.stringify(told?.value ?? null)} (${told?.confidence.toFixed(2) ?? '–'})`,
      );
    if (told === undefined) return;
    const bin = score.calibration[plateBins.findLastIndex((least) => told.confidence >= least)];
    if (bin !== undefined) {
      bin.told += 1;
      if (isTrue) bin.right += 1;
    }
    if (told.confidence >= 0.9) {
      score.sure += 1;
      if (!isTrue) score.sureButWrong += 1;
    }
  };
  for (const field of lists) {
    const wanted = truth[field];
    if (wanted === undefined) continue;
    const told: Told[] = [...(reading.fields[field] ?? [])];
    for (const value of wanted) {
      const at = told.findIndex((t) => t.value === value);
      if (at >= 0) judge(field, told.splice(at, 1)[0], true, value);
      else if (told.length > 0) {
        // The nearest of what is left is what this value was read as.
        const nearest = told
          .map((t, i) => [Math.abs(Number(t.value) - value), i] as const)
          .filter(([, i]) => !wanted.some((w) => w === told[i]?.value))
          .sort((a, b) => a[0] - b[0])[0]?.[1];
        judge(field, nearest === undefined ? undefined : told.splice(nearest, 1)[0], false, value);
      } else judge(field, undefined, false, value);
    }
    for (const extra of told) judge(field, extra, false, undefined);
  }
  for (const field of singles) {
    const wanted = truth[field];
    if (wanted === undefined) continue;
    const told = reading.fields[field] as Told | undefined;
    judge(field, told, told !== undefined && same(told.value, wanted), wanted);
  }
  return score;
}

/** Scores of several plates as one. */
export const totalOfPlates = (scores: readonly PlateScore[]): PlateScore =>
  scores.reduce(
    (sum, one) => ({
      fields: sum.fields + one.fields,
      right: sum.right + one.right,
      invented: sum.invented + one.invented,
      sure: sum.sure + one.sure,
      sureButWrong: sum.sureButWrong + one.sureButWrong,
      calibration: sum.calibration.map(({ told, right }, i) => ({
        told: told + (one.calibration[i]?.told ?? 0),
        right: right + (one.calibration[i]?.right ?? 0),
      })),
      wrong: [...sum.wrong, ...one.wrong],
    }),
    emptyScore(),
  );
