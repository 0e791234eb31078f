import {
  BadCapture,
  captureCsv,
  captureOf,
  clippedShare,
  columnsOf,
  evenCapture,
  guessLayout,
  readComtrade,
  readConfiguration,
  shortened,
  thinned,
  writeComtrade,
  type Capture,
  type RawChannel,
} from '.';

const sine = (count: number, dt: number, peak = 10): RawChannel => ({
  name: 'ia',
  role: 'ia',
  unit: 'A',
  times: Float64Array.from({ length: count }, (_, k) => k * dt),
  values: Float64Array.from({ length: count }, (_, k) => peak * Math.sin(2 * Math.PI * 50 * k * dt)),
});
const csv = (rows: number, line: (k: number) => string, head = 'time (s),bus (V),IL1 (A)') =>
  [head, ...Array.from({ length: rows }, (_, k) => line(k))].join('\n');

describe('a capture as CSV', () => {
  it('is read with decimal commas, semicolons and lines above its names', () => {
    const text = `Scope 7;shop\nnote;x\n${csv(40, (k) => `${String(k / 10).replace('.', ',')};${540 + k},5;-1,25`, 'Time (ms);DC bus (V);I L1 (A)')}`;
    const columns = columnsOf(text);
    expect(columns.names).toEqual(['Time (ms)', 'DC bus (V)', 'I L1 (A)']);
    const layout = guessLayout(columns);
    expect(layout).toMatchObject({ time: 0, timeUnit: 'ms' });
    expect(layout.channels.map((c) => c.role)).toEqual(['vdc', 'ia']);
    const capture = captureOf(columns, layout);
    expect(capture.dt).toBeCloseTo(1e-4, 9);
    expect(capture.channels[0]?.values[1]).toBeCloseTo(541.5, 9);
  });

  it('takes a scale, and a time between samples where no column is the time', () => {
    const columns = columnsOf(csv(30, (k) => `${Math.sin(k).toFixed(4)}`, 'CH1'));
    expect(guessLayout(columns).time).toBeNull();
    const given = {
      time: null,
      timeUnit: 's',
      step_s: 2e-5,
      channels: [{ column: 0, role: 'iu', scale: 100 }],
    } as const;
    const capture = captureOf(columns, given);
    expect(capture.dt).toBeCloseTo(2e-5, 12);
    expect(capture.channels[0]?.values[1]).toBeCloseTo(100 * Math.sin(1), 1);
    expect(() => captureOf(columns, { ...given, step_s: null })).toThrow(/sample interval/);
  });

  it('draws a few missing samples across and says so; refuses many', () => {
    const few = captureOf(columnsOf(csv(200, (k) => `${k / 1000},${k === 50 ? '' : 500 + k},1`)), {
      time: 0,
      timeUnit: 's',
      step_s: null,
      channels: [{ column: 1, role: 'vdc', scale: 1 }],
    });
    expect(few.channels[0]?.values[50]).toBeCloseTo(550, 6);
    expect(few.notes.join()).toMatch(/1 missing sample/);
    expect(() =>
      captureOf(columnsOf(csv(200, (k) => `${k / 1000},${k % 4 === 0 ? '' : 500},1`)), {
        time: 0,
        timeUnit: 's',
        step_s: null,
        channels: [{ column: 1, role: 'vdc', scale: 1 }],
      }),
    ).toThrow(/lacks 25.0 %/);
  });

  it('lays two time bases on the finer one', () => {
    const rows = csv(
      200,
      (k) => `${k / 10_000},${Math.sin(k)},${k < 100 ? k / 5000 : ''},${k < 100 ? k : ''}`,
      't1,IU,t2,DC bus',
    );
    const columns = columnsOf(rows);
    const capture = captureOf(columns, {
      time: 0,
      timeUnit: 's',
      step_s: null,
      channels: [
        { column: 1, role: 'iu', scale: 1 },
        { column: 3, role: 'vdc', scale: 1, time: 2 },
      ],
    });
    expect(capture.notes.join()).toMatch(/two time bases/);
    expect(capture.dt).toBeCloseTo(1e-4, 9);
    expect(capture.channels[1]?.values[3]).toBeCloseTo(1.5, 6);
  });

  it('refuses a column as time that does not go up, and text without numbers', () => {
    const columns = columnsOf(csv(50, (k) => `${k},${Math.sin(k)},2`));
    expect(() =>
      captureOf(columns, {
        time: 1,
        timeUnit: 's',
        step_s: null,
        channels: [{ column: 0, role: 'vdc', scale: 1 }],
      }),
    ).toThrow(/another column the time/);
    expect(() => columnsOf('dear sir\nno numbers here')).toThrow(BadCapture);
  });

  it('reads what it wrote', () => {
    const capture = evenCapture([sine(100, 1e-4)]);
    const columns = columnsOf(captureCsv(capture));
    const again = captureOf(columns, guessLayout(columns));
    expect(again.dt).toBeCloseTo(1e-4, 12);
    again.channels[0]?.values.forEach((v, k) =>
      expect(v).toBeCloseTo(capture.channels[0]?.values[k] ?? NaN, 4),
    );
  });
});

it.each([41, 1e6, 1e12])('one late stamp (%d s) is refused before anything is made for it', (late) => {
  const times = Float64Array.from({ length: 40 }, (_, k) => (k === 39 ? late : k * 1e-6));
  expect(() => evenCapture([{ ...sine(40, 1e-6), times }])).toThrow(/Gap in the time column/);
});

describe('a channel out of its range', () => {
  it('is distinguished from one that is not, and from pulses', () => {
    const cut = sine(2000, 1e-4);
    cut.values.forEach((v, k) => (cut.values[k] = Math.max(-7, Math.min(7, v))));
    expect(evenCapture([cut]).notes.join()).toMatch(/overdriven/);
    expect(evenCapture([sine(2000, 1e-4)]).notes).toEqual([]);
    const pulses = {
      ...sine(2000, 1e-4),
      values: Float64Array.from({ length: 2000 }, (_, k) => (k % 20 < 10 ? 540 : 0)),
    };
    expect(clippedShare(pulses.values)).toBeGreaterThan(0.9);
    expect(evenCapture([pulses]).notes).toEqual([]);
  });
});

describe('five million samples', () => {
  const values = new Float64Array(5_000_000);
  values[1_234_567] = 900;
  values[4_000_001] = -80;
  it('are read row by row', () => {
    const rows = 300_000;
    const lines = Array.from({ length: rows }, (_, k) => `${k}e-6,${k % 100}`);
    const { names, values: read } = columnsOf(`t,DC bus\n${lines.join('\n')}`);
    expect(names).toEqual(['t', 'DC bus']);
    expect(read[0]?.length).toBe(rows);
    expect(read[1]?.[299_999]).toBe(99);
  });
  it('are drawn without losing a peak', () => {
    const { v } = thinned(values, { t0: 0, dt: 1e-6 }, 1600);
    expect(v.length).toBeLessThanOrEqual(1600);
    expect(Math.max(...v)).toBe(900);
    expect(Math.min(...v)).toBe(-80);
  });
  it('are kept with their peaks', () => {
    const capture: Capture = {
      t0: 0,
      dt: 1e-6,
      notes: [],
      channels: [{ name: 'x', role: 'vdc', unit: 'V', values }],
    };
    const short = shortened(capture, 20_000);
    const kept = short.channels[0]?.values ?? new Float64Array(0);
    expect(kept.length).toBeLessThanOrEqual(20_000);
    expect([Math.max(...kept), Math.min(...kept)]).toEqual([900, -80]);
    expect(short.dt * kept.length).toBeCloseTo(5, 2);
    expect(short.notes.join()).toMatch(/minimum and maximum of every 500/);
  });
});

// Laid out by hand after IEEE C37.111-1999 from memory: no independent reader was to be had.
const cfg = [
  'PELLOW QUAY,SCOPE 7,1999',
  '3,2A,1D',
  '1,IL1,A,line,A,0.5,-1,0,-32767,32767,1,1,P',
  '2,VDC,,bus,kV,0.001,0,0,-32767,32767,1,1,P',
  '1,TRIP,,,0',
  '50',
  '1',
  '1000,20',
  '20/11/2026,09:12:00.000000',
  '20/11/2026,09:12:00.010000',
  'ASCII',
  '1',
].join('\r\n');

describe('a COMTRADE record', () => {
  it('is read as text, factors and offsets applied', () => {
    const dat = Array.from({ length: 20 }, (_, k) => `${k + 1},${k * 1000},${k},540,0`).join('\r\n');
    const capture = readComtrade(cfg, new TextEncoder().encode(dat));
    expect(capture.dt).toBeCloseTo(1e-3, 12);
    expect(capture.channels.map((c) => c.role)).toEqual(['ia', 'vdc']);
    expect(capture.channels[0]?.values[4]).toBeCloseTo(1, 9);
    expect(capture.channels[1]?.values[4]).toBeCloseTo(540, 9);
  });

  it.each([
    ['BINARY', 2],
    ['BINARY32', 4],
    ['FLOAT32', 4],
  ] as const)('is read as %s', (format, wide) => {
    const size = 8 + 2 * wide + 2;
    const view = new DataView(new ArrayBuffer(20 * size));
    for (let k = 0; k < 20; k += 1) {
      view.setInt32(k * size, k + 1, true);
      view.setUint32(k * size + 4, k * 1000, true);
      [k, 540].forEach((v, c) => {
        const at = k * size + 8 + wide * c;
        if (format === 'FLOAT32') view.setFloat32(at, v, true);
        else if (format === 'BINARY32') view.setInt32(at, v, true);
        else view.setInt16(at, v, true);
      });
    }
    const capture = readComtrade(cfg.replace('ASCII', format), new Uint8Array(view.buffer));
    expect(capture.channels[0]?.values[10]).toBeCloseTo(4, 9);
    expect(capture.channels[1]?.values[10]).toBeCloseTo(540, 9);
  });

  it('is read as it was written', () => {
    const capture = evenCapture([
      sine(400, 5e-5, 33),
      { ...sine(400, 5e-5, 560), name: 'bus', role: 'vdc', unit: 'V' },
    ]);
    const { cfg: head, dat } = writeComtrade(capture, new Date('2026-11-20T09:12:00Z'), 50);
    expect(readConfiguration(head)).toMatchObject({
      revision: 1999,
      digitals: 0,
      line_Hz: 50,
      format: 'ASCII',
    });
    const again = readComtrade(head, new TextEncoder().encode(dat));
    expect(again.channels.map((c) => c.role)).toEqual(['ia', 'vdc']);
    again.channels.forEach((c, i) =>
      c.values.forEach((v, k) =>
        expect(Math.abs(v - (capture.channels[i]?.values[k] ?? NaN))).toBeLessThan(0.02),
      ),
    );
  });

  // IEEE C37.111, from memory: PS says on which side of a transformer the values are; 2013 has nanoseconds where the date has them.
  it('honours ratios, nanoseconds and the units of other channels, and says what is cut off', () => {
    const rows = Array.from({ length: 30 }, (_, k) => `${k + 1},${k * 1_000_000},${k},21`).join('\r\n');
    const head = [
      'bench,scope,2013',
      '2,2A,0D',
      '1,IL1,A,,A,0.1,0,0,-32767,32767,200,5,S',
      '2,cabinet,,,°C,1,0,0,-32767,32767,1,1,P',
      '50',
      '0',
      '0,40',
      '01/12/2026,09:12:00.000000001',
      '01/12/2026,09:12:00.000000001',
      'ASCII',
      '1',
    ].join('\r\n');
    const { channels, dt, notes } = readComtrade(head, new TextEncoder().encode(rows));
    expect(dt).toBeCloseTo(1e-3, 9);
    expect(channels[0]?.values[10]).toBeCloseTo(40, 9);
    expect(channels[1]).toMatchObject({ role: 'other', unit: '°C' });
    expect(notes.join(' ')).toMatch(/30 samples.*40.*secondary values × 40/);
    const primary = readComtrade(head.replace(',200,5,S', ',200,5,P'), new TextEncoder().encode(rows));
    expect(primary.channels[0]?.values[10]).toBeCloseTo(1, 9);
  });

  it('says what is wrong with a file that does not fit', () => {
    expect(() => readConfiguration('x,y,1999\r\nnonsense')).toThrow(/how many analog channels/);
    expect(() => readComtrade(cfg, new TextEncoder().encode('1,0,5'))).toThrow(/Line 1 of the .dat/);
    expect(() => readComtrade(cfg.replace('ASCII', 'BINARY'), new Uint8Array(33))).toThrow(/belong together/);
    expect(() => readConfiguration(cfg.replace('ASCII', 'MORSE'))).toThrow(/MORSE/);
  });
});
