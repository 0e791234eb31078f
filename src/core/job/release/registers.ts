import type { Control, Parameter } from '../../equipment/catalogue';
import { parameterAt, type Values } from '../../equipment/drive-words';
import type { DriveWrite, OpenIssue } from '../../logbook';
import { auditSet, type AuditFinding, type RatedUnit } from '../../parameter-sets/parameters';
import type { StartUpChoices } from '../../equipment/application';
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
          text: `${last.number} ${last.name} was written and resets ${last.resets === 'all' ? 'the rest' : `${last.resets?.length ?? 0} entries`}: what was entered before it may be gone. Read out again.`,
          mayWait: false,
        },
      ];
}

/** What the drive itself keeps open, and what may not be entered. */
export function driveMatters(
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
