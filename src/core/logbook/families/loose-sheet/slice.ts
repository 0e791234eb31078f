import { countOf } from '../../count';
import type { EntryOf } from '../../entry';
import type { EntryKind } from '../../payloads';
import { sliceOf } from '../../slice';

/** Where the entries of a loose sheet went; null: they are here, or it is a job. */
export const movedSlice = sliceOf<EntryOf<'loose.moved'> | null>()({
  key: 'moved',
  init: null,
  kinds: ['loose.moved', 'loose.attached'],
  apply: (slice, entry) => ({ slice: entry.kind === 'loose.moved' ? entry : slice }),
  words: {
    'loose.moved': ({ payload: { machine } }) => `Attached to the job of ${machine}`,
    'loose.attached': ({ payload: { unit, entries } }) =>
      `Loose sheet attached, ${unit}: ${countOf(entries, 'log entry')}; dead proof void`,
  },
});

/** Kinds that need no job. What commits somebody (signatures, power, changes to a drive or machine) needs one. */
const kinds: ReadonlySet<EntryKind> = new Set<EntryKind>([
  ...(['identify.drive', 'identify.motor', 'identify.stage', 'as-found.captured', 'look.finding'] as const),
  ...(['safety.sources', 'safety.locked', 'safety.meter-proof', 'safety.figure', 'safety.figures'] as const),
  ...(['safety.source-back', 'safety.no-bank-terminal', 'safety.discharged', 'safety.bridge'] as const),
  ...(['static.reading', 'static.retake'] as const),
  ...(['module.begun', 'module.proven', 'module.touch', 'module.diode', 'module.gate'] as const),
  ...(['drive.read', 'drive.seen', 'trace.answered', 'trace.withdrawn', 'trace.confirmed'] as const),
  ...(['loop.checked', 'trend.kept', 'jumper.set', 'jumper.removed'] as const),
  ...([
    'motor.disconnected',
    'motor.winding',
    'motor.insulation',
    'motor.earthed',
    'motor.unbalance',
  ] as const),
  ...(['startup.choices', 'startup.place', 'startup.value', 'startup.shortest'] as const),
  ...(['startup.potentiometer', 'set.kept', 'note.added', 'question.opened', 'question.closed'] as const),
]);

/** May it stand on a loose sheet? */
export const isLooseKind = (kind: EntryKind): boolean => kinds.has(kind);
