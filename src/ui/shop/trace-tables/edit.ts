import type { TraceCause, Check, TraceTable } from '@/core/fault-finding/tracing';

/** The chance of an outcome under a cause. */
export const chanceOf = ({ given, otherwise }: Check['outcomes'][number], cause: string): number =>
  given[cause] ?? otherwise;

/** The first outcome gets a chance under a cause; the others share the rest as they did. */
export function withChance(check: Check, cause: string, chance: number): Check {
  const [first, ...others] = check.outcomes;
  if (first === undefined) return check;
  const before = others.reduce((sum, o) => sum + chanceOf(o, cause), 0);
  const rest = 1 - chance;
  return {
    ...check,
    outcomes: [
      { ...first, given: { ...first.given, [cause]: chance } },
      ...others.map((o) => ({
        ...o,
        given: {
          ...o.given,
          [cause]: before > 0 ? (rest * chanceOf(o, cause)) / before : rest / others.length,
        },
      })),
    ],
  };
}

const freeId = (stem: string, taken: readonly { id: string }[]): string => {
  let n = taken.length + 1;
  while (taken.some((t) => t.id === `${stem}-${n}`)) n += 1;
  return `${stem}-${n}`;
};

export const withCause = (table: TraceTable): TraceTable => ({
  ...table,
  causes: [
    ...table.causes,
    { id: freeId('cause', table.causes), name: '', weight: 10, remedy: '', cure_min: 30 },
  ],
});

/** Without a cause, and without what the checks say of it. */
export const withoutCause = (table: TraceTable, id: string): TraceTable => ({
  ...table,
  causes: table.causes.filter((c) => c.id !== id),
  checks: table.checks.map((check) => ({
    ...check,
    outcomes: check.outcomes.map((o) => ({
      ...o,
      given: Object.fromEntries(Object.entries(o.given).filter(([cause]) => cause !== id)),
    })),
  })),
});

export const withCheck = (table: TraceTable): TraceTable => ({
  ...table,
  checks: [
    ...table.checks,
    {
      id: freeId('check', table.checks),
      what: '',
      minutes: 5,
      hazard: 'none',
      outcomes: [
        { id: 'yes', words: 'yes', given: {}, otherwise: 0.5 },
        { id: 'no', words: 'no', given: {}, otherwise: 0.5 },
      ],
    },
  ],
});

export const changeAt = <T extends TraceCause | Check>(list: readonly T[], next: T): T[] =>
  list.map((x) => (x.id === next.id ? next : x));
