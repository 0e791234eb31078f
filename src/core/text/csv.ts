import Papa from 'papaparse';

/**
 * A table as CSV (RFC 4180), its head line always there. What a spreadsheet would take for a formula is marked as text.
 * @param rows cells in the order of the heads
 */
export const csvOf = (heads: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  Papa.unparse({ fields: [...heads], data: rows.map((row) => [...row]) }, { escapeFormulae: true });

/**
 * The same of records.
 * @param heads keys of the records, in their order; one that a record lacks is empty
 */
export const csvOfRecords = <Head extends string>(
  heads: readonly Head[],
  records: readonly Readonly<Partial<Record<Head, unknown>>>[],
): string =>
  csvOf(
    heads,
    records.map((record) => heads.map((head) => record[head] ?? '')),
  );
