import type { Control } from '../../equipment/catalogue';
import { csvOf } from '../../text';
import { checksumOf } from './checksum';
import { shownAs, type Rating, type Values } from '../../equipment/drive-words';

/** A set as it is given out. */
export interface SetOut {
  name: string;
  typeId: string;
  rating: Rating;
  values: Values;
  strangers: readonly { number: string; text: string }[];
  serial?: string;
  firmware?: string;
}

/** As a table (RFC 4180): the type's order, then what it does not know. */
export const setAsCsv = (
  { values, strangers }: SetOut,
  { parameters }: Pick<Control, 'parameters'>,
): string =>
  // Reading takes the marks of formulas off again.
  csvOf(
    ['number', 'name', 'value', 'unit', 'shown'],
    [
      ...parameters.flatMap((p) => {
        const value = values[p.number];
        return value === undefined ? [] : [[p.number, p.name, value, p.unit ?? '', shownAs(p, value)]];
      }),
      ...strangers.map((s) => [s.number, '', s.text, '', '']),
    ],
  );

/** As our own file, which is read back as it was. */
export const setAsJson = (set: SetOut): string =>
  JSON.stringify(
    { format: 'parameter-set', version: 1, checksum: checksumOf(set.typeId, set.values), ...set },
    null,
    2,
  );
