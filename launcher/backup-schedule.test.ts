import { backupsToKeep } from './backup-schedule';

const hourly = (hours: number): string[] =>
  Array.from({ length: hours }, (_, i) => {
    const at = new Date(Date.UTC(2026, 10, 30, 12) - i * 3_600_000);
    return `grim-${at.toISOString().slice(0, 13)}.dump`;
  });

it('keeps a day of hours, a month of days and a year of months', () => {
  const all = hourly(24 * 800);
  const left = backupsToKeep(all);
  expect(left.slice(0, 24)).toEqual(all.slice(0, 24));
  // The newest of each day: what was made at 23 o’clock.
  expect(left).toContain('grim-2026-11-15T23.dump');
  expect(left).not.toContain('grim-2026-11-15T22.dump');
  expect(left).toContain('grim-2026-01-31T23.dump');
  expect(left.at(-1)).toBe('grim-2025-12-31T23.dump');
  expect(left).toHaveLength(24 + 28 + 11);
  expect(backupsToKeep(left)).toEqual(left);
});

it('leaves alone what it did not make, and keeps what little there is; what a kill left behind goes', () => {
  const few = ['grim-2026-01-01T03.dump', 'notes.txt', 'proven'];
  expect(backupsToKeep(few)).toEqual(few);
  expect(backupsToKeep([...few, 'grim-2026-01-01T02.dump.part'])).toEqual(few);
});
