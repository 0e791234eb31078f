import type { Found } from './entry';
import { rolesOfHeads } from './heads';
import { readRows, type Roles } from './read-rows';

/** The roles of a grid's columns, and from which row on it has data. */
function headOf(rows: readonly (readonly string[])[]): { roles: Roles; from: number } | null {
  for (let i = 0; i < Math.min(rows.length, 20); i += 1) {
    const roles = rolesOfHeads(rows[i] ?? []);
    const telling = roles.filter((r) => r !== undefined && r !== 'other').length;
    if (telling >= 2 && roles.some((r) => r === 'number' || r === 'code' || r === 'name'))
      return { roles, from: i + 1 };
  }
  return null;
}

/**
 * Reads a table that has its cells already: a CSV file, a spreadsheet, a pasted table.
 * @param page the number that its rows have as their page, e.g. of the sheet
 */
export function readGrid(rows: readonly (readonly string[])[], page = 1): Found {
  const head = headOf(rows);
  if (head === null)
    return {
      entries: [],
      alarms: [],
      unread: rows.length === 0 ? [] : [{ page, text: (rows[0] ?? []).join(' | ') }],
    };
  const cellsOf = (row: readonly string[]): string[][] =>
    row.map((cell) => cell.split('\n').filter((line) => line.trim() !== ''));
  const data = rows.slice(head.from).map((row) => ({ cells: cellsOf(row), heading: null, page, box: null }));
  return readRows(head.roles, data, null);
}
