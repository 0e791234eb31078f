import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { controlSchema } from '../../equipment/catalogue/schema';
import { limitsOf, parameterFor } from '../../equipment/drive-words';
import { factorySet, translationOutcomes, roundTrip, translate, type RatedUnit, type UnitSet } from '.';

const types = ['dunlin-d1', 'knot-k3', 'whimbrel-w4', 'godwit-g4', 'godwit-g6'] as const;
type Type = (typeof types)[number];
const unit = (type: Type, ratedAmps = 10, power_kW = 4): RatedUnit => ({
  typeId: type,
  control: controlSchema.parse(JSON.parse(readFileSync(`catalogue/${type}/control.json`, 'utf8'))),
  rating: { ratedAmps, power_kW, supply_V: 400 },
});
const numberOf = ({ control }: RatedUnit, concept: string) =>
  control.parameters.find((p) => p.concept === concept)?.number ?? '';
const meaning = ({ control }: RatedUnit, concept: string, means: string) =>
  parameterFor(control, concept as never)?.choices?.find((c) => c.means === means)?.value ?? -1;

/** A set of a type as the factory made it, but for these concepts. */
const set = (of: RatedUnit, differs: Record<string, number | string> = {}): UnitSet => {
  const { values } = factorySet(of, '50Hz');
  const changed = Object.entries(differs).map(([concept, to]) => [
    numberOf(of, concept),
    typeof to === 'string' ? meaning(of, concept, to) : to,
  ]);
  return { ...of, values: { ...values, ...(Object.fromEntries(changed) as Record<string, number>) } };
};
const knot = unit('knot-k3');
const whimbrel = unit('whimbrel-w4', 24, 11);
const rowFor = (from: UnitSet, to: RatedUnit, concept: string) => {
  const row = translate(from, to).rows.find((r) => r.concept === concept);
  if (row === undefined) throw new Error(`no row for ${concept}`);
  return row;
};

describe.each(types.flatMap((a) => types.map((b) => [a, b] as const)))('%s to %s', (a, b) => {
  it('every value ends in exactly one row, in the range of its parameter', () => {
    const from = set(unit(a));
    const to = unit(b, 24, 11);
    const { rows, counts, values } = translate(from, to);
    expect(rows.map((r) => r.from.number).sort()).toEqual(Object.keys(from.values).sort());
    expect(translationOutcomes.reduce((sum, o) => sum + counts[o], 0)).toBe(rows.length);
    for (const { to: t } of rows) {
      if (t === null || t.value === null) continue;
      const p = to.control.parameters.find((x) => x.number === t.number);
      if (p === undefined) throw new Error(t.number);
      const { min, max } = limitsOf(p, to.rating);
      expect([t.number, t.value >= min - 1e-9 && t.value <= max + 1e-9]).toEqual([t.number, true]);
      expect(values[t.number]).toBe(t.value);
    }
  });

  it('no two values go to one parameter', () => {
    const { rows } = translate(set(unit(a)), unit(b, 24, 11));
    const homes = rows.flatMap((r) => (r.to === null ? [] : [r.to.number]));
    expect(homes).toEqual([...new Set(homes)]);
  });
});

describe('the same type and rating', () => {
  it.each(types)('%s is carried as it is, but for what never is', (type) => {
    const from = set(unit(type));
    const { counts, rows } = translate(from, unit(type));
    expect(counts.converted + counts.clamped + counts['to-choose']).toBe(0);
    for (const r of rows.filter((x) => x.outcome === 'no-home')) expect(r.reason).not.toBeNull();
    expect(roundTrip(from, unit(type)).lost).toEqual([]);
  });
});

describe('sums of the trade', () => {
  it('7 A of a 10 A drive are 70 %, and back: 70 % of 10 A are 7 A', () => {
    const dunlin = unit('dunlin-d1', 24);
    const amps = set(dunlin, { 'protect.overload-amps': 7 });
    expect(rowFor(amps, knot, 'protect.overload-amps')).toMatchObject({
      outcome: 'converted',
      to: { number: numberOf(knot, 'protect.overload-percent'), value: 70 },
      sum: '100 × 7 A ÷ 10 A = 70 %',
    });
    expect(
      rowFor(set(knot, { 'protect.overload-percent': 70 }), dunlin, 'protect.overload-percent'),
    ).toMatchObject({
      outcome: 'converted',
      to: { value: 7 },
      sum: '70 % × 10 A = 7 A',
    });
  });

  it('1 A of a 2.7 A drive is 37 %, rounded down', () => {
    const small = unit('knot-k3', 2.7, 1);
    const row = rowFor(
      set(unit('dunlin-d1', 7), { 'protect.overload-amps': 1 }),
      small,
      'protect.overload-amps',
    );
    expect(row).toMatchObject({ outcome: 'converted', to: { value: 37 } });
    expect(row.sum).toContain('37.037 %');
  });

  it('below the floor nothing is entered: a person chooses', () => {
    const row = rowFor(
      set(unit('dunlin-d1', 7), { 'protect.overload-amps': 2 }),
      knot,
      'protect.overload-amps',
    );
    expect(row).toMatchObject({ outcome: 'to-choose', to: { value: null } });
    expect(row.reason).toContain('cannot protect the motor');
  });

  it('a current limit in percent is the same amps on another drive', () => {
    // 150 % of 10 A are 15 A; of 24 A that is 62.5 %, down to 62 %.
    expect(rowFor(set(knot, { 'limit.current': 150 }), whimbrel, 'limit.current')).toMatchObject({
      outcome: 'converted',
      to: { value: 62 },
      sum: '150 % × 10 A = 15 A; ÷ 24 A = 62.5 %; 62.5 in steps of 1',
    });
  });

  it('ramps keep their slope where they count to another frequency', () => {
    const from = set(whimbrel, {
      'ramp.counts-to': 'maximum',
      'limit.maximum-frequency': 60,
      'motor.frequency': 50,
      'ramp.up': 6,
    });
    const to = unit('godwit-g4', 24, 11);
    const counts = to.control.rampCountsTo;
    const row = rowFor(from, to, 'ramp.up');
    // 6 s to 60 Hz are 5 s to 50 Hz.
    expect(row.to?.value).toBe(counts === 'base' ? 5 : 6);
    const back = translate({ ...to, values: translate(from, to).values }, whimbrel);
    expect(back.rows.find((r) => r.concept === 'ramp.up')?.to?.value).toBeDefined();
  });
});

describe('choices and inputs', () => {
  it('go by what they mean; what the new type does not know is chosen by a person, and stays so marked', () => {
    const from = set(whimbrel, { 'control.mode': 'vector' });
    const dunlinLike = unit('dunlin-d1');
    const known = parameterFor(dunlinLike.control, 'control.mode');
    const row = translate(from, dunlinLike).rows.find((r) => r.concept === 'control.mode');
    expect(row?.outcome).toBe(
      known === undefined
        ? 'no-home'
        : known.choices?.some((c) => c.means === 'vector')
          ? 'carried'
          : 'to-choose',
    );
    const all = translate(from, knot);
    const open = all.rows.filter((r) => r.outcome === 'to-choose' && r.options.length > 0);
    const [first] = open;
    if (first === undefined) return;
    const value = first.options[0]?.value ?? 0;
    const chosen = translate(from, knot, { [first.from.number]: value }).rows.find(
      (r) => r.from.number === first.from.number,
    );
    expect(chosen).toMatchObject({ outcome: 'to-choose', to: { value } });
    expect(chosen?.to?.shown).not.toBe('');
  });

  it('an input that the new unit lacks moves to a free terminal that can do the same', () => {
    const from = set(whimbrel, {
      'input.DI5': 'none',
      'input.DI6': 'enable',
      'input.DI4': 'none',
      'input.DI3': 'none',
    });
    const small = unit('dunlin-d1');
    expect(small.control.inputs).toHaveLength(4);
    const row = rowFor(from, small, 'input.DI6');
    expect(row).toMatchObject({ outcome: 'converted' });
    expect(row.sum).toMatch(/^enable: X6 → S\d$/);
  });

  it('results of an autotune and commands are not carried', () => {
    for (const concept of ['motor.ident-state', 'motor.stator-resistance', 'store.save', 'motor.ident'])
      expect(rowFor(set(whimbrel), unit('godwit-g4'), concept)).toMatchObject({
        outcome: 'no-home',
        to: null,
      });
  });
});

it.each(types.flatMap((a) => types.map((b) => [a, b] as const)))(
  '%s to %s and back loses only what was told: converted, clamped or chosen',
  (a, b) => {
    const from = set(unit(a));
    const { rows } = translate(from, unit(b));
    const told = new Set(rows.filter((r) => r.outcome !== 'carried').map((r) => r.from.number));
    expect(roundTrip(from, unit(b)).lost.filter((l) => !told.has(l.number))).toEqual([]);
  },
);

it('any current limit comes back within a step of percent', () => {
  fc.assert(
    fc.property(fc.integer({ min: 30, max: 150 }), fc.integer({ min: 6, max: 40 }), (percent, amps) => {
      const to = unit('godwit-g4', amps, 4);
      const there = translate(set(knot, { 'limit.current': percent }), to);
      const row = there.rows.find((r) => r.concept === 'limit.current');
      if (row?.outcome === 'clamped') return true;
      const back = translate({ ...to, values: there.values }, knot).rows.find(
        (r) => r.concept === 'limit.current-amps',
      );
      return Math.abs((back?.to?.value ?? NaN) - percent) <= 2;
    }),
  );
});
