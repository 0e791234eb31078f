import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { diffSets, factorySet, threeWay, translate, type UnitSet } from '.';

const of = (typeId: string, ratedAmps = 15): UnitSet =>
  factorySet(
    {
      typeId,
      control: controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8'))),
      rating: { ratedAmps, power_kW: 7.5, supply_V: 400 },
    },
    '50Hz',
  );
const numberOf = ({ control }: UnitSet, concept: string) =>
  control.parameters.find((p) => p.concept === concept)?.number ?? '';
const but = (set: UnitSet, concept: string, value: number): UnitSet => ({
  ...set,
  values: { ...set.values, [numberOf(set, concept)]: value },
});

it('two sets of one type differ where their values do; readings and commands do not matter', () => {
  const a = of('whimbrel-w4');
  const b = but(but(a, 'ramp.up', 9), 'motor.ident-state', 1);
  const differences = diffSets(a, b);
  expect(differences.map((d) => [d.concept, d.matters])).toEqual([
    ['motor.ident-state', false],
    ['ramp.up', true],
  ]);
  expect(differences[1]).toMatchObject({
    about: 'acceleration time',
    a: { shown: '5 s' },
    b: { shown: '9 s' },
  });
  expect(diffSets(a, a)).toEqual([]);
});

it('a parameter of a board that one unit does not have is no difference that matters', () => {
  const a = of('whimbrel-w4');
  const { [numberOf(a, 'feedback.encoder')]: _, ...without } = a.values;
  expect(diffSets({ ...a, values: without }, a)).toMatchObject([{ matters: false, a: null }]);
});

it('sets of two types are the same where they mean the same', () => {
  const knot = but(of('knot-k3', 10), 'limit.current', 150);
  const godwit = of('godwit-g4', 24);
  const carried: UnitSet = { ...godwit, values: translate(knot, godwit).values };
  const left = diffSets(knot, carried).filter((d) => d.matters && d.b !== null);
  // Only what nothing could be carried to, or what a person must choose.
  expect(left.every((d) => d.sum !== null)).toBe(true);
  expect(left.map((d) => d.concept)).not.toContain('limit.current');
  const other = but(carried, 'limit.current-amps', 20);
  expect(diffSets(knot, other).find((d) => d.concept === 'limit.current')).toMatchObject({
    a: { shown: '150 %' },
    b: { shown: '20 A' },
    sum: '150 % × 10 A = 15 A',
  });
});

it('three ways: as found, as planned, as left', () => {
  const found = of('whimbrel-w4');
  const planned = but(but(but(found, 'ramp.up', 9), 'ramp.down', 8), 'limit.reverse', 1);
  const left = but(but(but(found, 'ramp.up', 9), 'limit.reverse', 0), 'stop.dc-time', 2);
  const fates = Object.fromEntries(
    threeWay(found, planned, but(left, 'ramp.down', 7)).map((t) => [t.number, t.fate]),
  );
  expect(fates).toEqual({
    [numberOf(found, 'ramp.up')]: 'as planned',
    [numberOf(found, 'ramp.down')]: 'otherwise',
    [numberOf(found, 'limit.reverse')]: 'not done',
    [numberOf(found, 'stop.dc-time')]: 'not planned',
  });
});
