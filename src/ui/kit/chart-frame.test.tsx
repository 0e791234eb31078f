/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../__tests__/show';
import { ChartFrame } from './chart-frame';

const chart = () =>
  show(
    <ChartFrame name="Bus" label="Volts over time" width={480} height={100} table={<p>all values</p>}>
      {(read) => <text>{read === null ? 'not read' : `at ${read}`}</text>}
    </ChartFrame>,
  );
const key = (name: string) => fireEvent.keyDown(screen.getByRole('group', { name: 'Bus' }), { key: name });

test('is read by arrow keys from its middle, to its edge and no further; Escape leaves it', () => {
  chart();
  expect(screen.getByText('not read')).toBeTruthy();
  key('ArrowRight');
  expect(screen.getByText('at 250')).toBeTruthy();
  key('ArrowLeft');
  key('ArrowLeft');
  expect(screen.getByText('at 230')).toBeTruthy();
  for (let i = 0; i < 60; i += 1) key('ArrowLeft');
  expect(screen.getByText('at 0')).toBeTruthy();
  key('Escape');
  expect(screen.getByText('not read')).toBeTruthy();
});

test('is read where the pointer is, in units of the drawing', () => {
  chart();
  const drawing = screen.getByRole('img', { name: 'Volts over time' });
  drawing.getBoundingClientRect = () => ({ left: 100, width: 960 }) as DOMRect;
  fireEvent(drawing, new MouseEvent('pointermove', { clientX: 340, bubbles: true }));
  expect(screen.getByText('at 120')).toBeTruthy();
  fireEvent.pointerLeave(drawing);
  expect(screen.getByText('not read')).toBeTruthy();
});

test('has its values as a table behind it', () => {
  chart();
  expect(screen.getByText('all values').closest('details')).toBeTruthy();
});
