import {
  BadCapture,
  captureCsv,
  captureOf,
  clippedShare,
  columnsOf,
  evenCapture,
  guessLayout,
  shortened,
  thinned,
  type Capture,
} from '.';
import { sine } from './__tests__/sine';

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
