/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { AlarmFamily } from '@/core/equipment/concepts';
import { factoryValues, type Values } from '@/core/equipment/drive-words';
import { openTrials, type Entry } from '@/core/logbook';
import type { ChainLinkId } from '@/core/fault-finding/run-chain';
import {
  answering,
  fillField,
  serverThatWrites,
  show,
  testControl,
  WithStore,
  type RecordedEntry,
  type WriteOutcome,
} from '../../__tests__/show';
import { LinkBar } from '../../drive-link/link-bar';
import { Trials } from './trials';

const control = testControl('whimbrel-w4');
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
const factory: Values = factoryValues(control.parameters, rating, '50Hz');
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
let server: Entry[] = [];
beforeEach(() => {
  server = [];
});
const writing = (outcome: (to: number) => WriteOutcome) =>
  answering(serverThatWrites(control, server, outcome));
const kinds = (log: readonly RecordedEntry[]) => log.map(([kind]) => kind);

const trials = ({
  target = '127.0.0.1:4403',
  values = factory,
  link = 'coast',
  family,
}: { target?: string | null; values?: Values; link?: ChainLinkId | null; family?: AlarmFamily } = {}) => {
  const log: RecordedEntry[] = [];
  show(
    <WithStore log={log} server={server} said={[['drive.seen', { values: { ...values }, live: {} }]]}>
      {(store) => (
        <Trials
          store={store}
          control={control}
          rating={rating}
          values={store.state.seen?.values ?? {}}
          target={target}
          link={link}
          family={family}
          open={openTrials(store.state.registers)}
        />
      )}
    </WithStore>,
  );
  return log;
};
const confirm = async () => {
  const go = screen.getByRole('button', { name: 'Write and read back' });
  expect(go).toHaveProperty('disabled', true);
  await userEvent.click(screen.getByRole('checkbox', { name: /Run input open/ }));
  expect(go).toHaveProperty('disabled', true);
  await userEvent.click(screen.getByRole('checkbox', { name: /People are clear/ }));
  await userEvent.click(go);
};

describe('a trial', () => {
  it('is asked for, read back, in the log as the server has it, and is open until it is put back', async () => {
    const asked = writing((to) => ({ found: to }));
    const log = trials();
    await press(/^Try 4-07 Coast from: terminals/);
    expect(screen.getByRole('note').textContent).toContain('may start');
    expect(screen.getByText('either → terminals')).toBeTruthy();
    await confirm();
    expect(kinds(log)).toEqual(['drive.write-asked', 'drive.write-done']);
    expect(log[0]?.[1]).toMatchObject({ number: '4-07', from: 2, to: 0, trial: true, runOpen: true });
    expect(asked[0]).toMatchObject({
      url: '/api/v1/drives/write',
      body: { from: 2, to: 0, confirmed: true },
    });
    expect(screen.getByText(/4-07 Coast from is terminals, read back/)).toBeTruthy();

    const open = screen.getByRole('list', { name: 'Trial values in the drive' });
    expect(open.textContent).toContain('either → terminals');
    await press('Restore either');
    await confirm();
    expect(log.at(-2)?.[1]).toMatchObject({
      from: 0,
      to: 2,
      trial: false,
      restores: expect.any(String) as string,
    });
    expect(screen.queryByRole('list', { name: 'Trial values in the drive' })).toBeNull();
  });

  it('may stay with a reason', async () => {
    writing(() => ({ found: 0 }));
    const log = trials();
    await press(/^Try 4-07/);
    await confirm();
    await press('Keep value…');
    await fillField(screen.getByRole('textbox', { name: 'Reason for keeping it' }), 'no controller here');
    await press('Keep value with this reason');
    expect(log.at(-1)).toEqual(['trial.kept', expect.objectContaining({ reason: 'no controller here' })]);
    expect(screen.queryByRole('list', { name: 'Trial values in the drive' })).toBeNull();
  });

  it('that the server refuses is said, and both questions are asked again', async () => {
    writing(() => ({ refused: 'Run is given at X1.', certain: true }));
    const log = trials();
    await press(/^Try 4-07/);
    await confirm();
    expect(screen.getByRole('alert').textContent).toBe('Run is given at X1.');
    expect(kinds(log)).toEqual(['drive.write-asked', 'drive.write-failed']);
    expect(log[1]?.[1]).toMatchObject({ certain: true });
    expect(screen.getByRole('checkbox', { name: /Run input/ })).toHaveProperty('checked', false);
    expect(screen.queryByRole('list', { name: 'Trial values in the drive' })).toBeNull();
  });

  it('is not known to have failed when the answer does not come', async () => {
    writing(() => null);
    trials();
    await press(/^Try 4-07/);
    await confirm();
    expect(screen.getByRole('alert').textContent).toContain('may or may not');
    expect(screen.getByRole('list', { name: 'Trial values in the drive' }).textContent).toContain(
      'Not known whether',
    );
  });

  it('a value the drive took differently is shown with what it reads', async () => {
    writing(() => ({ found: 3 }));
    trials();
    await press(/^Try 4-07/);
    await confirm();
    expect(screen.getByText(/reads both: the drive changed the value/)).toBeTruthy();
  });

  it('whose parameter is not kept by itself, or put others back, or stayed unlocked, says so', async () => {
    writing(() => ({ found: 0, kept: false, lockOpen: true }));
    trials();
    await press(/^Try 4-07/);
    await confirm();
    expect(screen.getByText(/lost at power-off.*Could not re-lock/)).toBeTruthy();
  });

  it('is left when one thinks better of it, with nothing in the log', async () => {
    const asked = answering(() => null);
    const log = trials();
    await press(/^Try 4-07/);
    await press('Cancel');
    expect([log, asked]).toEqual([[], []]);
    expect(screen.getByRole('button', { name: /^Try 4-07/ })).toBeTruthy();
  });

  it('fits what tripped', () => {
    trials({ link: 'trip', family: 'overvoltage-decelerating', values: { ...factory, '3-02': 1.5 } });
    expect(screen.getByRole('button', { name: 'Try 3-02 Deceleration: 3 s' })).toBeTruthy();
  });

  it('is not offered before the drive was read; by hand there is another way', () => {
    trials({ target: null });
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText(/change the parameter\s+at the keypad/)).toBeTruthy();
  });
});

describe('another parameter', () => {
  const editor = async () => {
    const log = trials({ link: null });
    await press('Write another parameter');
    return log;
  };
  const choose = (name: string, value: string) =>
    userEvent.selectOptions(screen.getByRole('combobox', { name }), value);

  it('shows what it is now, and takes nothing out of its range', async () => {
    answering(() => null);
    const log = await editor();
    await choose('Parameter', '3-02');
    expect(screen.getByText('Now 5 s')).toBeTruthy();
    await fillField(screen.getByRole('textbox', { name: 'New value' }), '6000');
    await press('Review before writing');
    expect(screen.getByText('Takes 0.1 to 600 s.')).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'Write to the drive' })).toBeNull();
    expect(log).toEqual([]);
  });

  it('with another reason than a trial needs no way back', async () => {
    writing(() => ({ found: 8 }));
    const log = await editor();
    await choose('Parameter', '3-02');
    await fillField(screen.getByRole('textbox', { name: 'New value' }), '8,0');
    await userEvent.click(screen.getByRole('radio', { name: 'process need' }));
    await press('Review before writing');
    await confirm();
    expect(log[0]?.[1]).toMatchObject({ number: '3-02', to: 8, trial: false, reason: 'process need' });
    expect(screen.queryByRole('list', { name: 'Trial values in the drive' })).toBeNull();
  });

  it('never offers a code, nor what can only be read', async () => {
    await editor();
    const offered = within(screen.getByRole('combobox', { name: 'Parameter' }))
      .getAllByRole('option')
      .map((o) => o.getAttribute('value'));
    expect(offered).not.toContain('10-05');
    expect(offered).not.toContain('1-10');
  });
});

describe('looking for drives', () => {
  const found = (list: object[]) => answering(() => ({ body: { found: list } }));
  const bar = (target: string | null = null) => {
    const taken: (string | null)[] = [];
    show(
      <LinkBar
        typeId="whimbrel-w4"
        target={target}
        take={(t) => taken.push(t)}
        reading={false}
        read={() => undefined}
        watch={() => undefined}
        trouble={null}
      />,
    );
    return taken;
  };
  const identity = { vendor: 'Whimbrel', product: 'W4', revision: '3.2' };

  it('takes the one of the right type, and says who is silent', async () => {
    found([
      { target: 'a:1', identity: { ...identity, product: 'K3' }, typeIds: ['knot-k3'], trouble: null },
      { target: 'b:1', identity, typeIds: ['whimbrel-w4'], trouble: null },
      { target: 'c:1', identity: null, typeIds: [], trouble: 'No connection at c:1.' },
    ]);
    const taken = bar();
    await press('Search for drives');
    expect(taken).toEqual(['b:1']);
    expect(screen.getByText('No connection at c:1.')).toBeTruthy();
  });

  it('says where addresses come from when there is none', async () => {
    found([]);
    bar();
    await press('Search for drives');
    expect(screen.getByText(/The shop lead adds addresses/)).toBeTruthy();
  });

  it('says what to do instead when the server does not answer', async () => {
    answering(() => null);
    bar();
    await press('Search for drives');
    expect(screen.getByRole('alert').textContent).toContain('Enter what the display shows');
  });

  it('offers nothing to read before a drive was found', () => {
    bar();
    expect(screen.getByRole('button', { name: 'Read out' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('button', { name: 'Watch live' })).toHaveProperty('disabled', true);
  });
});
