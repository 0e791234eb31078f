/** @jest-environment jsdom */
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect } from 'react';
import type { Live } from '@/core/equipment/drive-words';
import { answering, show, WithStore, type RecordedEntry } from '../../__tests__/show';
import { Lanes, type Lane } from '../../kit/lanes';
import { mostSeries, seriesOf } from './trend-series';
import { TrendPanel } from './trend';
import { useTrend } from './use-trend';

const terminals = [
  { id: 'DI1', mark: 'X1' },
  { id: 'DI2', mark: 'X2' },
];
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

/** Values that a drive would send; the test sends them. */
const source: { come: (live: Live) => void } = { come: () => undefined };
function Watched({ log }: { log: RecordedEntry[] }) {
  const trend = useTrend();
  useEffect(() => {
    source.come = trend.add;
  });
  return (
    <WithStore log={log}>
      {(store) => <TrendPanel store={store} terminals={terminals} trend={trend} />}
    </WithStore>
  );
}
const send = (count: number) =>
  act(() => {
    for (let i = 0; i < count; i += 1)
      source.come({
        outputFrequency_Hz: i,
        outputCurrent_A: 2,
        busVolts: 560,
        inputs: { DI1: i % 2 === 0, DI2: false },
      });
  });
const watched = () => {
  const log: RecordedEntry[] = [];
  show(<Watched log={log} />);
  return log;
};
const chart = () => screen.getByRole('img').getAttribute('aria-label') ?? '';

it('draws what comes, in a lane for each value that is chosen', async () => {
  watched();
  expect(screen.getByText(/No values yet/)).toBeTruthy();
  send(5);
  expect(chart()).toMatch(/^Output, Current, Bus over/);
  await press('X1');
  await press('Bus');
  expect(chart()).toMatch(/^Output, Current, X1 over/);
});

it('never more than eight at once', async () => {
  watched();
  send(1);
  for (const s of seriesOf(terminals).slice(3)) {
    const button = screen.getByRole('button', { name: s.name });
    if (button.getAttribute('aria-pressed') === 'false') await userEvent.click(button);
  }
  const pressed = screen.getAllByRole('button', { pressed: true });
  expect(pressed.length).toBe(mostSeries);
  expect(
    screen.getAllByRole('button', { pressed: false }).some((b) => (b as HTMLButtonElement).disabled),
  ).toBe(true);
});

it('stands still while it is held, and goes on with all that came meanwhile', async () => {
  watched();
  send(3);
  await press('Pause');
  send(4);
  await userEvent.click(screen.getByText('table'));
  expect(screen.getAllByRole('row')).toHaveLength(4);
  await press('Go on');
  expect(screen.getAllByRole('row')).toHaveLength(8);
});

it('is kept as a parameter that names what it shows; the samples go to the server', async () => {
  const asked = answering(() => ({ status: 201, body: { sha256: 'a'.repeat(64) } }));
  const log = watched();
  send(3);
  await press('X1');
  await press('Save trend');
  expect(asked[0]).toMatchObject({ url: '/api/v1/trends', method: 'POST' });
  const { names, rows } = asked[0]?.body as { names: string[]; rows: number[][] };
  expect(names).toEqual(['Output, Hz', 'Current, A', 'Bus, V', 'X1, bit']);
  expect(rows.map((r) => r.slice(1))).toEqual([
    [0, 2, 560, 1],
    [1, 2, 560, 0],
    [2, 2, 560, 1],
  ]);
  expect(log).toEqual([['trend.kept', expect.objectContaining({ sha256: 'a'.repeat(64), names })]]);
});

it('stays on the page when the server does not answer', async () => {
  answering(() => null);
  const log = watched();
  send(3);
  await press('Save trend');
  expect(screen.getByRole('alert').textContent).toContain('stays on this page');
  expect(log).toEqual([]);
  expect(screen.getByRole('img')).toBeTruthy();
});

it('begins again from nothing', async () => {
  watched();
  send(3);
  await press('Start again');
  expect(screen.getByText(/No values yet/)).toBeTruthy();
});

describe('lanes', () => {
  interface Point {
    at_s: number;
    volts: number | null;
  }
  const lane: Lane<Point> = {
    id: 'v',
    name: 'Bus',
    unit: 'V',
    of: (p) => p.volts,
    limit: { value: 820, name: 'trips' },
  };

  it('show a level that must not be crossed, a moment with a name, and values as a table', async () => {
    show(
      <Lanes
        name="chart"
        samples={[
          { at_s: 0, volts: 560 },
          { at_s: 1, volts: null },
          { at_s: 2, volts: 561.239 },
        ]}
        series={[lane]}
        marks={[{ at_s: 1, name: 'stopped' }]}
      />,
    );
    expect(screen.getByText('trips')).toBeTruthy();
    expect(screen.getByText('stopped')).toBeTruthy();
    expect(screen.getByText('Bus, V: 561.24')).toBeTruthy();
    await userEvent.click(screen.getByText('table'));
    expect(screen.getAllByRole('row').map((r) => r.textContent)).toEqual([
      'sBus, V',
      '0.0560',
      '1.0',
      '2.0561.24',
    ]);
  });

  it('bear having no sample at all', () => {
    show(<Lanes name="chart" samples={[]} series={[lane]} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Bus over 1 seconds');
  });
});
