import type { Control, Parameter } from '../catalogue';
import type { ConceptId } from '../concepts';
import { meaningOf, parameterFor, type Values } from '../drive-words';
import type { DriveWrite, Matter } from '../logbook';
import type { Choices } from '../settings';

/** What watches, and whether a machine may run for a while without it (common practice, no source). */
const supervision: readonly { concept: ConceptId; mayWait: boolean }[] = [
  { concept: 'protect.overload', mayWait: false },
  { concept: 'protect.ground-fault', mayWait: false },
  { concept: 'protect.input-phase', mayWait: true },
  { concept: 'protect.output-phase', mayWait: true },
];

/** Supervision that does nothing, though nothing about the machine explains it. */
function supervisionOff(control: Pick<Control, 'parameters'>, values: Values, choices: Choices): Matter[] {
  return supervision.flatMap(({ concept, mayWait }): Matter[] => {
    const p = parameterFor(control, concept);
    const explained = concept === 'protect.input-phase' && choices.singlePhaseFed;
    return p === undefined || explained || meaningOf(control, values, concept) !== 'ignore'
      ? []
      : [
          {
            id: `supervision:${p.number}`,
            text: `Supervision is off: ${p.number} ${p.name}.${mayWait ? '' : ' Nothing runs without it.'}`,
            mayWait,
          },
        ];
  });
}

/** A code that was entered and still opens what is behind it. */
function unlocked(control: Pick<Control, 'parameters' | 'locks'>, values: Values): Matter[] {
  const code = parameterFor(control, 'lock.code');
  const lock = control.locks.find((l) => code !== undefined && values[code.number] === l.code);
  return code === undefined || lock === undefined
    ? []
    : [
        {
          id: `lock:${lock.level}`,
          text: `${lock.opens} stand open: enter another figure at ${code.number} ${code.name}, and read out again.`,
          mayWait: true,
        },
      ];
}

const resetsOthers = (p: Parameter | undefined): p is Parameter => p?.resets !== undefined;

/** A write that resets others, after which nobody read the drive: what was known before it is known no more. */
function unread(
  control: Pick<Control, 'parameters'>,
  writes: readonly DriveWrite[],
  readAt: number | null,
): Matter[] {
  const resetting = writes.flatMap((w) => {
    const p = control.parameters.find((x) => x.number === w.number);
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

/** What the drive itself keeps open. */
export const driveMatters = (
  control: Pick<Control, 'parameters' | 'locks'>,
  {
    values,
    choices,
    writes,
    readAt,
  }: { values: Values; choices: Choices; writes: readonly DriveWrite[]; readAt: number | null },
): Matter[] => [
  ...unread(control, writes, readAt),
  ...supervisionOff(control, values, choices),
  ...unlocked(control, values),
];
