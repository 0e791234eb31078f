import { answerMisfit, tablesWith } from '../../core/fault-finding/tracing';
import { unitsOf, type PlateUnit } from '../../core/job/swap';
import type { JobState, NewEntry } from '../../core/logbook';
import { noSuchTerminal, terminalMarks } from '../../core/replacement/wires';
import { ownTraceTables } from '../administration/settings';
import { catalogue, controlOf } from '../equipment/catalogue';

/** Why a unit has no terminal of this mark; null: it has, or nobody knows its terminals. */
async function terminalMisfit(unit: PlateUnit | null | undefined, mark: string): Promise<string | null> {
  if (typeof unit?.typeId !== 'string') return null;
  const { typeId } = unit;
  const [types, control] = await Promise.all([catalogue(), controlOf(typeId)]);
  const type = types.find((t) => t.id === typeId);
  return type === undefined || control === null
    ? null
    : noSuchTerminal(unit, mark, terminalMarks(type, control));
}

/**
 * Why a client's entry is not kept, by what the log alone does not know: what a check exposes one to and which terminals a unit
 * has is not the page's to say.
 * @returns null: it is kept, and the fold says whether it counts
 */
export async function refuseEntry(entry: NewEntry, before: JobState): Promise<string | null> {
  switch (entry.kind) {
    case 'trace.answered':
      return answerMisfit(tablesWith(await ownTraceTables()), entry.payload);
    case 'wire.noted':
      return entry.payload.from === null || entry.payload.unlisted === true
        ? null
        : terminalMisfit(unitsOf(before)?.old, entry.payload.from);
    case 'wire.chosen':
    case 'wire.ticked':
      return entry.payload.to === null ? null : terminalMisfit(unitsOf(before)?.next, entry.payload.to);
    default:
      return null;
  }
}
