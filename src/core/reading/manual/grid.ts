import { alarmFrom, entryFrom } from './table-entries';
import type { Found, ManualAlarm, ManualEntry, Unread } from './entry';
import { rolesOfHeads, type Role } from './heads';

/** The roles of a grid's columns, and from which row on it has data. */
function headOf(rows: readonly (readonly string[])[]): { roles: (Role | undefined)[]; from: number } | null {
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
 * @param page the number that its rows are told with, e.g. of the sheet
 */
export function readGrid(rows: readonly (readonly string[])[], page = 1): Found {
  const head = headOf(rows);
  if (head === null)
    return {
      entries: [],
      alarms: [],
      unread: rows.length === 0 ? [] : [{ page, text: (rows[0] ?? []).join(' | ') }],
    };
  const entries: ManualEntry[] = [];
  const alarms: ManualAlarm[] = [];
  const unread: Unread[] = [];
  let group: string | null = null;
  const faults = head.roles.includes('code');
  rows.slice(head.from).forEach((row) => {
    const filled = row.filter((cell) => cell.trim() !== '');
    if (filled.length === 0) return;
    const cells = new Map<Role, string[]>();
    head.roles.forEach((role, c) => {
      const lines = (row[c] ?? '').split('\n').filter((l) => l.trim() !== '');
      if (role !== undefined && lines.length > 0) cells.set(role, [...(cells.get(role) ?? []), ...lines]);
    });
    const standing = { page, group, box: null };
    const read = faults ? alarmFrom(cells, standing) : entryFrom(cells, standing);
    if (read === null && filled.length === 1) group = (filled[0] ?? '').trim();
    else if (read === null) unread.push({ page, text: filled.join(' | ') });
    else if ('code' in read) alarms.push(read);
    else entries.push(read);
  });
  return { entries, alarms, unread };
}
