import type { CellLines, Found, ManualEntry } from './entry';
import type { Role } from './heads';
import { isParameterNumber } from './numbers';
import { alarmFrom, entryFrom, type RowByRole } from './table-entries';

/** What the head of a table says of its columns. */
export type Roles = readonly (Role | undefined)[];

/** A row of a table, from a page or a file. */
export interface RawRow {
  cells: readonly CellLines[];
  /** The heading between the rows that it is under, where the page shows one. */
  heading: string | null;
  page: number;
  box: ManualEntry['box'];
}

/** Does it tell nothing of a parameter but number and name? */
export const isBare = ({
  unit,
  min,
  max,
  choices,
  default: given,
  rangeText,
  defaultText,
}: ManualEntry): boolean =>
  [unit, min, max, given, rangeText, defaultText].every((v) => v === null) && choices.length === 0;

/** A row by the roles of its columns; several columns of one role are read one after the other. */
function byRole(roles: Roles, cells: readonly CellLines[]): RowByRole {
  const row = new Map<Role, string[]>();
  roles.forEach((role, i) => {
    const lines = cells[i] ?? [];
    if (role !== undefined && lines.length > 0) row.set(role, [...(row.get(role) ?? []), ...lines]);
  });
  return row;
}

const valueRoles: readonly Role[] = ['range', 'min', 'default', 'default-50'];

/**
 * The parameters or faults in the rows of one table.
 * @param title what stands above the table; headings among the rows take its place
 */
export function readRows(roles: Roles, rows: readonly RawRow[], title: string | null): Found {
  const found: Found = { entries: [], alarms: [], unread: [] };
  const hasValues = roles.some((role) => role !== undefined && valueRoles.includes(role));
  let group = title;
  for (const { cells, heading, page, box } of rows) {
    const filled = cells.filter((lines) => lines.some((line) => line.trim() !== ''));
    if (filled.length === 0) continue;
    const row = byRole(roles, cells);
    const standing = { page, group: heading ?? group, box };
    const read = roles.includes('code') ? alarmFrom(row, standing) : entryFrom(row, standing);
    const text = filled.flat().join(' | ');
    // A text alone in its row is a heading, and so is "3 Inputs and outputs" with nothing beside it.
    if (read === null && filled.length === 1 && !isParameterNumber(text)) group = text.trim();
    else if (read === null) found.unread.push({ page, text });
    else if ('code' in read) found.alarms.push(read);
    else if (hasValues && isBare(read)) group = `${read.number} ${read.name}`;
    else found.entries.push(read);
  }
  return found;
}
