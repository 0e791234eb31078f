import { meaningOf, parameterFor } from '../../equipment/drive-words';
import type { RatedUnit, UnitSet } from './set';
import { inputConcept, inputFunctionName } from '../../equipment/concepts';

/** Where the function of an input goes on another unit. */
export type InputHome =
  | { input: string; value: number; moved: boolean; words: string }
  /** No free terminal can do it. */
  | { input: null; words: string };

/**
 * A terminal for every input that does something: the same one where it can do it, else a free one.
 * What stops and guards is placed first, so that it keeps its terminal where two want one.
 */
export function inputHomes(from: UnitSet, to: RatedUnit): Map<string, InputHome> {
  const wanted = from.control.inputs.flatMap(({ id, mark }) => {
    const does = meaningOf(from.control, from.values, inputConcept(id));
    return typeof does === 'string' && does !== 'none' ? [{ id, mark, does }] : [];
  });
  const valueAt = (input: string, does: string): number | undefined =>
    parameterFor(to.control, inputConcept(input))?.choices?.find((c) => c.means === does)?.value;
  const guards = (does: string): number => (/break|enable|interlock|external/.test(does) ? 0 : 1);
  const inOrder = [...wanted].sort((a, b) => guards(a.does) - guards(b.does));
  const taken = new Set<string>();
  const homes = new Map<string, InputHome>();
  const place = (w: (typeof wanted)[number], input: string): boolean => {
    const value = taken.has(input) ? undefined : valueAt(input, w.does);
    if (value === undefined) return false;
    taken.add(input);
    const mark = to.control.inputs.find((i) => i.id === input)?.mark ?? input;
    const moved = input !== w.id;
    homes.set(w.id, {
      input,
      value,
      moved,
      words: `${inputFunctionName(w.does)}: ${w.mark} → ${mark}`,
    });
    return true;
  };
  const left = inOrder.filter((w) => !place(w, w.id));
  for (const w of left)
    if (!to.control.inputs.some(({ id }) => place(w, id)))
      homes.set(w.id, { input: null, words: `no free terminal for “${inputFunctionName(w.does)}”` });
  return homes;
}
