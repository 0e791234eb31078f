import { readFileSync } from 'node:fs';
import { controlSchema } from '../../equipment/catalogue/schema';
import { findEntries } from '.';

const control = (type: string) =>
  controlSchema.parse(JSON.parse(readFileSync(`catalogue/${type}/control.json`, 'utf8')));
const first = (type: string, text: string) => findEntries(control(type), text)[0];

it.each([
  ['whimbrel-w4', 'reverse', 'limit.reverse'],
  ['knot-k3', 'accel', 'ramp.up'],
  ['dunlin-d1', 'acceleration time', 'ramp.up'],
  ['whimbrel-w4', 'autotune', 'motor.ident'],
  ['whimbrel-w4', 'carier', 'switching.frequency'],
  ['godwit-g4', 'freewheel', 'stop.mode'],
  ['whimbrel-w4', '3-7', 'stop.mode'],
  ['whimbrel-w4', '307', 'stop.mode'],
  ['godwit-g4', '2000:1', 'region'],
])('on %s “%s” is %s', (type, text, concept) => {
  expect(first(type, text)?.parameter.concept).toBe(concept);
});

it('a remembered number says what it really is', () => {
  const found = first('dunlin-d1', '45');
  expect(found).toMatchObject({ because: 'number', parameter: { number: '45' } });
});

it('nothing typed, nothing meant: nothing found', () => {
  expect(findEntries(control('knot-k3'), '  ')).toEqual([]);
  expect(findEntries(control('knot-k3'), 'zzzzzz')).toEqual([]);
});
