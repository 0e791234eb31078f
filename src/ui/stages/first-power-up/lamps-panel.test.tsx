/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import type { Payload } from '@/core/logbook';
import { winchUnit } from '@/core/power-up/waveform/__tests__/winch';
import { press, show, type, fill } from '../../__tests__/show';
import { LampsPanel } from './lamps-panel';

/** Nothing is computed here: what a person types must be kept or refused without it. */
class SilentWorker extends EventTarget {
  postMessage() {}
  terminate() {}
}
beforeAll(() => Object.assign(globalThis, { Worker: SilentWorker }));

const open = (wasOn = true) => {
  const kept: Payload<'power.lamps'>[] = [];
  show(<LampsPanel unit={winchUnit} kept={[]} wasOn={wasOn} keep={(what) => void kept.push(what)} />);
  return kept;
};
const keepButton = () => screen.getByRole('button', { name: 'Save these readings' }) as HTMLButtonElement;
const typeVolts = async () => {
  await fill('U to V', '231');
  await fill('V to W', '230,5');
  await fill('W to U', '229');
};

describe('readings of the lamps', () => {
  it('are kept with all three volts, with no clamp too, and the fields are empty for the next', async () => {
    const kept = open();
    await press('Save these readings');
    expect(kept).toEqual([]);
    await typeVolts();
    await press('Save these readings');
    expect(kept).toMatchObject([{ hz: 30, volts: [231, 230.5, 229], amps: null, lamp: { watts: 100 } }]);
    expect((screen.getByLabelText('U to V') as HTMLInputElement).value).toBe('');
  });

  it('wait for the other clamp readings once one was taken', async () => {
    const kept = open();
    await typeVolts();
    await fill('Current U', '0.8');
    await fill('Current V', '0.81');
    await press('Save these readings');
    expect(kept).toEqual([]);
    await fill('Current W', '0');
    await press('Save these readings');
    expect(kept).toMatchObject([{ amps: [0.8, 0.81, 0] }]);
  });

  it('are refused below zero, and of lamps without watts', async () => {
    const kept = open();
    await typeVolts();
    await type('W to U', '{Control>}a{/Control}-229');
    await press('Save these readings');
    expect(kept).toEqual([]);
    await type('W to U', '{Control>}a{/Control}229');
    await type('Each lamp', '{Control>}a{/Control}0');
    expect(screen.getByText('A value above zero; calculated for 100 W')).toBeTruthy();
    await press('Save these readings');
    expect(kept).toEqual([]);
  });

  it('belong to a drive that was switched on in this job', async () => {
    open(false);
    await typeVolts();
    expect(screen.getByText('Power has not been switched on in this job yet.')).toBeTruthy();
    expect(keepButton().disabled).toBe(true);
  });
});
