/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../__tests__/show';
import { DataTable } from './data-table';

interface Row {
  mark: string;
  volts: number;
}
const rows: Row[] = [
  { mark: 'P10', volts: 24 },
  { mark: 'P2', volts: -9 },
  { mark: 'P1', volts: 100 },
];
const table = () =>
  show(
    <DataTable<Row>
      rows={rows}
      keyOf={(r) => r.mark}
      columns={[
        { head: 'Mark', names: true, by: (r) => r.mark, cell: (r) => r.mark },
        { head: 'Volts', by: (r) => r.volts, cell: (r) => `${r.volts} V` },
        { head: 'Note', cell: () => 'none' },
      ]}
    />,
  );
const marks = () => screen.getAllByRole('rowheader').map((h) => h.textContent);
const turn = (name: RegExp) => userEvent.click(screen.getByRole('button', { name }));
const sortOf = (name: RegExp) => screen.getByRole('columnheader', { name }).getAttribute('aria-sort');

test('rows come as they are given, each named by its header', () => {
  table();
  expect(marks()).toEqual(['P10', 'P2', 'P1']);
  expect(sortOf(/Mark/)).toBe('none');
  const note = screen.getByRole('columnheader', { name: 'Note' });
  expect(note.getAttribute('aria-sort')).toBeNull();
  expect(within(note).queryByRole('button')).toBeNull();
});

test('a head sorts upwards, downwards and not earthed (IT); text as people count, values as values', async () => {
  table();
  await turn(/Mark/);
  expect(marks()).toEqual(['P1', 'P2', 'P10']);
  expect(sortOf(/Mark/)).toBe('ascending');
  await turn(/Volts/);
  expect(marks()).toEqual(['P2', 'P10', 'P1']);
  expect(sortOf(/Mark/)).toBe('none');
  await turn(/Volts/);
  expect(marks()).toEqual(['P1', 'P10', 'P2']);
  expect(sortOf(/Volts/)).toBe('descending');
  await turn(/Volts/);
  expect(marks()).toEqual(['P10', 'P2', 'P1']);
});
