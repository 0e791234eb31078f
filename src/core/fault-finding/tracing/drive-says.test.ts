import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { driveSays, newestBurst, tablesWith, usualTables, type DriveFacts, type TraceTable } from '.';
import { traceTablesSchema } from './schema';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const facts = (values: DriveFacts['values'], live: DriveFacts['live'] = {}): DriveFacts => ({
  control,
  supply_V: 400,
  ratedAmps: 15,
  values,
  live,
});
const table = (family: TraceTable['family']): TraceTable => {
  const found = usualTables.find((t) => t.family === family);
  if (found === undefined) throw new Error(family);
  return found;
};
const said = (family: TraceTable['family'], f: DriveFacts) =>
  driveSays(table(family), f).map((s) => [s.check.id, s.outcome, s.evidence]);

describe('what the drive answers itself', () => {
  it('that feedback is asked for, by the control mode', () => {
    expect(said('encoder', facts({ '1-07': 2 }))).toEqual([
      ['chosen', 'yes', '1-07 Control mode: vector, encoder'],
    ]);
    expect(said('encoder', facts({ '1-07': 0 }))).toEqual([['chosen', 'no', '1-07 Control mode: V/Hz']]);
  });

  it('that the bus is high at rest: 700 V where 400 V peak at 566', () => {
    const bus = (busVolts: number, live: DriveFacts['live'] = { state: 'ready', alarm: null }) =>
      said('overvoltage-rest', facts({}, { busVolts, ...live }));
    expect(bus(700)).toEqual([['bus', 'yes', 'bus 700 V']]);
    expect(bus(560)).toEqual([['bus', 'no', 'bus 560 V']]);
    // What it shows while it runs, or has just tripped, is no figure at rest.
    for (const live of [
      { state: 'running' },
      { state: 'tripped' },
      { state: 'ready', alarm: 'O-VOLT' },
      {},
    ] as const)
      expect(bus(790, live)).toEqual([]);
  });

  it('that it runs at zero', () => {
    expect(said('no-motion', facts({}, { state: 'running', reference_Hz: 0 }))).toEqual([
      ['lamp', 'yes', 'state: running'],
      ['reference', 'yes', 'reference 0.0 Hz'],
    ]);
  });

  it('nothing where nothing was read', () => {
    expect(usualTables.flatMap((t) => driveSays(t, facts({})))).toEqual([]);
  });
});

describe('the order of the fault slots', () => {
  const slot = (code: string, runHours: number, clock_min = 0) => ({ code, runHours, clock_min });

  it('the first of a burst is traced, not the newest', () => {
    const burst = newestBurst([
      slot('EXT', 120, 1004),
      slot('U-VOLT', 120, 1003),
      slot('EARTH', 120, 1000),
      slot('TEMP', 80, 400),
    ]);
    expect(burst?.first.code).toBe('EARTH');
    expect(burst?.followed.map((s) => s.code)).toEqual(['U-VOLT', 'EXT']);
  });

  it('by run hours where the clock was never set', () => {
    expect(newestBurst([slot('EXT', 120), slot('EARTH', 119)])?.first.code).toBe('EXT');
    expect(newestBurst([slot('EXT', 120), slot('EARTH', 120)])?.first.code).toBe('EARTH');
  });

  it('the same fault again is one that somebody reset', () => {
    expect(newestBurst([slot('EARTH', 120), slot('EARTH', 120)])).toEqual({
      first: slot('EARTH', 120),
      followed: [],
    });
    expect(newestBurst([])).toBeNull();
  });
});

describe('tables that a shop edits', () => {
  it('all that ship pass the border', () => {
    expect(traceTablesSchema.parse(JSON.parse(JSON.stringify(usualTables)))).toHaveLength(usualTables.length);
  });

  it('one for every fault family that has causes, and for every trouble without a fault', () => {
    expect(new Set(usualTables.map((t) => t.family)).size).toBe(usualTables.length);
    expect(usualTables.length).toBeGreaterThanOrEqual(27);
  });

  it('chances that do not come to one, and strange causes, are said with their place', () => {
    const broken = structuredClone(table('fan')) as unknown as {
      checks: { outcomes: { given: Record<string, number>; otherwise: number }[] }[];
    };
    const outcome = broken.checks[0]?.outcomes[0];
    if (outcome === undefined) throw new Error('no outcome');
    outcome.given = { dirt: 0.5, moths: 0.2 };
    const { error } = traceTablesSchema.safeParse([broken]);
    const words = error?.issues.map((i) => i.message) ?? [];
    expect(words).toContain('there is no cause moths');
    expect(words).toContain('under “fan blocked” the chances add up to 0.60, not 1');
  });

  it('stand in the place of the usual one', () => {
    const own = { ...table('fan'), provenance: 'our shop, 2026' };
    expect(tablesWith([own]).find((t) => t.family === 'fan')?.provenance).toBe('our shop, 2026');
    expect(tablesWith([own])).toHaveLength(usualTables.length);
  });
});
