/** A part of the record: lines, a table, or both. */
export interface ReportPart {
  id: string;
  title: string;
  lines: string[];
  table: { heads: string[]; rows: string[][] } | null;
}

/** A curve with its axes, to be drawn on page and paper. */
export interface ReportCurve {
  title: string;
  x: { label: string; unit: string };
  y: { label: string; unit: string };
  series: { name: string; points: [number, number][] }[];
}

/** A photograph by its hash, with what it shows. */
export interface ReportPhoto {
  sha256: string;
  caption: string;
}

/** The report of a job as plain data. */
export interface Report {
  title: string;
  identity: [label: string, value: string][];
  /** For the customer: a heading and sentences each. */
  customer: { heading: string; sentences: string[] }[];
  record: ReportPart[];
  curves: ReportCurve[];
  photos: ReportPhoto[];
  /** Null as long as it is not signed. */
  signed: { at: string; names: { name: string; is: string }[]; open: string[] } | null;
}

/** 2026-11-20 13:05 UTC: the same on every machine that prints it. */
export const minuteOf = (ms: number): string =>
  `${new Date(ms).toISOString().slice(0, 16).replace('T', ' ')} UTC`;

/** A part that has something to say; an empty one is left out. */
export const part = (
  id: string,
  title: string,
  lines: string[],
  table: ReportPart['table'] = null,
): ReportPart[] =>
  lines.length === 0 && (table === null || table.rows.length === 0)
    ? []
    : [{ id, title, lines, table: table !== null && table.rows.length > 0 ? table : null }];
