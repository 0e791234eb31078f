import { chakra } from '@chakra-ui/react';
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { TableFrame } from './plain-table';
import { Cell, Said } from './text';

/** A column: its head, what stands in a row, and what it is sorted by where that is of use. */
export interface Column<Row> {
  head: string;
  cell: (row: Row) => ReactNode;
  by?: (row: Row) => number | string;
  /** It names the row. */
  names?: true;
}

type Order = 'ascending' | 'descending';
const arrows = { ascending: ArrowUp, descending: ArrowDown, none: ArrowUpDown } as const;

/** Text is sorted as people count: “P2” before “P10”. */
const inWords = new Intl.Collator('en', { numeric: true });
const compared = (a: number | string, b: number | string): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : inWords.compare(String(a), String(b));

/**
 * A table of rows that are alike. A head that can be sorted by is a button: once upwards, once downwards, once as the rows
 * came.
 */
export function DataTable<Row>({
  columns,
  rows,
  keyOf,
}: {
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  keyOf: (row: Row) => string;
}) {
  const [sorted, setSorted] = useState<{ head: string; order: Order } | null>(null);
  const by = columns.find((c) => c.head === sorted?.head)?.by;
  const sign = sorted?.order === 'descending' ? -1 : 1;
  const shown = by === undefined ? rows : [...rows].sort((a, b) => sign * compared(by(a), by(b)));
  const turn = (head: string) =>
    setSorted((before) =>
      before?.head !== head
        ? { head, order: 'ascending' }
        : before.order === 'ascending'
          ? { head, order: 'descending' }
          : null,
    );
  return (
    <TableFrame>
      <thead>
        <tr>
          {columns.map(({ head, by: sortable }) => {
            const order = sorted?.head === head ? sorted.order : 'none';
            const Arrow = arrows[order];
            return (
              <th key={head} scope="col" aria-sort={sortable === undefined ? undefined : order}>
                {sortable === undefined ? (
                  <Said>{head}</Said>
                ) : (
                  <chakra.button
                    type="button"
                    display="inline-flex"
                    alignItems="center"
                    gap="1"
                    minH="24px"
                    cursor="pointer"
                    fontWeight="inherit"
                    whiteSpace="nowrap"
                    onClick={() => turn(head)}
                  >
                    <Said>{head}</Said>
                    <Arrow size={14} aria-hidden />
                  </chakra.button>
                )}
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        {shown.map((row) => (
          <tr key={keyOf(row)}>
            {columns.map(({ head, cell, names }) =>
              names === true ? (
                <th key={head} scope="row">
                  <Said>{cell(row)}</Said>
                </th>
              ) : (
                <Cell key={head}>{cell(row)}</Cell>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </TableFrame>
  );
}
