/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  driveSays,
  usualTables,
  type DriveAnswer as DriveSaid,
  type TraceTable,
} from '@/core/fault-finding/tracing';
import { testControl, show, WithStore, type RecordedEntry, fillField } from '../../__tests__/show';
import { Clearing, FaultHistory } from './clearing';
import { Tracer } from './tracer';

const control = testControl('whimbrel-w4');
const tableOf = (family: TraceTable['family']): TraceTable => {
  const found = usualTables.find((t) => t.family === family);
  if (found === undefined) throw new Error(family);
  return found;
};
const trace = (
  family: TraceTable['family'],
  said: readonly DriveSaid[] = [],
  before: RecordedEntry[] = [],
) => {
  const log: RecordedEntry[] = [];
  show(
    <WithStore log={log} said={before}>
      {(store) => <Tracer store={store} table={tableOf(family)} alarm="what it shows" said={said} />}
    </WithStore>,
  );
  return log;
};
const asked = () => screen.getByRole('region', { name: 'Check' });
const suspects = () => within(screen.getByRole('list', { name: 'Suspects' })).getAllByRole('listitem');
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

it('asks, takes the answer, and puts the likeliest first; the path is kept', async () => {
  const log = trace('input-phase-loss');
  await press(/^Isolated and proven dead: ohms through each line fuse/);
  expect(within(asked()).getByRole('note').textContent).toContain('proven dead');
  await userEvent.click(within(asked()).getByRole('button', { name: 'one is open' }));
  expect(suspects()[0]?.textContent).toContain('a line fuse is blown');
  expect(log).toEqual([
    [
      'trace.answered',
      expect.objectContaining({ family: 'input-phase-loss', check: 'fuses', outcome: 'yes' }),
    ],
  ]);
  expect(within(screen.getByRole('list', { name: 'Path' })).getAllByRole('listitem')).toHaveLength(1);
});

it('"no tool" is an answer: another check is asked, and the suspects stay as they were', async () => {
  trace('overload');
  const before = suspects().map((s) => s.textContent);
  const first = asked().textContent;
  await userEvent.click(within(asked()).getByRole('button', { name: 'no tool' }));
  expect(asked().textContent).not.toBe(first);
  expect(suspects().map((s) => s.textContent)).toEqual(before);
});

it('after a ground trip nothing with power on is offered before a dead measurement', async () => {
  trace('ground');
  expect(screen.getByRole('note', { name: /No second reset/ })).toBeTruthy();
  expect(screen.queryByText(/does it trip on run/)).toBeNull();
  await userEvent.click(within(asked()).getAllByRole('button')[1] as HTMLElement);
  expect(screen.getByText(/does it trip on run/)).toBeTruthy();
});

it('a check that costs one nothing but looking carries no caution', () => {
  trace('wrong-direction');
  expect(within(asked()).queryByRole('note')).toBeNull();
});

it('what the drive itself answers is taken with one touch, with its evidence, and not offered again', async () => {
  const facts = { control, supply_V: 400, ratedAmps: 15, values: { '1-07': 2 }, live: {} };
  const log = trace('encoder', driveSays(tableOf('encoder'), facts));
  const own = screen.getByRole('region', { name: 'The drive says' });
  expect(own.textContent).toContain('by 1-07 Control mode: vector, encoder');
  await userEvent.click(within(own).getByRole('button', { name: 'Take it' }));
  expect(log[0]).toEqual([
    'trace.answered',
    expect.objectContaining({
      check: 'chosen',
      outcome: 'yes',
      words: expect.stringContaining('1-07') as string,
    }),
  ]);
  expect(screen.queryByRole('region', { name: 'The drive says' })).toBeNull();
});

it('a cause is kept with how it was made and broken, its remedy and what to watch', async () => {
  const answer: RecordedEntry = [
    'trace.answered',
    { family: 'fan', check: 'debris', outcome: 'yes', words: 'something in it' },
  ];
  const log = trace('fan', [], [answer]);
  const keep = screen.getByRole('button', { name: 'Keep this cause' });
  expect(keep).toHaveProperty('disabled', true);
  await userEvent.type(
    screen.getByRole('textbox', { name: /^Confirmed: something blocks/ }),
    'cord out: turns',
  );
  await fillField(screen.getByRole('textbox', { name: 'What to watch afterwards' }), 'chaff in summer');
  await userEvent.click(keep);
  expect(log).toEqual([
    [
      'trace.confirmed',
      expect.objectContaining({
        cause: 'dirt',
        how: 'cord out: turns',
        remedy: 'Free and clean it.',
        watch: 'chaff in summer',
      }),
    ],
  ]);
  expect(screen.getByText(/Watch: chaff in summer/)).toBeTruthy();
});

describe('the fault history', () => {
  const slot = (code: string, clock_min: number) => ({ code, runHours: 12, clock_min });

  it('says which tripped first when several came together', () => {
    show(
      <FaultHistory control={control} history={[slot('EXT', 1003), slot('EARTH', 1000), slot('TEMP', 20)]} />,
    );
    expect(screen.getByText('EARTH came first')).toBeTruthy();
    expect(screen.getAllByRole('row')).toHaveLength(4);
    expect(screen.getByText(/current to earth/)).toBeTruthy();
  });

  it('is not there where the drive wrote nothing down', () => {
    expect(show(<FaultHistory control={control} history={[]} />).container.textContent).toBe('');
  });
});

describe('clearing an alarm', () => {
  const alarmOf = (code: string) => {
    const found = control.alarms.find((a) => a.code === code);
    if (found === undefined) throw new Error(code);
    return found;
  };
  const clearing = (code: string, captured: boolean, deadNeeded = false) => {
    const gone: string[] = [];
    show(
      <Clearing
        alarm={alarmOf(code)}
        captured={captured}
        deadNeeded={deadNeeded}
        goToAsFound={() => gone.push('as-found')}
      />,
    );
    return gone;
  };

  it('is not told before the history is safe', async () => {
    const gone = clearing('O-LOAD', false);
    expect(screen.queryByText(/Reset it once/)).toBeNull();
    await press('Write it down at As found');
    expect(gone).toEqual(['as-found']);
  });

  it('is not told before something was measured dead, where that is due', () => {
    clearing('EARTH', true, true);
    expect(screen.getByText(/measured dead/)).toBeTruthy();
    expect(screen.queryByText(/isolate, wait/)).toBeNull();
  });

  it.each([
    ['O-LOAD', /Reset it once its cause is gone/],
    ['EARTH', /cannot be reset with power on/],
  ])('%s: how, with people clear', (code, how) => {
    clearing(code, true);
    expect(screen.getByText(how).textContent).toContain('people clear');
  });
});
