import { readFileSync } from 'node:fs';
import { controlSchema } from '@/core/equipment/catalogue/schema';
import { checkLoop } from '@/core/fault-finding/loop-check';
import { loopOf } from './loop-elements';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const ids = (...args: Parameters<typeof loopOf>) => loopOf(...args).map((e) => e.id);

it('from the contacts to the terminal, the input, the common and back to the source', () => {
  expect(ids(control, { id: 'DI3', mark: 'X3' }, 'source', ['S1', 'K3'])).toEqual([
    'S1',
    'K3',
    'terminal X3',
    'input X3',
    'common CD',
    'return to the source’s minus',
  ]);
});

it('the other way round the current comes out of the input first', () => {
  const loop = loopOf(control, { id: 'DI3', mark: 'X3' }, 'sink', ['S1']);
  expect(loop.map((e) => e.kind)).toEqual(['common', 'input', 'terminal', 'contact', 'return']);
  // Wired as sink, the inputs set to source: the path is complete and the bit stays 0.
  const measured = [
    { after: 'common 24', volts: 24 },
    { after: 'input X3', volts: 0.3 },
  ];
  expect(
    checkLoop({ source: { volts: 24 }, elements: loop, measured, bit: 0, selector: 'source' }).verdict,
  ).toBe('selector');
});

it('a safe-stop channel has the return of its pair', () => {
  expect(ids(control, { id: 'STO1', mark: 'SA' }, 'source', ['guard'])).toContain('common SC');
});
