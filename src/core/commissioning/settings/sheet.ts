import type { Control, Parameter } from '../../equipment/catalogue';
import type { ConceptId } from '../../equipment/concepts';
import {
  limitsOf,
  boundsText,
  meaningOf,
  parameterFor,
  shownAs,
  type Rating,
  type Values,
} from '../../equipment/drive-words';
import { kilowatts, plateSums, type Finding, type Plate } from '../../equipment/plate';
import { vPerHz } from './flux';
import { controlRules } from './rules/control';
import { limitRules } from './rules/limits';
import { motorRules } from './rules/motor';
import type { StartUpChoices } from '../../equipment/application';
import type { StartUpContext, RuleOutcome, StartUpRule } from './rule';

/** What a start-up sheet is made from: motor, drive, supply and choices. */
export interface StartUp {
  plate: Plate;
  control: Pick<Control, 'parameters' | 'locks'>;
  rating: Rating;
  supply: { volts: number; hz: number };
  choices: StartUpChoices;
  /** For which it was derated at its place. */
  carrier_kHz?: number | undefined;
  /** Motors alike on the one drive. */
  motors?: number | undefined;
  /** What is in the drive now, where it was read. */
  values?: Values | undefined;
}

/** One parameter of the start-up sheet, with its rule and calculation. */
export interface SheetRow {
  concept: ConceptId;
  number: string;
  name: string;
  unit: string | null;
  /** To enter, in the entry's own unit; null where nothing may be entered. */
  value: number | null;
  /** As the keypad shows it. */
  shown: string;
  rule: string;
  formula: string;
  sum: string;
  provenance: string;
  warnings: string[];
  /** Why nothing may be entered, and what to do instead. */
  refused: { why: string; remedy: string } | null;
  /** The code that opens the entry; shut it again after it. */
  lock: { level: number; code: number } | null;
  standstill: boolean;
  /** What is in the drive now; null where that was not read. */
  now: number | null;
}

/** Every parameter to enter on a drive for one motor and load. */
export interface StartUpSheet {
  rows: SheetRow[];
  /** About the plate, and about plate and region together. */
  findings: Finding[];
}

/** To a step of the entry, down or to the nearest; never below its least nor above its most. */
function stepped(p: Parameter, rating: Rating, wanted: number, rounding: StartUpRule['rounding']) {
  const { min, max } = limitsOf(p, rating);
  const steps = wanted / p.scale;
  const whole = rounding === 'down' ? Math.floor(steps + 1e-9) : Math.round(steps);
  const value = Number((whole * p.scale).toFixed(6));
  const held = Math.min(max, Math.max(min, value));
  return {
    value: held,
    clamped: held === value ? [] : [`${value} is outside ${boundsText(p, rating)}: limited to ${held}.`],
  };
}

function valueFor(
  p: Parameter,
  rating: Rating,
  rounding: StartUpRule['rounding'],
  outcome: Exclude<RuleOutcome, { refused: string }>,
): { value: number; clamped: string[] } | null {
  if (typeof outcome.value === 'number') return stepped(p, rating, outcome.value, rounding);
  const wanted = outcome.value.find((means) => p.choices?.some((c) => c.means === means));
  const value = p.choices?.find((c) => c.means === wanted)?.value;
  return wanted === undefined || value === undefined ? null : { value, clamped: [] };
}

function rowFor(
  { control, rating, values }: StartUp,
  context: StartUpContext,
  rule: StartUpRule,
): SheetRow[] {
  const p = parameterFor(control, rule.concept);
  if (p === undefined || p.readOnly) return [];
  const outcome = rule.apply(context);
  if (outcome === null) return [];
  const code = control.locks.find((l) => l.level === p.lock)?.code;
  const common = {
    concept: rule.concept,
    number: p.number,
    name: p.name,
    unit: p.unit ?? null,
    rule: rule.name,
    formula: rule.formula,
    sum: outcome.sum,
    provenance: rule.provenance,
    lock: p.lock > 0 && code !== undefined ? { level: p.lock, code } : null,
    standstill: p.stop,
    now: values?.[p.number] ?? null,
  };
  if ('refused' in outcome)
    return [
      {
        ...common,
        value: null,
        shown: 'not available',
        warnings: [],
        refused: { why: outcome.refused, remedy: outcome.remedy },
      },
    ];
  const given = valueFor(p, rating, rule.rounding, outcome);
  if (given === null)
    return [
      {
        ...common,
        value: null,
        shown: 'not available',
        warnings: [...(outcome.warnings ?? [])],
        refused: {
          why: `This type does not support “${String(outcome.value)}”.`,
          remedy: 'Leave the parameter if the machine works without it; otherwise use another drive.',
        },
      },
    ];
  return [
    {
      ...common,
      value: given.value,
      shown: shownAs(p, given.value),
      warnings: [...given.clamped, ...(outcome.warnings ?? [])],
      refused: null,
    },
  ];
}

/** Every value to enter on a drive for one motor, load and supply, in the order in which it is entered. */
export function startUpSheet(startUp: StartUp): StartUpSheet {
  const { plate, control, rating, supply, choices, values, motors = 1, carrier_kHz } = startUp;
  const sum = {
    ...plate,
    amps: motors * plate.amps,
    power: { ...plate.power, value: motors * plate.power.value },
  };
  const context: StartUpContext = {
    plate: sum,
    motors,
    sums: { ...plateSums(plate), power_kW: kilowatts(sum.power) },
    rating,
    choices,
    carrier_kHz,
    supply,
  };
  const percent = parameterFor(control, 'protect.overload-percent');
  const floor = percent === undefined ? 0 : Math.max(0, limitsOf(percent, rating).min);
  const rules = [...motorRules, ...limitRules(floor), ...controlRules];
  const inForce = values === undefined ? undefined : meaningOf(control, values, 'region');
  const region = inForce === '50Hz' || inForce === '60Hz' ? inForce : choices.region;
  const rows = rules.flatMap((rule) => rowFor(startUp, context, rule));
  const toEnter = (concept: ConceptId) => rows.find((r) => r.concept === concept)?.value ?? null;
  const entered = { volts: toEnter('motor.voltage'), hz: toEnter('motor.frequency') };
  return { rows, findings: [...context.sums.findings, ...vPerHz(plate, control, rating, region, entered)] };
}
