import type { Json, JsonRecord } from './json';
import { isRecord } from './json';

/** Both files of a type, as an editor holds them. */
export interface TypeFiles {
  type: JsonRecord;
  control: JsonRecord | null;
}

const format = 'drive-type/1';

/** Both files as one, to hand on. */
export const oneFile = ({ type, control }: TypeFiles): string =>
  `${JSON.stringify({ format, type, control }, null, 2)}\n`;

/** The two files in one that was handed on; null for anything else. */
export function filesIn(value: Json): TypeFiles | null {
  if (!isRecord(value) || value['format'] !== format) return null;
  const { type, control = null } = value;
  return isRecord(type) && (control === null || isRecord(control)) ? { type, control } : null;
}

/** A supplied type as the beginning of one of the workshop's own: another id, nothing else. */
export const asOwn = ({ type, control }: TypeFiles): TypeFiles => ({
  type: { ...type, id: `${String(type['id'])}-own` },
  control,
});
