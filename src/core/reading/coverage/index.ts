// How far the tools work with what is known of a type.
import type { AlarmFamily, ConceptId } from '../../equipment/concepts';

/** A tool that needs to know some of a type. */
export type Tool = 'start-up' | 'run-chain' | 'fault-finding';

/** A thing a tool needs, by one concept or another, and what it cannot do without. */
interface Need {
  any: readonly ConceptId[];
  without: string;
}

const need = (without: string, ...any: ConceptId[]): Need => ({ any, without });

/** Common practice, no source: what everybody sets on a motor, and what a run depends on. */
const needs: Readonly<Record<Exclude<Tool, 'fault-finding'>, readonly Need[]>> = {
  'start-up': [
    need('no motor power on the sheet', 'motor.power'),
    need('no check of the V/Hz ratio', 'motor.voltage'),
    need('no check of the motor current', 'motor.current'),
    need('no check of the base frequency', 'motor.frequency'),
    need('no slip, no speed limit check', 'motor.speed'),
    need('no overload check', 'protect.overload-amps', 'protect.overload-percent'),
    need('no upper speed limit', 'limit.maximum-frequency'),
    need('no lower speed limit', 'limit.minimum-frequency'),
    need('no check of the ramp up', 'ramp.up'),
    need('no check of the ramp down', 'ramp.down'),
    need('no stop mode on the sheet', 'stop.mode'),
    need('no check of the load curve', 'control.torque-curve', 'control.mode'),
    need('no control source on the sheet', 'place.remote-run'),
    need('no reference source on the sheet', 'place.remote-reference'),
  ],
  'run-chain': [
    need('the control source stays unknown', 'place.remote-run'),
    need('the reference source stays unknown', 'place.remote-reference'),
    need('the function of the first input stays unknown', 'input.DI1'),
    need('the function of the second input stays unknown', 'input.DI2'),
    need('the wiring of the run command stays unknown', 'run.wiring'),
    need('a lower limit above the reference is not seen', 'limit.minimum-frequency'),
    need('a locked direction is not seen', 'limit.reverse', 'motor.direction'),
  ],
};

/** What a tool cannot do yet, and by which concepts it could. */
export interface Missing {
  tool: Tool;
  concepts: readonly ConceptId[];
  without: string;
}

/** How far a tool works, in percent of what it needs. */
export interface Coverage {
  tool: Tool;
  percent: number;
  missing: Missing[];
}

/**
 * How far each tool works.
 * @param known concepts that have a parameter
 * @param families the family of each fault of the type; null where none is known. Without any fault the tracer has nothing
 */
export function coverageOf(
  known: ReadonlySet<ConceptId>,
  families: readonly (AlarmFamily | null)[],
): Coverage[] {
  const told = families.filter((family) => family !== null).length;
  const tools = (['start-up', 'run-chain'] as const).map((tool): Coverage => {
    const missing = needs[tool].filter(({ any }) => !any.some((id) => known.has(id)));
    return {
      tool,
      percent: Math.round((100 * (needs[tool].length - missing.length)) / needs[tool].length),
      missing: missing.map(({ any, without }) => ({ tool, concepts: any, without })),
    };
  });
  return [
    {
      tool: 'fault-finding',
      percent: families.length === 0 ? 0 : Math.round((100 * told) / families.length),
      missing: [],
    },
    ...tools,
  ];
}

/** How many tools a concept would serve that is not known yet: the doubtful ones are asked in this order. */
export const unlocks = (id: ConceptId, coverage: readonly Coverage[]): Missing[] =>
  coverage.flatMap(({ missing }) => missing.filter(({ concepts }) => concepts.includes(id)));
