/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose, press, show, WithStore, type RecordedEntry, fill } from '../../../__tests__/show';
import { ModuleTest } from './module-test';

const open = (log: RecordedEntry[] = []) => {
  show(<WithStore log={log}>{(store) => <ModuleTest store={store} close={() => undefined} />}</WithStore>);
  return log;
};
const begin = async (name?: string) => {
  const log = open();
  if (name !== undefined) await fill('Which one', name);
  await press('Begin');
  return log;
};
const lamp = 'Lamp directly across the battery: is it bright?';
const polarity = 'Battery polarity: does the meter show about +12 V with red on plus?';
const prove = async () => {
  await choose(lamp, 'yes');
  await choose(polarity, 'yes');
  await press('Lamp and battery proven');
};
const button = (name: string) => screen.getByRole('button', { name }) as HTMLButtonElement;

test('a module without a name is called by its kind; blanks are no name', async () => {
  expect(await begin('   ')).toEqual([['module.begun', { kind: 'dual', name: 'dual module' }]]);
});

test('nothing is tested before lamp and battery are proven on each other', async () => {
  const log = await begin('Q1');
  expect(button('Lamp and battery proven').disabled).toBe(true);
  await choose(lamp, 'yes');
  await choose(polarity, 'no');
  expect(screen.getByRole('alert').textContent).toMatch(/^Swap the battery leads/);
  expect(button('Lamp and battery proven').disabled).toBe(true);
  await choose(lamp, 'no');
  expect(screen.getByRole('alert').textContent).toMatch(/^Replace the lamp/);
  expect(screen.queryByText('diode and gate readings')).toBeNull();
  await prove();
  expect(log[1]).toMatchObject(['module.proven', { lampLights: true, polarityRight: true }]);
  expect(screen.getByText('diode and gate readings')).toBeTruthy();
});

describe('diode and gate readings', () => {
  const readings = async (forward: string, reverse: string, gate: string) => {
    const log = await begin('Q1');
    await prove();
    await userEvent.click(screen.getByText('diode and gate readings'));
    if (forward !== '') await fill('Red on E, black on C', forward);
    if (reverse !== '') await fill('Red on C, black on E', reverse);
    if (gate !== '') await fill('Gate to emitter', gate);
    await press('Save these readings');
    return log.slice(2).map(([kind, payload]) => ({ kind, ...payload }));
  };

  it('takes volts, overload and ohms', async () => {
    expect(await readings('0,371', 'OL', '12000')).toMatchObject([
      { kind: 'module.diode', device: 1, forward_V: 0.371, reverse: 'OL' },
      { kind: 'module.gate', device: 1, ohm: 12000 },
    ]);
  });

  it('keeps nothing while one of the diode readings is missing, and keeps what was typed', async () => {
    expect(await readings('0.371', '', '12000')).toEqual([]);
    expect(screen.getByRole('alert').textContent).toBe('Both diode readings: volts like 0.371, or OL.');
    expect((screen.getByLabelText('Gate to emitter') as HTMLInputElement).value).toBe('12000');
  });

  it('refuses a gate value that is none', async () => {
    expect(await readings('', '', '-5')).toEqual([]);
    expect(screen.getByRole('alert').textContent).toBe('Ohms, or OL for open.');
  });
});

test('a touch that was mistyped is put right, and the test goes on where it was', async () => {
  const log = await begin('Q1');
  await prove();
  await press(/stays dark/);
  expect(log.at(-1)).toMatchObject(['module.touch', { device: 1, gate: 'plus', lamp: 'off' }]);
  await press('Correct it');
  expect(screen.getByRole('group', { name: /with plus$/ })).toBeTruthy();
  await press(/lights, and stays lit/);
  expect(log.at(-1)).toMatchObject(['module.touch', { device: 1, gate: 'plus', lamp: 'on', holds: true }]);
  expect(screen.getByRole('group', { name: /with minus$/ })).toBeTruthy();
  expect(screen.getByText(/^Last: Device 1, plus on the gate: lamp on/)).toBeTruthy();
});

test('where a module is to be replaced, it says how the new one is fitted', async () => {
  await begin('Q1');
  await prove();
  expect(screen.queryByRole('region', { name: 'Fitting the new module' })).toBeNull();
  await press(/stays dark/);
  await press(/goes out, and stays out/);
  const steps = within(screen.getByRole('region', { name: 'Fitting the new module' }));
  for (const words of [
    /^Thermal paste thin and even, 50 to 100 µm/,
    /^Tighten screws crosswise in two rounds/,
    /^Refit snubbers/,
  ])
    expect(steps.getByText(words)).toBeTruthy();
});
