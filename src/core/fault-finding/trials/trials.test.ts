import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import type { ConceptId } from '../../equipment/concepts';
import { factoryValues, parameterFor, type Values } from '../../equipment/drive-words';
import { mayMove, movesUnasked, trialsFor } from '.';

const types = ['whimbrel-w4', 'dunlin-d1', 'knot-k3', 'godwit-g4'] as const;
const controlOf = (type: (typeof types)[number]) =>
  controlSchema.parse(JSON.parse(readFileSync(`catalogue/${type}/control.json`, 'utf8')));
const rating = { ratedAmps: 10, power_kW: 4, supply_V: 400 };
const facts = (type: (typeof types)[number], changes: Partial<Record<ConceptId, string | number>> = {}) => {
  const control = controlOf(type);
  const factory: Values = factoryValues(control.parameters, rating, '50Hz');
  const values: Values = Object.entries(changes).reduce<Values>((all, [concept, to]) => {
    const p = parameterFor(control, concept as ConceptId);
    const value = typeof to === 'number' ? to : p?.choices?.find((c) => c.means === to)?.value;
    if (p === undefined || value === undefined) throw new Error(`${concept} cannot be ${String(to)}`);
    return { ...all, [p.number]: value };
  }, factory);
  return { control, rating, values };
};
const said = (trials: ReturnType<typeof trialsFor>) => trials.map((t) => [t.parameter.number, t.to]);

it('coast command from the serial link: the terminals alone, by this type’s own parameter', () => {
  expect(said(trialsFor(facts('whimbrel-w4'), { link: 'coast' }))).toEqual([
    ['4-07', 0],
    ['4-08', 0],
  ]);
  // On the Dunlin both are so already: nothing is left to try.
  expect(trialsFor(facts('dunlin-d1'), { link: 'coast' })).toEqual([]);
});

it('an encoder that is asked for: open loop; nothing where it is open loop already', () => {
  const asked = facts('whimbrel-w4', { 'control.mode': 'vector-encoder' });
  expect(said(trialsFor(asked, { family: 'encoder' }))).toContainEqual(['1-07', 1]);
  expect(trialsFor(facts('knot-k3'), { family: 'encoder' })).toEqual([]);
});

it('overvoltage on stopping: twice the ramp, never above what the parameter takes', () => {
  expect(
    said(trialsFor(facts('whimbrel-w4', { 'ramp.down': 1.5 }), { family: 'overvoltage-decelerating' })),
  ).toContainEqual(['3-02', 3]);
  expect(said(trialsFor(facts('dunlin-d1', { 'ramp.down': 250 }), { family: 'overvoltage' }))).toContainEqual(
    ['04', 300],
  );
});

it('a limit at zero goes back to what the factory sets', () => {
  expect(said(trialsFor(facts('godwit-g4', { 'limit.current-amps': 0 }), { link: 'limits' }))).toEqual([
    ['2020:03', 15],
  ]);
});

it('nothing is tried with a parameter that was not read', () => {
  expect(trialsFor({ ...facts('whimbrel-w4'), values: {} }, { link: 'coast', family: 'encoder' })).toEqual(
    [],
  );
});

it.each(types)('%s: no unexpected start from the factory, and each such setting is named', (type) => {
  const { control, values } = facts(type);
  expect(movesUnasked(control, values)).toEqual([]);
  const on = facts(type, { 'restart.count': 3, 'restart.power-on': 'on', 'start.flying': 'on' });
  expect(movesUnasked(on.control, on.values)).toHaveLength(3);
});

it('says of every parameter what may move', () => {
  const [p] = controlOf('whimbrel-w4').parameters;
  if (p === undefined) throw new Error('no parameters');
  expect(mayMove({ ...p, stop: true })).toMatch(/stopped.*may start/);
  expect(mayMove({ ...p, stop: false })).toMatch(/at once/);
});
