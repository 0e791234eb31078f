import Papa from 'papaparse';
import { BadCapture, unitOfRole, type Capture, type ChannelRole } from './capture';
import { evenCapture, type RawChannel } from './even';
import { item, valueAt } from '../../numerics/arrays';
import { csvOf } from '../../text';

/** A file as columns, before anybody has said what they are. */
export interface Columns {
  names: readonly string[];
  /** Numbers, a gap as NaN. */
  values: readonly Float64Array[];
  /** Columns that go up all the way: they may be times. */
  rising: readonly number[];
}

/** What each column is. */
export interface Layout {
  /** The column of times; null where there is none: then `step_s` is the time between samples. */
  time: number | null;
  timeUnit: 's' | 'ms' | 'us';
  step_s: number | null;
  channels: readonly {
    column: number;
    role: ChannelRole;
    /** What one unit of the column is, V or A: probe and range. */
    scale: number;
    /** Its own times, where the file has two time bases. */
    time?: number;
  }[];
}

/** A capture has at least so many samples. */
const fewest = 16;

const unitSeconds = { s: 1, ms: 1e-3, us: 1e-6 } as const;

const numberOf = (cell: string | undefined, comma: boolean): number => {
  const text = (cell ?? '').trim();
  if (text === '') return NaN;
  return Number(comma ? text.replace(/\./g, '').replace(',', '.') : text);
};

/** So many rows are looked at to find out where the numbers begin and how they are written. */
const lookedAt = 400;

interface Manner {
  delimiter: string;
  comma: boolean;
  /** Rows above the first with numbers, and the one with the names among them. */
  above: number;
  head: readonly string[] | undefined;
  width: number;
}

/** @throws BadCapture where there are no columns of numbers */
function mannerOf(text: string): Manner {
  const { data, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', preview: lookedAt });
  const last = data[data.length - 1] ?? [];
  const comma = last.some((c) => /^\s*[-+]?\d+,\d+(e[-+]?\d+)?\s*$/i.test(c));
  const isNumbers = (row: readonly string[]) =>
    row.filter((c) => Number.isFinite(numberOf(c, comma))).length >= Math.max(1, last.length - 1);
  const above = data.findIndex(isNumbers);
  if (above < 0 || data.length - above < fewest)
    throw new BadCapture(
      'No numeric columns found: save the capture as CSV, one row per sample, and try again.',
    );
  const width = Math.max(last.length, data[above]?.length ?? 0);
  const head = data
    .slice(0, above)
    .reverse()
    .find((r) => r.length >= Math.min(2, width));
  return { delimiter: meta.delimiter, comma, above, head, width };
}

/**
 * Reads text as columns, whatever stands above them, with any separator and either decimal sign. Row by row: a record of
 * millions is never there as text cells at once.
 * @throws BadCapture where there are no columns of numbers
 */
export function columnsOf(given: string): Columns {
  const text = given.replace(/^\uFEFF/, '');
  const { delimiter, comma, above, head, width } = mannerOf(text);
  let room = 1024;
  let count = 0;
  let row = 0;
  let values = Array.from({ length: width }, () => new Float64Array(room));
  Papa.parse<string[]>(text, {
    delimiter,
    skipEmptyLines: 'greedy',
    step: ({ data }) => {
      row += 1;
      if (row <= above) return;
      if (count === room) {
        room *= 2;
        values = values.map((column) => {
          const wider = new Float64Array(room);
          wider.set(column);
          return wider;
        });
      }
      for (let c = 0; c < width; c += 1) item(values, c)[count] = numberOf(data[c], comma);
      count += 1;
    },
  });
  values = values.map((column) => column.slice(0, count));
  const names = values.map((_, c) => head?.[c]?.trim() || `column ${c + 1}`);
  const used = values.flatMap((column, c) => (column.some((v) => Number.isFinite(v)) ? [c] : []));
  const rising = used.flatMap((c, at) => (goesUp(item(values, c)) ? [at] : []));
  return {
    names: used.map((c) => item(names, c)),
    values: used.map((c) => item(values, c)),
    rising,
  };
}

function goesUp(values: Float64Array): boolean {
  for (let k = 1; k < values.length; k += 1) if (!(valueAt(values, k) > valueAt(values, k - 1))) return false;
  return true;
}

const namedRoles: readonly (readonly [RegExp, ChannelRole])[] = [
  [/v?dc\b|bus|link/i, 'vdc'],
  [/\bi?_?(l1|ia|il1|r)\b|line.*1/i, 'ia'],
  [/\bi?_?(l2|ib|il2|s)\b|line.*2/i, 'ib'],
  [/\bi?_?(l3|ic|il3|t)\b|line.*3/i, 'ic'],
  [/u[\s–-]*v\b|vuv/i, 'vuv'],
  [/v[\s–-]*w\b|vvw/i, 'vvw'],
  [/w[\s–-]*u\b|vwu/i, 'vwu'],
  [/\bi?_?u\b|iu\b/i, 'iu'],
  [/\biv\b/i, 'iv'],
  [/\bi?_?w\b|iw\b/i, 'iw'],
];

/** What columns probably are, by their names and by which goes up. A person looks at it and changes it. */
export function guessLayout({ names, values, rising }: Columns): Layout {
  const likeTime = (c: number) => /^(t\d*|time|second|x)\b/i.test(names[c] ?? '');
  const named = rising.find(likeTime);
  const time = named ?? rising[0] ?? null;
  const unit = /\b(ms|millisec)/i.test(names[time ?? -1] ?? '')
    ? 'ms'
    : /[uµ]s\b/i.test(names[time ?? -1] ?? '')
      ? 'us'
      : 's';
  const others = rising.filter((c) => c !== time && likeTime(c));
  return {
    time,
    timeUnit: unit,
    step_s: null,
    channels: values.flatMap((_, column) => {
      if (column === time || others.includes(column)) return [];
      const role = namedRoles.find(([pattern]) => pattern.test(names[column] ?? ''))?.[1] ?? 'other';
      const scale = /\bmV\b|\(mA\)|\bmA\b/.test(names[column] ?? '')
        ? 1e-3
        : /\bkV\b|\bkA\b/.test(names[column] ?? '')
          ? 1e3
          : 1;
      // A second time base stands before the columns it belongs to.
      const own = others.filter((c) => c < column).pop();
      return [{ column, role, scale, ...(own === undefined ? {} : { time: own }) }];
    }),
  };
}

/** Columns as a capture, by what each is. @throws BadCapture */
export function captureOf({ names, values }: Columns, layout: Layout): Capture {
  const { time, step_s } = layout;
  if (time === null && !(step_s !== null && step_s > 0))
    throw new BadCapture('No time column: enter the sample interval.');
  const scale = unitSeconds[layout.timeUnit];
  const timesOf = (column: number | null): Float64Array => {
    const count = values[0]?.length ?? 0;
    if (column === null) return Float64Array.from({ length: count }, (_, k) => k * (step_s ?? 1));
    return (values[column] ?? new Float64Array(0)).map((t) => t * scale);
  };
  const main = timesOf(time);
  const raw = layout.channels.map(({ column, role, scale: by, time: own }): RawChannel => {
    const times = own === undefined ? main : timesOf(own);
    const given = (values[column] ?? new Float64Array(0)).map((v) => v * by);
    // A shorter time base ends in empty cells.
    let length = times.length;
    while (length > 0 && !Number.isFinite(times[length - 1])) length -= 1;
    return {
      name: names[column] ?? `column ${column + 1}`,
      role,
      unit: unitOfRole(role),
      times: times.slice(0, length),
      values: given.slice(0, length),
    };
  });
  return evenCapture(raw);
}

/** A capture as CSV: times and channels, named. */
export function captureCsv({ t0, dt, channels }: Capture): string {
  const head = ['time (s)', ...channels.map((c) => (c.unit === '' ? c.name : `${c.name} (${c.unit})`))];
  const count = channels[0]?.values.length ?? 0;
  const rows = Array.from({ length: count }, (_, k) => [
    Number((t0 + k * dt).toPrecision(10)),
    ...channels.map((c) => Number(valueAt(c.values, k).toPrecision(6))),
  ]);
  return `${csvOf(head, rows)}\r\n`;
}
