import type { Control, Parameter } from '../../equipment/catalogue';
import { meaningOf, parameterAt, valueFault, type Values } from '../../equipment/drive-words';
import type { DriveWrite, OpenIssue } from '../../logbook';
import {
  auditSet,
  type AuditContext,
  type AuditFinding,
  type RatedUnit,
} from '../../parameter-sets/parameters';
import type { StartUpChoices } from '../../equipment/application';
import type { TypedValues } from '../../commissioning/settings';

/** Findings of the audit that are registers of a start-up, and whether a machine may run with them for a while. */
const registers: Readonly<Record<string, { mayWait: boolean }>> = {
  'overload-off': { mayWait: false },
  'ground-off': { mayWait: false },
  'input-phase-off': { mayWait: true },
  'output-phase-off': { mayWait: true },
  'code-in': { mayWait: true },
};
/** The same of what is to be entered, whether it is in the drive yet or not. */
const neverEntered: readonly string[] = ['stop-lets-go'];

const matterOf = ({ rule, numbers, text, sum }: AuditFinding, mayWait: boolean): OpenIssue => ({
  id: `audit:${rule}`,
  text: `${numbers.join(', ')}: ${text} ${sum}.`,
  mayWait,
});

const resetsOthers = (p: Parameter | undefined): p is Parameter => p?.resets !== undefined;

/** A write that resets others, after which nobody read the drive: what was known before it is known no more. */
function unread(
  control: Pick<Control, 'parameters'>,
  writes: readonly DriveWrite[],
  readAt: number | null,
): OpenIssue[] {
  const resetting = writes.flatMap((w) => {
    const p = parameterAt(control, w.number);
    return w.doneAt !== null && w.doneAt > (readAt ?? 0) && resetsOthers(p) ? [p] : [];
  });
  const last = resetting[resetting.length - 1];
  return last === undefined
    ? []
    : [
        {
          id: 'unread',
          text: `${last.number} ${last.name} was written and resets ${last.resets === 'all' ? 'all others' : `${last.resets?.length ?? 0} parameters`}: values entered before it may be lost. Read out again.`,
          mayWait: false,
        },
      ];
}

/** A rotating identification with the machine on the shaft, whichever way it was chosen. */
export function coupledIdentification(
  control: Pick<Control, 'parameters'>,
  { wanted, values, coupled }: { wanted: Values; values: Values; coupled: boolean },
): OpenIssue[] {
  const asked = [wanted, values].some((of) => meaningOf(control, of, 'motor.ident') === 'rotating');
  return coupled && asked
    ? [
        {
          id: 'identification-coupled',
          text: 'Rotating autotune turns the coupled machine: choose standstill, or uncouple it and record that.',
          mayWait: false,
        },
      ]
    : [];
}

/** What was typed in the place of a rule's value and cannot be: no such value, or wrong by a rule of the audit. */
export function typedIssues(
  unit: RatedUnit,
  {
    values,
    wanted,
    typed,
    context,
  }: { values: Values; wanted: Values; typed: TypedValues; context: AuditContext },
): OpenIssue[] {
  const faults = Object.entries(typed).flatMap(([number, { value }]): OpenIssue[] => {
    const p = parameterAt(unit.control, number);
    const fault =
      p === undefined ? `This type has no parameter ${number}.` : valueFault(p, value, unit.rating);
    return fault === null ? [] : [{ id: `typed:${number}`, text: fault, mayWait: false }];
  });
  const wrong = auditSet({ ...unit, values: { ...values, ...wanted } }, context).findings.filter(
    ({ rule, severity, numbers }) =>
      severity === 'wrong' && !neverEntered.includes(rule) && numbers.some((n) => typed[n] !== undefined),
  );
  return [...faults, ...wrong.map((f) => ({ ...matterOf(f, false), id: `typed-audit:${f.rule}` }))];
}

/** What the drive itself keeps open, and what may not be entered. */
export function driveIssues(
  unit: RatedUnit,
  {
    values,
    wanted,
    choices,
    writes,
    readAt,
  }: {
    values: Values;
    /** What is to be entered, over what is there. */
    wanted: Values;
    choices: StartUpChoices;
    writes: readonly DriveWrite[];
    readAt: number | null;
  },
): OpenIssue[] {
  const found = (of: Values) => auditSet({ ...unit, values: of }, { choices }).findings;
  return [
    ...unread(unit.control, writes, readAt),
    ...found(values).flatMap((f) => {
      const register = registers[f.rule];
      return register === undefined ? [] : [matterOf(f, register.mayWait)];
    }),
    ...found({ ...values, ...wanted })
      .filter((f) => neverEntered.includes(f.rule))
      .map((f) => matterOf(f, false)),
  ];
}
