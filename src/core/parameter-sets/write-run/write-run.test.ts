import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { factorySet, planWrites } from '../parameters';
import { writeLineOf, runReport, settledBy, type WriteLine } from '.';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const found = factorySet(
  { typeId: 'whimbrel-w4', control, rating: { ratedAmps: 15, power_kW: 7.5, supply_V: 400 } },
  '50Hz',
);
const wanted = { ...found.values, '1-03': 14.6, '3-01': 12, '3-02': 9 };
const planned = planWrites(found, wanted).steps.map(writeLineOf);
const taken = planned.map((l): WriteLine => ({ ...l, state: 'taken', found: l.to }));
const but = (number: string, changes: Partial<WriteLine>): WriteLine[] =>
  taken.map((l) => (l.number === number ? { ...l, ...changes } : l));

it.each([
  ['the new value: it was taken', 5, 9, 9, false, 'taken'],
  ['the old value: it is written again', 5, 9, 5, false, 'waiting'],
  ['a third value', 5, 9, 7, false, 'otherwise'],
  ['from what nobody knew', null, 9, 7, false, 'waiting'],
  ['of a command nothing can be told', 0, 1, 1, true, 'waiting'],
] as const)('a value that was sent and not heard of, the drive has %s', (_, from, to, is, command, state) => {
  expect(settledBy({ from, to }, is, command)).toBe(state);
});

it('everything is there: as planned, and nothing left over', () => {
  expect(runReport(found, taken, wanted)).toEqual({ ending: 'as planned', leftOver: [] });
});

it('nothing of it is there: as found, each with what became of it', () => {
  const { ending, leftOver } = runReport(found, planned, found.values);
  expect(ending).toBe('as found');
  expect(leftOver.map((l) => l.why)).toEqual(Array(3).fill('not written before the run was ended'));
});

it('some of it: in between', () => {
  const lines = but('3-02', { state: 'waiting', found: null });
  const { ending, leftOver } = runReport(found, lines, { ...wanted, '3-02': found.values['3-02'] ?? 0 });
  expect(ending).toBe('in between');
  expect(leftOver).toMatchObject([{ number: '3-02', planned: '9 s', left: '5 s' }]);
});

it.each([
  ['refused', 'out of range', 'out of range'],
  ['left-out', null, 'left out by a person'],
  ['otherwise', null, 'drive changed the value'],
] as const)('a value that was %s is explained, and the rest is as planned', (state, why, words) => {
  const { ending, leftOver } = runReport(found, but('3-01', { state, why }), {
    ...wanted,
    '3-01': 11,
  });
  expect(ending).toBe('as planned');
  expect(leftOver).toEqual([
    { number: '3-01', name: 'Acceleration', planned: '12 s', left: '11 s', why: words },
  ]);
});

it('what was taken and is not there any more is explained by nothing', () => {
  const { ending, leftOver } = runReport(found, taken, { ...wanted, '1-03': 15 });
  expect(ending).toBe('in between');
  expect(leftOver).toMatchObject([{ number: '1-03', why: null }]);
});
