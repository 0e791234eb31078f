import { evenCapture, readCff, readComtrade, readConfiguration, writeCff, writeComtrade } from '.';
import { sine } from './__tests__/sine';

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

  // IEEE C37.111-2013, from memory: the record in one file, each part under a line that names it.
  it('is read and written in one file', () => {
    const capture = evenCapture([sine(400, 5e-5, 33)]);
    const file = writeCff(capture, new Date('2026-11-20T09:12:00Z'), 50);
    expect(file.split('\r\n').filter((line) => line.startsWith('---'))).toEqual([
      '--- file type: CFG ---',
      '--- file type: INF ---',
      '--- file type: HDR ---',
      '--- file type: DAT ASCII ---',
    ]);
    const again = readCff(new TextEncoder().encode(file));
    expect(again.notes).toEqual([]);
    expect(again.channels[0]?.values).toHaveLength(400);
    expect(again.channels[0]?.values[7]).toBeCloseTo(capture.channels[0]?.values[7] ?? NaN, 2);
    expect(readConfiguration(file.split('---')[2]?.trim() ?? '')).toMatchObject({
      revision: 2013,
      timeFactor: 1,
    });
  });

  it('counts binary samples of one file, even where they look like the line of a part', () => {
    const size = 8 + 2 * 2 + 2;
    const trap = '\n--- file type: HDR ---\n';
    const samples = new Uint8Array(size * 20);
    samples.set(new TextEncoder().encode(trap), size * 3 + 8);
    const view = new DataView(samples.buffer);
    for (let k = 0; k < 20; k += 1) view.setUint32(k * size + 4, k * 1000, true);
    view.setInt16(size * 10 + 8, 10, true);
    const head = [
      '--- file type: CFG ---',
      cfg.replace('ASCII', 'BINARY'),
      '--- file type: INF ---',
      'made by hand',
      `--- file type: DAT BINARY: ${samples.length} ---`,
      '',
    ].join('\r\n');
    const file = (part: Uint8Array) => new Uint8Array([...new TextEncoder().encode(head), ...part]);
    expect(readCff(file(samples)).channels[0]?.values[10]).toBeCloseTo(4, 9);
    expect(() => readCff(file(samples.subarray(0, 100)))).toThrow(
      /announces 280 bytes.*has 100: it is cut off/,
    );
    expect(() => readCff(new TextEncoder().encode('time,bus\n0,1'))).toThrow(/no part “CFG”/);
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
