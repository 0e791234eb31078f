import { emptyJob, fold, type Entry, type JobState } from '../../logbook';
import { greatestLimits } from '../../bench/make-safe';
import { commonMeter, stage } from '../../equipment/power-stage';
import { diagnose, tablesFor } from '../../bench/static-diagnosis';
import { sheetOf, sheetRows } from '.';

const unit = stage({ brake: true });
const tables = tablesFor(unit, commonMeter);
const person = { id: 'p', name: 'Ines Tarrow', role: 'technician' as const };
const at = Date.parse('2026-11-20T14:00:00Z');
const reading = (red: 'L1' | 'L2' | 'L3', value: number | 'OL') => ({
  red,
  black: 'DC+' as const,
  value,
  at,
  by: person,
  entryId: red,
});

const state: JobState = {
  ...emptyJob,
  drive: {
    typeId: null,
    maker: 'Whimbrel',
    type: 'W4-15',
    badge: 'Quayline',
    supply_V: 400,
    phases: 3,
    ratedAmps: 15,
    labelWait_min: 5,
    drawingOnlySimilar: true,
    stage: unit,
    strip: [],
    photos: [],
  },
  readings: [reading('L1', 0.45), reading('L2', 'OL'), reading('L2', 'OL'), reading('L3', 0.452)],
  questions: [{ id: 'q', text: 'who?', answer: null }],
};
const diagnosis = diagnose(tables, state.readings);

describe('the static-test sheet', () => {
  const sheet = sheetOf(state, diagnosis, greatestLimits);

  it('names the unit, its badge, and that the drawing is only similar', () => {
    expect(sheet.identity).toContainEqual({ label: 'Drive', value: 'Whimbrel W4-15' });
    expect(sheet.identity).toContainEqual({ label: 'Brand on the cover', value: 'Quayline' });
    expect(sheet.identity).toContainEqual({ label: 'Drawing', value: 'only similar to this unit' });
  });

  it('keeps both values of a repeated reading', () => {
    expect(sheet.readings.find((r) => r.red === 'L2')?.values).toEqual(['OL', 'OL']);
    expect(sheetRows(sheet).find((r) => r['red'] === 'L2')).toMatchObject({
      value_V: 'OL',
      earlier_V: 'OL',
      state: 'failed',
    });
  });

  it('says what the test cannot see, always', () => {
    expect(sheet.unseen.join()).toMatch(/IGBTs switch/);
    expect(sheet.unseen.join()).toMatch(
      /with the readings taken: whether the L1 lower diode is shorted, is open, leaks, or has a high forward drop/,
    );
  });

  it('never calls anything good', () => {
    expect(JSON.stringify(sheet)).not.toMatch(/\bgood\b/i);
  });

  it('says that nothing was proven when nothing was', () => {
    expect(sheet.safety).toBeNull();
    expect(sheet.signature).toBeNull();
    expect(sheet.asFound).toEqual(['not recorded']);
  });

  it('prints a signed conclusion as it was signed', () => {
    const signed = {
      kind: 'sheet.signed',
      by: person,
      at: new Date(at).toISOString(),
      payload: { verdict: 'doubtful', headline: 'As signed then.', detail: '', seq: 4 },
    } as unknown as Extract<Entry, { kind: 'sheet.signed' }>;
    const printed = sheetOf({ ...state, signed }, diagnosis, greatestLimits);
    expect(printed.conclusion).toMatchObject({ headline: 'As signed then.', level: 'doubtful' });
    expect(printed.signature).toEqual({
      name: 'Ines Tarrow',
      role: 'technician',
      at: '2026-11-20T14:00:00.000Z',
    });
  });

  it('lists entries that do not count, with the reason', () => {
    const voided = fold(
      [
        {
          v: 1,
          id: 'a',
          jobId: 'j',
          at: new Date(at).toISOString(),
          seq: 1,
          kind: 'static.reading',
          payload: { red: 'L1', black: 'DC+', value: 0.45, typed: '' },
          by: person,
        },
      ],
      { limits: greatestLimits },
    );
    expect(sheetOf(voided, diagnosis, greatestLimits).voided[0]?.why).toMatch(
      /Read the drive nameplate first/,
    );
  });
});

it('is plain data, whatever words are in it', () => {
  const family = 'constructor';
  const by = { id: 'i', name: 'Ines Tarrow', role: 'technician' as const };
  const answered = {
    ...{ v: 1, id: 'x', jobId: 'j', at: '2026-11-20T13:00:00Z', by },
    kind: 'trace.answered' as const,
    payload: { family, check: 'whole', outcome: 'yes', words: family },
  };
  const sheet = sheetOf({ ...state, traced: [answered] }, diagnosis, greatestLimits);
  expect(() => structuredClone(sheet)).not.toThrow();
  expect(sheet.traces[0]?.trouble).toBe(family);
});

describe('traces on the sheet', () => {
  const by = { id: 'i', name: 'Ines Tarrow', role: 'technician' as const };
  const made = { v: 1, id: 'x', jobId: 'j', at: '2026-11-20T13:00:00Z', by };
  const answered = (check: string, words: string) => ({
    ...made,
    kind: 'trace.answered' as const,
    payload: { family: 'ground', check, outcome: 'yes', words },
  });
  const jumper = {
    form: 'jumper' as const,
    where: 'X3',
    guards: 'process' as const,
    plant: 'existing' as const,
    landed: 'yes' as const,
    motorConnected: true,
    reason: 'level switch ordered',
    approver: 'A. Fenn',
    removeBy: '2026-11-27',
    id: 'j1',
    by,
    removed: null,
  };
  const traced: JobState = {
    ...state,
    traced: [answered('whole', 'Insulation of both: low'), answered('motor', 'Motor alone: low')],
    causes: [
      {
        ...made,
        kind: 'trace.confirmed',
        payload: {
          family: 'ground',
          cause: 'motor',
          name: 'motor winding insulation low to earth',
          how: 'motor off: runs; motor on: trips',
          watch: 'water in the terminal box',
        },
      },
    ],
    registers: { ...emptyJob.registers, jumpers: [jumper] },
  };
  const sheet = sheetOf(traced, diagnosis, greatestLimits);

  it('are a path, with the cause, how it was shown and what to watch', () => {
    expect(sheet.traces).toEqual([
      {
        trouble: 'ground fault',
        steps: ['Insulation of both: low', 'Motor alone: low'],
        causes: [
          'motor winding insulation low to earth, shown by: motor off: runs; motor on: trips Watch: water in the terminal box',
        ],
      },
    ]);
  });

  it('stand beside jumpers that are still in', () => {
    expect(sheet.changes).toEqual([
      'X3: temporary jumper, level switch ordered; accepted by A. Fenn; STILL FITTED, remove by 2026-11-27',
    ]);
  });
});
