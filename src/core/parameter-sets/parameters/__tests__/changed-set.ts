/** Sets that differ from another in so many entries, for tests and timings. */
import type { Parameter } from '../../../equipment/catalogue';
import { limitsOf, type Values } from '../../../equipment/drive-words';
import type { RatedUnit } from '..';

/** Never set by such a set: locks, memory, resets, commands, and what an identification found. */
const never = /^(lock|store|factory|clock|motor\.ident|motor\.stator|motor\.no-load|serial)/;

/**
 * A set with so many entries otherwise than they were found, each within its range.
 * @param except concepts that stay as they are: a run that its own values would start is held, rightly
 */
export function changedSet(
  { control, rating }: RatedUnit,
  found: Values,
  count: number,
  random: () => number,
  except = /^$/,
): Values {
  const open = control.parameters.filter(
    (p) =>
      found[p.number] !== undefined &&
      !p.readOnly &&
      p.resets === undefined &&
      !never.test(p.concept ?? '') &&
      !except.test(p.concept ?? ''),
  );
  const other = (p: Parameter): number => {
    const choices = p.choices?.filter((c) => c.value !== found[p.number]);
    if (choices !== undefined) return choices[Math.floor(random() * choices.length)]?.value ?? 0;
    const { min, max } = limitsOf(p, rating);
    const steps = Math.floor((max - min) / p.scale);
    const value = Number((min + Math.floor(random() * steps) * p.scale).toFixed(6));
    return value === found[p.number] ? max : value;
  };
  const some = open
    .map((p) => ({ p, at: random() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, count);
  return { ...found, ...Object.fromEntries(some.map(({ p }) => [p.number, other(p)])) };
}

/** Entries that decide what runs the drive, and what its inputs do. */
export const runSources = /^(run|input\.DI|input\.polarity|place)/;
