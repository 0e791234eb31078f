import { unparse } from 'papaparse';

/**
 * A table as CSV (RFC 4180), its head line always there. What a spreadsheet would take for a formula is marked as text.
 * @param heads keys of the rows, in their order
 */
export const csvOf = <Head extends string>(
  heads: readonly Head[],
  rows: readonly Readonly<Partial<Record<Head, unknown>>>[],
): string =>
  unparse(
    { fields: [...heads], data: rows.map((row) => heads.map((head) => row[head] ?? '')) },
    { escapeFormulae: true },
  );
