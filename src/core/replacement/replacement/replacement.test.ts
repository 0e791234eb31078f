/** What another unit costs, whether it fits, and where its holes go: hand sums, and the types that ship. */
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { controlSchema, driveTypeSchema } from '../../equipment/catalogue/schema';
import {
  decide,
  fitCheck,
  fitRules,
  placeHoles,
  templateOf,
  unitOfModel,
  type UnitRequirements,
  type FitUnit,
  type Range,
  type Situation,
} from '.';
import { situationSchema } from './schema';

const exact = (n: number): Range => [n, n];
const choice = (price: number, work: number, lead: number, stop: number, holds: number) => ({
  price: exact(price),
  work_h: exact(work),
  lead_h: exact(lead),
  stop_h: exact(stop),
  holds_percent: exact(holds),
});
const situation: Situation = {
  common: { stopPerHour: exact(200), workPerHour: exact(60), bankAge_years: exact(6) },
  choices: {
    repair: choice(300, 5, 48, 2, 80),
    exchange: choice(900, 2, 24, 1.5, 95),
    newer: choice(1200, 8, 24, 1.5, 97),
    settings: choice(0, 1, 0, 0.5, 10),
  },
  out: { settings: 'the bridge is open' },
  standsMeanwhile: false,
  discontinued: false,
};

describe('the choice', () => {
  it('adds up as by hand', () => {
    const { choices, best } = decide(situation);
    const cost = (id: string) => choices.find((c) => c.id === id)?.cost.mid;
    // Newer holds surest, so it is what comes after the others: 1200 + 8 × 60 + 1.5 × 200 = 1980.
    expect(cost('exchange')).toBeCloseTo(900 + 2 * 60 + 1.5 * 200 + 0.05 * 1980, 6);
    expect(cost('repair')).toBeCloseTo(300 + 5 * 60 + 2 * 200 + 0.2 * 1980, 6);
    // And after the newer one, the exchange: 1320.
    expect(cost('newer')).toBeCloseTo(1980 + 0.03 * 1320, 6);
    expect(best).toBe('repair');
    expect(choices.find((c) => c.id === 'settings')?.out).toBe('the bridge is open');
  });

  it('waiting counts only while the machine stands', () => {
    const stands = decide({ ...situation, standsMeanwhile: true });
    expect(stands.best).toBe('exchange');
    const exchange = stands.choices.find((c) => c.id === 'exchange');
    // The newer one, if it must come after it, is waited for as well.
    expect(exchange?.stop_h).toBeCloseTo(25.5 + 0.05 * 25.5, 6);
  });

  it('an old bank counts against what keeps it', () => {
    const at = (years: number) =>
      decide({ ...situation, common: { ...situation.common, bankAge_years: exact(years) } });
    const repair = (years: number) => at(years).choices.find((c) => c.id === 'repair')?.cost.mid ?? NaN;
    expect(repair(8)).toBeCloseTo(repair(0), 6);
    // Four years beyond: 80 % × 0.8 = 64 %.
    expect(repair(12)).toBeCloseTo(1000 + 0.36 * 1980, 6);
    expect(at(16).best).toBe('exchange');
  });

  it('names the blank that matters with where it turns, and leaves the others alone', () => {
    const blank: Situation = {
      ...situation,
      choices: {
        ...situation.choices,
        repair: { ...situation.choices.repair, price: null, lead_h: null },
      },
    };
    const { matters, indifferent, best } = decide(blank);
    const [first] = matters;
    expect(first).toMatchObject({ figure: 'repair.price', known: 'blank' });
    // Cheaper than the exchange (1419) as long as its own 1096 less 300 plus the price is below: 623.
    expect(best).toBe('exchange');
    expect(first?.when).toBe('below');
    expect(first?.turnsAt).toBeCloseTo(1419 - (1396 - 300), 3);
    expect(first?.then).toBe('repair');
    expect(indifferent).toContain('repair it: delivery time, hours');
  });

  it('at the turn another choice is cheapest, and just before it is not', () => {
    // The others stay in their middle: a range of one point.
    const middle = ({ choices }: Situation) =>
      Object.fromEntries(
        (['repair', 'exchange'] as const).map((id) => {
          const [a, b] = choices[id].price ?? [0, 0];
          return [id, { ...choices[id], price: exact((a + b) / 2) }];
        }),
      );
    const rangeOf = (a: number, b: number): Range => [Math.min(a, b), Math.max(a, b)];
    const figure = fc.tuple(fc.integer({ min: 1, max: 2000 }), fc.integer({ min: 1, max: 2000 }));
    fc.assert(
      fc.property(figure, figure, ([a, b], [c, d]) => {
        const given: Situation = {
          ...situation,
          choices: {
            ...situation.choices,
            repair: { ...situation.choices.repair, price: rangeOf(a, b) },
            exchange: { ...situation.choices.exchange, price: rangeOf(c, d) },
          },
        };
        const { best, matters } = decide(given);
        for (const m of matters) {
          const [id, of] = m.figure.split('.') as ['repair', 'price'];
          const price = (value: number) =>
            decide({
              ...given,
              choices: {
                ...given.choices,
                ...middle(given),
                [id]: { ...given.choices[id], [of]: exact(value) },
              },
            }).best;
          const beyond = m.when === 'above' ? 0.01 : -0.01;
          expect(price(m.turnsAt + beyond)).toBe(m.then);
          expect(price(m.turnsAt - 2 * beyond)).toBe(best);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('with nothing known it says on what it hangs, and with nothing possible that there is nothing', () => {
    const none = { price: null, work_h: null, lead_h: null, stop_h: null, holds_percent: null };
    const empty: Situation = {
      ...situation,
      common: { stopPerHour: null, workPerHour: null, bankAge_years: null },
      choices: { repair: none, exchange: none, newer: none, settings: none },
      out: {},
    };
    expect(decide(empty).matters.length).toBeGreaterThan(3);
    const out = { repair: 'x', exchange: 'x', newer: 'x', settings: 'x' };
    expect(decide({ ...empty, out })).toMatchObject({ best: null, matters: [] });
  });

  it('ranges are the right way round', () => {
    const wrong = { ...situation, common: { ...situation.common, stopPerHour: [300, 200] } };
    expect(situationSchema.safeParse(situation).success).toBe(true);
    expect(situationSchema.safeParse(wrong).success).toBe(false);
  });
});

const read = (type: string, file: string): unknown =>
  JSON.parse(readFileSync(`catalogue/${type}/${file}`, 'utf8'));
const unit = (typeId: string, model: string): FitUnit => {
  const type = driveTypeSchema.parse(read(typeId, 'type.json'));
  const found = type.models.find((m) => m.type === model);
  if (found === undefined) throw new Error(model);
  return unitOfModel(type, found, controlSchema.parse(read(typeId, 'control.json')));
};
const knot = unit('knot-k3', 'K3-18');
const whimbrel = unit('whimbrel-w4', 'W4-15');
const asked: UnitRequirements = {
  supply: { volts: 400, phases: 3, earthing: 'star-earthed' },
  motorAmps: 14.6,
  duty: 'normal',
  ambient_C: 30,
  altitude_m: 0,
  carrier_kHz: 3,
  sideBySide: false,
  brakeResistor_ohm: 47,
  brakes: true,
  feedback: false,
  network: null,
  wired: { digital: 5, analog: 1, analogOut: 1, relays: 2, safe: false },
  room_mm: { width: null, height: null, depth: null },
  cablesFrom: 'below',
  protection: null,
};
const rowOf = (next: FitUnit, changed: Partial<UnitRequirements>, id: string, old = knot) =>
  fitCheck(old, next, { ...asked, ...changed }).rows.find((r) => r.id === id);

describe('the fit', () => {
  it('of the net-drum: adapts, with what to do', () => {
    const { verdict, counts, actions } = fitCheck(knot, whimbrel, asked);
    expect(verdict).toBe('adapts');
    expect(counts['does-not']).toBe(0);
    expect(actions.map((a) => a.row)).toEqual(
      expect.arrayContaining(['safe-stop', 'signal-selector', 'drilling', 'fuses']),
    );
  });

  it('at heavy duty its amps are short, with calculation', () => {
    const heavy = rowOf(whimbrel, { duty: 'heavy' }, 'amps-heavy');
    expect(heavy).toMatchObject({ verdict: 'does-not', next: '12 A' });
    expect(heavy?.sum).toBe('15 A × 0.80 (heavy duty), no derating here = 12 A');
    expect(rowOf(unit('whimbrel-w4', 'W4-24'), { duty: 'heavy' }, 'amps-heavy')?.verdict).toBe('fits');
    // Nobody said which duty: asked, before it is bought.
    expect(rowOf(whimbrel, { duty: null }, 'amps-heavy')?.verdict).toBe('ask');
  });

  it('is derated by its place', () => {
    // 50 °C: 10 × 2 % off 15 A.
    const hot = rowOf(whimbrel, { ambient_C: 50 }, 'amps-normal');
    expect(hot).toMatchObject({ verdict: 'does-not', next: '12 A' });
    expect(rowOf(whimbrel, { ambient_C: 50 }, 'ambient')?.verdict).toBe('adapts');
  });

  it.each<[string, Partial<UnitRequirements>, string, string]>([
    ['another supply', { supply: { volts: 480, phases: 3, earthing: 'star-earthed' } }, 'volts', 'does-not'],
    ['fed from one phase', { supply: { volts: 400, phases: 1, earthing: 'star-earthed' } }, 'phases', 'ask'],
    ['a resistor below its least', { brakeResistor_ohm: 30 }, 'brake', 'does-not'],
    ['a resistor nobody read', { brakeResistor_ohm: null }, 'brake', 'ask'],
    [
      'more inputs than it has',
      { wired: { digital: 7, analog: 1, analogOut: 0, relays: 1, safe: false } },
      'digital',
      'does-not',
    ],
    ['an encoder', { feedback: true }, 'feedback', 'adapts'],
    [
      'a cabinet that is too narrow',
      { room_mm: { width: 120, height: null, depth: null } },
      'footprint',
      'does-not',
    ],
    ['cables from above', { cablesFrom: 'above' }, 'cable-entry', 'adapts'],
    ['splash water', { protection: 'IP54' }, 'protection', 'does-not'],
    ['a network it speaks', { network: { name: 'Modbus TCP', answers: {} } }, 'network', 'fits'],
    ['a network it does not', { network: { name: 'CANopen', answers: {} } }, 'network', 'does-not'],
    [
      'a controller nobody asked about',
      { network: { name: 'Modbus TCP', answers: {} } },
      'network-scaling',
      'ask',
    ],
    [
      'a controller that must change',
      { network: { name: 'Modbus TCP', answers: { scaling: '0 to 16384' } } },
      'network-scaling',
      'adapts',
    ],
  ])('%s', (_, changed, id, verdict) => {
    expect(rowOf(whimbrel, changed, id)).toMatchObject({ verdict });
  });

  it('STO that is used does not go onto a type without one', () => {
    const godwit = unit('godwit-g4', 'G4-12');
    const safe = { wired: { digital: 3, analog: 1, analogOut: 0, relays: 1, safe: true } };
    expect(rowOf(knot, safe, 'safe-stop', godwit)?.verdict).toBe('does-not');
    expect(rowOf(whimbrel, safe, 'safe-stop', godwit)?.verdict).toBe('fits');
  });

  it('what the catalogue does not know is asked, never passed', () => {
    const stranger: FitUnit = { ...whimbrel, maker: 'Curlew', type: 'C-1', control: null };
    const { rows, verdict } = fitCheck(knot, stranger, asked);
    expect(verdict).toBe('ask');
    for (const id of ['footprint', 'drilling', 'digital', 'amps-normal', 'safe-stop', 'protection'])
      expect(rows.find((r) => r.id === id)?.verdict).toBe('ask');
  });

  it('the same unit fits itself', () => {
    const { rows } = fitCheck(whimbrel, whimbrel, { ...asked, wired: null });
    expect(rows.filter((r) => r.verdict === 'does-not')).toEqual([]);
    expect(rows.find((r) => r.id === 'drilling')?.verdict).toBe('fits');
  });

  it('every rule has a name of its own', () => {
    expect(new Set(fitRules.map((r) => r.id)).size).toBe(fitRules.length);
  });
});

describe('the holes', () => {
  const size = (width: number, height: number, holes: [number, number][]) => ({
    types: ['x'],
    width_mm: width,
    height_mm: height,
    depth_mm: 100,
    weight_kg: 1,
    clearance_mm: 50,
    holes,
  });

  it('of the same unit are there already', () => {
    const s = size(100, 200, [
      [10, 10],
      [90, 190],
    ]);
    expect(placeHoles(s, s, 5)).toMatchObject({ dx: 0, dy: 0, kept: 2, clear: true });
  });

  it('are moved as little as keeps them clear of the old ones', () => {
    const [old, next] = [size(100, 200, [[50, 10]]), size(100, 200, [[50, 14]])];
    // 4 mm below the old hole and 15 mm wanted; onto the old hole itself it is 4 mm, which is nearer.
    expect(placeHoles(old, next, 5)).toMatchObject({ dx: 0, dy: -4, kept: 1 });
    const two = size(100, 200, [
      [50, 14],
      [60, 100],
    ]);
    const placed = placeHoles(old, two, 5);
    expect(placed.clear).toBe(true);
    expect(Math.hypot(placed.dx, placed.dy)).toBeLessThanOrEqual(15);
    expect(placed.nearest_mm).toBeGreaterThanOrEqual(15);
  });

  it('a template shows every hole once and covers the whole with overlap', () => {
    const big = size(275, 620, [
      [30, 15],
      [245, 15],
      [30, 600],
      [245, 600],
    ]);
    const { tiles, page_mm, overlap_mm, width_mm, height_mm, holes } = templateOf(big, null, 'a4');
    expect(tiles.length).toBe(6);
    for (const { drawn } of holes)
      expect(
        tiles.some(
          (t) =>
            drawn[0] >= t.x_mm &&
            drawn[0] <= t.x_mm + page_mm.width &&
            drawn[1] >= t.y_mm &&
            drawn[1] <= t.y_mm + page_mm.height,
        ),
      ).toBe(true);
    const right = Math.max(...tiles.map((t) => t.x_mm)) + page_mm.width;
    const bottom = Math.max(...tiles.map((t) => t.y_mm)) + page_mm.height;
    expect(right).toBeGreaterThanOrEqual(width_mm);
    expect(bottom).toBeGreaterThanOrEqual(height_mm);
    const columns = [...new Set(tiles.map((t) => t.x_mm))];
    expect((columns[1] ?? 0) - (columns[0] ?? 0)).toBe(page_mm.width - overlap_mm);
  });
});
