import { BadCapture, unitOfRole, type Capture, type ChannelRole } from './capture';
import { evenCapture, type RawChannel } from './even';
import { item, numberAt, valueAt } from '../../numerics/arrays';

/**
 * COMTRADE, IEEE C37.111: a configuration as text and samples as text or binary. Layout of the 1991, 1999 and 2013
 * editions from memory; no independent reader was to be had.
 */
export interface Configuration {
  station: string;
  device: string;
  revision: number;
  analogs: readonly {
    name: string;
    phase: string;
    unit: string;
    a: number;
    b: number;
    skew_us: number;
    /** From the values of the file to primary ones: a transformer's ratio where they are secondary, else 1. */
    toPrimary: number;
  }[];
  digitals: number;
  line_Hz: number;
  rates: readonly { hz: number; endSample: number }[];
  format: 'ASCII' | 'BINARY' | 'BINARY32' | 'FLOAT32';
  timeFactor: number;
  /** What a stamp of a sample counts, s: of the 2013 edition nanoseconds, where its date has them. */
  stampUnit_s: number;
}

const number = (text: string | undefined, what: string): number => {
  const value = Number((text ?? '').trim());
  if ((text ?? '').trim() === '' || !Number.isFinite(value))
    throw new BadCapture(`The .cfg file lacks ${what}: is it complete?`);
  return value;
};

/** @throws BadCapture with the line that cannot be read */
export function readConfiguration(text: string): Configuration {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  let at = 0;
  const next = (): string[] => (lines[at++] ?? '').split(',').map((c) => c.trim());
  const [station = '', device = '', year] = next();
  const revision = year === undefined || year === '' ? 1991 : number(year, 'its edition');
  const counts = next();
  const count = (letter: string) =>
    number(
      counts.find((c) => new RegExp(`^\\d+${letter}$`, 'i').test(c))?.slice(0, -1),
      `how many ${letter === 'A' ? 'analog' : 'digital'} channels there are`,
    );
  const analogCount = count('A');
  const digitals = count('D');
  if (analogCount > 1000 || digitals > 10_000) throw new BadCapture('The .cfg file lists too many channels.');
  const analogs = Array.from({ length: analogCount }, (_, k) => {
    const [, name = `A${k + 1}`, phase = '', , unit = '', a, b, skew, , , primary, secondary, side] = next();
    return {
      name: name === '' ? `A${k + 1}` : name,
      phase,
      unit,
      a: number(a, `the factor of channel ${k + 1}`),
      b: number(b, `the offset of channel ${k + 1}`),
      skew_us: Number(skew ?? 0) || 0,
      toPrimary: side?.toUpperCase() === 'S' ? ratioOf(primary, secondary) : 1,
    };
  });
  for (let k = 0; k < digitals; k += 1) next();
  const line_Hz = Number(next()[0]) || 50;
  const rateCount = number(next()[0], 'how many sample rates there are');
  const rates = Array.from({ length: Math.max(1, rateCount) }, () => {
    const [hz, endSample] = next();
    return { hz: number(hz, 'a sample rate'), endSample: number(endSample, 'the last sample of a rate') };
  });
  const [, firstTime = ''] = next();
  next();
  const format = (next()[0] ?? '').toUpperCase();
  if (format !== 'ASCII' && format !== 'BINARY' && format !== 'BINARY32' && format !== 'FLOAT32')
    throw new BadCapture(
      `The .cfg file calls its samples “${format}”; ASCII, BINARY, BINARY32 and FLOAT32 are known.`,
    );
  const timeFactor = revision >= 1999 ? Number(next()[0] || 1) || 1 : 1;
  const stampUnit_s = revision >= 2013 && /\.\d{7,9}$/.test(firstTime) ? 1e-9 : 1e-6;
  return { station, device, revision, analogs, digitals, line_Hz, rates, format, timeFactor, stampUnit_s };
}

/** A transformer's ratio; 1 where the file does not have it. */
function ratioOf(primary: string | undefined, secondary: string | undefined): number {
  const ratio = Number(primary) / Number(secondary);
  return Number.isFinite(ratio) && ratio > 0 ? ratio : 1;
}

interface Rows {
  /** In the stamps' unit, before the time factor. */
  stamps: Float64Array;
  columns: Float64Array[];
}

function textRows(data: Uint8Array, { analogs }: Configuration): Rows {
  const lines = new TextDecoder()
    .decode(data)
    .split(/\r?\n/)
    .filter((l) => l.trim() !== '' && l.trim() !== '\x1a');
  const stamps = new Float64Array(lines.length);
  const columns = analogs.map(() => new Float64Array(lines.length));
  lines.forEach((line, k) => {
    const cells = line.split(',');
    if (cells.length < 2 + analogs.length)
      throw new BadCapture(
        `Line ${k + 1} of the .dat file has ${cells.length} values; the .cfg file requires at least ${2 + analogs.length}.`,
      );
    stamps[k] = cells[1]?.trim() === '' ? NaN : Number(cells[1]);
    columns.forEach((column, c) => {
      const cell = (cells[2 + c] ?? '').trim();
      // 99999 stood for a missing sample in the first edition; now the field is empty.
      column[k] = cell === '' || cell === '99999' ? NaN : Number(cell);
    });
  });
  return { stamps, columns };
}

function binaryRows(data: Uint8Array, { analogs, digitals, format }: Configuration): Rows {
  const wide = format === 'BINARY' ? 2 : 4;
  const size = 8 + wide * analogs.length + 2 * Math.ceil(digitals / 16);
  if (data.length < size || data.length % size !== 0)
    throw new BadCapture(
      `The .dat file has ${data.length} bytes; the .cfg file requires rows of ${size}. Do the two belong together?`,
    );
  const view = new DataView(data.buffer, data.byteOffset, data.byteLength);
  const count = data.length / size;
  const stamps = new Float64Array(count);
  const columns = analogs.map(() => new Float64Array(count));
  for (let k = 0; k < count; k += 1) {
    const stamp = view.getUint32(k * size + 4, true);
    stamps[k] = stamp === 0xffffffff ? NaN : stamp;
    columns.forEach((column, c) => {
      const at = k * size + 8 + wide * c;
      const value =
        format === 'FLOAT32'
          ? view.getFloat32(at, true)
          : format === 'BINARY32'
            ? view.getInt32(at, true)
            : view.getInt16(at, true);
      const missing = format === 'BINARY' ? value === -32768 : format === 'BINARY32' && value === -2147483648;
      column[k] = missing ? NaN : value;
    });
  }
  return { stamps, columns };
}

/** Times of the samples: by the rates where there are some, else by the stamps. */
function timesOf({ rates, timeFactor, stampUnit_s }: Configuration, stamps: Float64Array): Float64Array {
  const byStamp = rates.every((r) => r.hz === 0);
  if (byStamp) return stamps.map((s) => s * timeFactor * stampUnit_s);
  const times = new Float64Array(stamps.length);
  let rate = 0;
  for (let k = 1; k < times.length; k += 1) {
    while (rate < rates.length - 1 && k >= (rates[rate]?.endSample ?? Infinity)) rate += 1;
    times[k] = valueAt(times, k - 1) + 1 / (rates[rate]?.hz || 1);
  }
  return times;
}

const rolesByName: readonly (readonly [RegExp, ChannelRole])[] = [
  [/vdc|bus|link/i, 'vdc'],
  [/^i.*(l1|a)$/i, 'ia'],
  [/^i.*(l2|b)$/i, 'ib'],
  [/^i.*(l3|c)$/i, 'ic'],
  [/uv$/i, 'vuv'],
  [/vw$/i, 'vvw'],
  [/wu$/i, 'vwu'],
  [/^i.*u$/i, 'iu'],
  [/^i.*v$/i, 'iv'],
  [/^i.*w$/i, 'iw'],
];
const factors: Readonly<Record<string, number>> = { kV: 1e3, kA: 1e3, mV: 1e-3, mA: 1e-3 };

/** A record of two files. Roles are guessed by the channels' names. @throws BadCapture */
export function readComtrade(cfg: string, dat: Uint8Array): Capture {
  const configuration = readConfiguration(cfg);
  const { stamps, columns } =
    configuration.format === 'ASCII' ? textRows(dat, configuration) : binaryRows(dat, configuration);
  if (stamps.length === 0) throw new BadCapture('The .dat file has no samples.');
  const times = timesOf(configuration, stamps);
  const raw = configuration.analogs.map((channel, c): RawChannel => {
    const factor = factors[channel.unit] ?? 1;
    const role = rolesByName.find(([pattern]) => pattern.test(channel.name))?.[1] ?? 'other';
    return {
      name: channel.name,
      role,
      unit: role === 'other' ? channel.unit.replace(/^[km](?=[VA]$)/, '') : unitOfRole(role),
      times: channel.skew_us === 0 ? times : times.map((t) => t + channel.skew_us * 1e-6),
      values: item(columns, c).map((v) => (channel.a * v + channel.b) * factor * channel.toPrimary),
    };
  });
  const capture = evenCapture(raw);
  const expected = configuration.rates.at(-1)?.endSample ?? 0;
  const notes = [
    ...(expected > 0 && expected !== stamps.length
      ? [
          `The .dat file has ${stamps.length} samples, the .cfg file announces ${expected}: it may be cut off.`,
        ]
      : []),
    ...configuration.analogs
      .filter((a) => a.toPrimary !== 1)
      .map((a) => `${a.name}: secondary values × ${Number(a.toPrimary.toPrecision(6))} = primary.`),
  ];
  return { ...capture, notes: [...notes, ...capture.notes] };
}

const codes = 32_000;

/**
 * A capture as a record, samples as text.
 * @param at when its first sample was taken
 * @param edition of the standard
 */
export function writeComtrade(
  capture: Capture,
  at: Date,
  line_Hz: number,
  edition: 1999 | 2013 = 1999,
): { cfg: string; dat: string } {
  const { channels, dt } = capture;
  const count = channels[0]?.values.length ?? 0;
  const scales = channels.map(({ values }) => {
    let most = 0;
    for (const v of values) most = Math.max(most, Math.abs(v));
    return most > 0 ? most / codes : 1;
  });
  const two = (n: number) => String(n).padStart(2, '0');
  const stamp = `${two(at.getUTCDate())}/${two(at.getUTCMonth() + 1)}/${at.getUTCFullYear()},${two(at.getUTCHours())}:${two(at.getUTCMinutes())}:${two(at.getUTCSeconds())}.${String(at.getUTCMilliseconds() * 1000).padStart(6, '0')}`;
  const clean = (text: string) => text.replace(/[,\r\n]/g, ' ').slice(0, 64);
  const cfg = [
    `Grim Spanner,bench,${edition}`,
    `${channels.length},${channels.length}A,0D`,
    ...channels.map(
      (c, k) =>
        `${k + 1},${clean(c.role === 'other' ? c.name : c.role)},,,${c.unit},${scales[k]},0,0,${-codes},${codes},1,1,P`,
    ),
    String(line_Hz),
    '1',
    `${Number((1 / dt).toPrecision(12))},${count}`,
    stamp,
    stamp,
    'ASCII',
    '1',
    // UTC, on a clock that nobody vouches for, without leap seconds.
    ...(edition === 2013 ? ['0,0', 'F,3'] : []),
    '',
  ].join('\r\n');
  const dat = Array.from({ length: count }, (_, k) =>
    [
      k + 1,
      Math.round(k * dt * 1e6),
      ...channels.map((c, i) => Math.round(valueAt(c.values, k) / numberAt(scales, i))),
    ].join(','),
  );
  return { cfg, dat: `${dat.join('\r\n')}\r\n` };
}
