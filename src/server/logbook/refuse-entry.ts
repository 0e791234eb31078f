import { answerMisfit, tablesWith, type TraceTable } from '../../core/fault-finding/tracing';
import { unitsOf, type PlateUnit } from '../../core/job/swap';
import type { JobState, NewEntry } from '../../core/logbook';
import { noSuchTerminal, terminalMarks } from '../../core/replacement/wires';
import { ownTraceTables } from '../administration/settings';
import { catalogue, controlOf } from '../equipment/catalogue';

/** The terminals of a type; null: nobody knows them. */
async function marksOf(typeId: string): Promise<string[] | null> {
  const [types, control] = await Promise.all([catalogue(), controlOf(typeId)]);
  const type = types.find((t) => t.id === typeId);
  return type === undefined || control === null ? null : terminalMarks(type, control);
}

/**
 * What refuses the entries of one post by what the log alone does not know: what a check exposes one to and which terminals a
 * unit has is not the page's to say. Tables and types are read when the first entry needs them, and once for all of them.
 * @returns says of an entry why it is not kept; null: it is, and the fold says whether it counts
 */
export function refusals(): (entry: NewEntry, before: JobState) => Promise<string | null> {
  let tables: Promise<readonly TraceTable[]> | undefined;
  const marks = new Map<string, ReturnType<typeof marksOf>>();
  const terminalMisfit = async (unit: PlateUnit | null | undefined, mark: string) => {
    if (typeof unit?.typeId !== 'string') return null;
    const asked = marks.get(unit.typeId) ?? marksOf(unit.typeId);
    marks.set(unit.typeId, asked);
    const known = await asked;
    return known === null ? null : noSuchTerminal(unit, mark, known);
  };
  return async (entry, before) => {
    switch (entry.kind) {
      case 'trace.answered':
        return answerMisfit(await (tables ??= ownTraceTables().then(tablesWith)), entry.payload);
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
  };
}
