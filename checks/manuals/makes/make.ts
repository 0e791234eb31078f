import type { AlarmFamily, ConceptId } from '@/core/equipment/concepts';

// Invented makes, for the checks only: how their manuals call things, and what they mean.

/** What is true of one parameter of an invented make. */
export interface TrueParameter {
  number: string;
  name: string;
  concept: ConceptId | null;
  unit: string | null;
  min: number;
  max: number;
  default: number | { '50Hz': number; '60Hz': number };
  choices: { value: number; name: string }[];
  register: number;
  group: string;
}

/** A make: its parameters by groups, and its faults. */
export interface Make {
  name: string;
  parameters: TrueParameter[];
  alarms: { code: string; name: string; family: AlarmFamily; cause: string; remedy: string }[];
}

type Line = readonly [name: string, concept: ConceptId | null, range: string, given: string];

/**
 * A make from short lines.
 * @param groups heading → lines: name, concept, "min..max unit" or "0 a|1 b|…", default ("50/60" for two)
 * @param numbered the number of a line, from its group and place
 */
export function make(
  name: string,
  groups: Readonly<Record<string, readonly Line[]>>,
  numbered: (group: number, index: number) => string,
  alarms: readonly (readonly [
    code: string,
    name: string,
    family: AlarmFamily,
    cause: string,
    remedy: string,
  ])[],
): Make {
  const parameters = Object.entries(groups).flatMap(([group, lines], g) =>
    lines.map(([title, concept, range, given], i): TrueParameter => {
      const figures = /^(-?[\d.]+)\.\.(-?[\d.]+)\s*(.*)$/.exec(range);
      const choices =
        figures === null
          ? range.split('|').map((part) => ({
              value: Number(part.slice(0, part.indexOf(' '))),
              name: part.slice(part.indexOf(' ') + 1),
            }))
          : [];
      const [at50 = '', at60] = given.split('/');
      return {
        number: numbered(g, i),
        name: title,
        concept,
        unit: figures?.[3] === undefined || figures[3] === '' ? null : figures[3],
        min: figures === null ? Math.min(...choices.map((c) => c.value)) : Number(figures[1]),
        max: figures === null ? Math.max(...choices.map((c) => c.value)) : Number(figures[2]),
        default: at60 === undefined ? Number(at50) : { '50Hz': Number(at50), '60Hz': Number(at60) },
        choices,
        register: 4000 + g * 100 + i,
        group,
      };
    }),
  );
  return {
    name,
    parameters,
    alarms: alarms.map(([code, fault, family, cause, remedy]) => ({
      code,
      name: fault,
      family,
      cause,
      remedy,
    })),
  };
}

/** A number of two digits. */
export const two = (n: number): string => String(n).padStart(2, '0');
