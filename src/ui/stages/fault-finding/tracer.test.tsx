/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  driveSays,
  usualTables,
  type DriveAnswer as DriveSaid,
  type TraceTable,
} from '@/core/fault-finding/tracing';
import { greatestLimits } from '@/core/bench/make-safe';
import {
  testControl,
  show,
  WithStore,
  type RecordedEntry,
  fillField,
  ines,
  winchDrive,
} from '../../__tests__/show';
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
  shown: string | null = null,
) => {
  const log: RecordedEntry[] = [];
  const gone: string[] = [];
  show(
    <WithStore log={log} said={[['identify.drive', winchDrive], ...before]}>
      {(store) => (
        <Tracer
          store={store}
          person={ines}
          limits={greatestLimits}
          table={tableOf(family)}
          alarm="what it shows"
          shown={shown}
          said={said}
          goTo={(stage) => gone.push(stage)}
        />
      )}
    </WithStore>,
  );
  return { log, gone };
};
const asked = () => screen.getByRole('region', { name: 'Check' });
const suspects = () => within(screen.getByRole('list', { name: 'Likely causes' })).getAllByRole('listitem');
/** Takes a check, unless it is the one that is asked already. */
const takeCheck = async (name: RegExp): Promise<void> => {
  const other = screen.queryByRole('button', { name });
  if (other !== null) await userEvent.click(other);
  expect(asked().textContent).toMatch(name.source.replace('^', ''));
};
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));

it('asks, takes the answer, and puts the likeliest first; the path is kept, and an answer taken back', async () => {
  const { log } = trace('input-phase-loss');
  await takeCheck(/^Ask or look: is it three-phase supply/);
  await userEvent.click(within(asked()).getByRole('button', { name: 'one phase' }));
  expect(suspects()[0]?.textContent).toContain('single-phase supply');
  expect(log).toEqual([
    [
      'trace.answered',
      expect.objectContaining({ family: 'input-phase-loss', check: 'three', outcome: 'no', hazard: 'none' }),
    ],
  ]);
  expect(within(screen.getByRole('list', { name: 'Path' })).getAllByRole('listitem')).toHaveLength(1);
  await press(/^Undo: /);
  expect(screen.queryByRole('list', { name: 'Path' })).toBeNull();
  expect(suspects()[0]?.textContent).toContain('line fuse blown');
});

it('before a dead check comes making safe: its answers are shut until then', async () => {
  const { gone } = trace('input-phase-loss');
  await takeCheck(/^Dead: remove each line fuse/);
  expect(within(asked()).getAllByRole('note')[0]?.textContent).toContain('proven dead');
  expect(within(asked()).getByRole('button', { name: 'one is open' })).toHaveProperty('disabled', true);
  expect(within(asked()).getByRole('button', { name: 'no tool' })).toHaveProperty('disabled', false);
  await press('Make safe');
  expect(gone).toEqual(['make-safe']);
});

it('"no tool" is an answer: another check is asked, and the suspects stay as they were', async () => {
  trace('overload');
  const before = suspects().map((s) => s.textContent);
  const first = asked().textContent;
  await userEvent.click(within(asked()).getByRole('button', { name: 'no tool' }));
  expect(asked().textContent).not.toBe(first);
  expect(suspects().map((s) => s.textContent)).toEqual(before);
});

it('after an earth fault nothing with power on is offered, and the way to the two tests is', async () => {
  const { gone } = trace('ground');
  expect(screen.getByRole('note', { name: /No power and no reset/ })).toBeTruthy();
  expect(screen.queryByText(/does it trip on run/)).toBeNull();
  await press('Insulation test');
  expect(gone).toEqual(['motor']);
});

it('the fault that the drive shows decides, whatever list is open', () => {
  trace('undervoltage', [], [], 'desaturation');
  expect(screen.getByRole('note', { name: /No power and no reset/ })).toBeTruthy();
  expect(screen.queryByText(/Watch the bus voltage while it is loaded/)).toBeNull();
});

it('a check that costs one nothing but looking carries no caution', () => {
  trace('wrong-direction');
  expect(within(asked()).queryByRole('note')).toBeNull();
});

it('what the drive itself answers is taken with one touch, with its evidence, and not offered again', async () => {
  const facts = { control, supply_V: 400, ratedAmps: 15, values: { '1-07': 2 }, live: {} };
  const { log } = trace('encoder', driveSays(tableOf('encoder'), facts));
  const own = screen.getByRole('region', { name: 'The drive shows' });
  expect(own.textContent).toContain('by 1-07 Control mode: vector, encoder');
  await userEvent.click(within(own).getByRole('button', { name: 'Use this' }));
  expect(log[0]).toEqual([
    'trace.answered',
    expect.objectContaining({
      check: 'chosen',
      outcome: 'yes',
      words: expect.stringContaining('1-07') as string,
    }),
  ]);
  expect(screen.queryByRole('region', { name: 'The drive shows' })).toBeNull();
});

describe('a cause is confirmed', () => {
  const answer: RecordedEntry = [
    'trace.answered',
    { family: 'fan', check: 'turns', outcome: 'no', words: 'it stands' },
  ];

  it('by its fix, and by making it come back; nothing is saved before the fix is said', async () => {
    const { log } = trace('fan', [], [answer]);
    await press('Save cause');
    expect(log).toEqual([]);
    expect(screen.getByText(/Enter what was done/)).toBeTruthy();
    const form = screen.getByRole('form', { name: 'Confirm a cause' });
    await userEvent.selectOptions(within(form).getByRole('combobox', { name: 'Cause' }), 'dirt');
    await fillField(screen.getByRole('textbox', { name: /^What was done/ }), 'cord out, turns');
    await fillField(screen.getByRole('textbox', { name: /^Fault re-created/ }), 'stopped by a glove: trips');
    await fillField(screen.getByRole('textbox', { name: 'What to monitor afterwards' }), 'chaff in summer');
    await press('Save cause');
    expect(log).toEqual([
      [
        'trace.confirmed',
        {
          family: 'fan',
          cause: 'dirt',
          name: 'fan blocked',
          how: 'cord out, turns',
          recreated: 'stopped by a glove: trips',
          remedy: 'Free and clean it.',
          watch: 'chaff in summer',
        },
      ],
    ]);
    expect(screen.getByText(/Monitor: chaff in summer/)).toBeTruthy();
  });

  it('one that no table names is typed', async () => {
    const { log } = trace('fan', [], [answer]);
    const form = screen.getByRole('form', { name: 'Confirm a cause' });
    await userEvent.selectOptions(within(form).getByRole('combobox', { name: 'Cause' }), 'another cause');
    await fillField(screen.getByRole('textbox', { name: /^What was done/ }), 'nest out, turns');
    await press('Save cause');
    expect(log).toEqual([]);
    await fillField(screen.getByRole('textbox', { name: 'Name of the cause' }), 'a wasps’ nest');
    await press('Save cause');
    expect(log).toEqual([
      ['trace.confirmed', { family: 'fan', cause: 'typed', name: 'a wasps’ nest', how: 'nest out, turns' }],
    ]);
  });

  it('after an earth fault nobody is asked to make it come back', () => {
    trace(
      'ground',
      [],
      [['trace.answered', { family: 'ground', check: 'when', outcome: 'no', words: 'on run' }]],
    );
    expect(screen.queryByRole('textbox', { name: /^Fault re-created/ })).toBeNull();
  });
});

describe('the fault log', () => {
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

describe('clearing a fault', () => {
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
    expect(screen.queryByText(/Reset after the cause is removed/)).toBeNull();
    await press('Record under As found');
    expect(gone).toEqual(['as-found']);
  });

  it('is not told before bench test and insulation test passed, where that is due', () => {
    clearing('EARTH', true, true);
    expect(screen.getByText(/the bench test must be not shorted/)).toBeTruthy();
    expect(screen.queryByText(/isolate, wait/)).toBeNull();
  });

  it.each([
    ['O-LOAD', /Reset after the cause is removed/],
    ['EARTH', /cannot be reset with power on/],
  ])('%s: how, with people clear', (code, how) => {
    clearing(code, true);
    expect(screen.getByText(how).textContent).toContain('people clear');
  });
});
