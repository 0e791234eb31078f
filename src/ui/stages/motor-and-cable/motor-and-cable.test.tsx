/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { InsulationThen } from '@/core/motor/motor-history';
import type { StageProps } from '../../job-store/stage-props';
import {
  answering,
  choose,
  ines,
  press,
  show,
  tick,
  winchDrive,
  winchMotor,
  WithStore,
  type RecordedEntry,
  fill,
} from '../../__tests__/show';
import { MotorAndCableStage } from './motor-and-cable-stage';

const jobId = '0190a200-0000-7000-8000-000000000001';
const begun: readonly RecordedEntry[] = [
  ['identify.drive', winchDrive],
  ['identify.motor', winchMotor],
];
function faced(said = begun) {
  const log: RecordedEntry[] = [];
  const went: string[] = [];
  show(
    <WithStore said={said} log={log}>
      {(store) => (
        <MotorAndCableStage
          {...({ jobId, store, person: ines, catalogue: [] } as unknown as StageProps)}
          goTo={(stage) => went.push(stage)}
        />
      )}
    </WithStore>,
  );
  return { log, went };
}
const off = async () => {
  await tick(/Drive disconnected/);
  await choose('Thermistors', 'none fitted');
  await choose('Encoder', 'disconnected');
};
const earlier: InsulationThen = {
  jobId: 'old',
  at: '2024-05-01T09:00:00Z',
  of: 'motor-and-cable',
  between: 'earth',
  test: { ratedVolts: 400, readings: [{ at_s: 60, megohm: 900 }], winding_C: 20 },
};
beforeEach(() => void answering(() => ({ body: { tests: [earlier] } })));

it('asks for the nameplate first: it decides what is good enough', async () => {
  const { went } = faced([]);
  await press('Read the motor nameplate first');
  expect(went).toEqual(['identify']);
});

it('lets no tester near before all of it is off', async () => {
  faced();
  expect(screen.queryByLabelText('After 1 minute')).toBeNull();
  const all = screen.getByRole('button', { name: 'All disconnected' });
  expect((all as HTMLButtonElement).disabled).toBe(true);
  await off();
  await userEvent.click(all);
  expect(await screen.findByLabelText('After 1 minute')).toBeTruthy();
});

describe('with everything off', () => {
  const ready = async () => {
    const { log } = faced();
    await off();
    await press('All disconnected');
    return log;
  };

  it('corrects the insulation to 40 °C, holds until it was earthed, and draws it with the earlier test', async () => {
    await ready();
    await fill('After 1 minute', '40');
    await press('Save test');
    // 40 MΩ at 20 °C: × e^(−1245 × (1/293 − 1/313)) = × 0.762.
    expect(await screen.findByText('30.49 MΩ')).toBeTruthy();
    expect(screen.getByText(/earth it for 240 s after the test/)).toBeTruthy();
    expect(await screen.findByRole('img', { name: /motor and cable to earth: 2 tests/ })).toBeTruthy();
    expect(screen.getByText(/fell to half or less/)).toBeTruthy();
    await press('Earthed for 240 s');
    await waitFor(() => expect(screen.queryByText(/earth it for 240 s after/)).toBeNull());
  });

  it('a test that was made again no longer asks for earthing', async () => {
    await ready();
    for (const megohm of ['2', '400']) {
      await fill('After 1 minute', megohm);
      await press('Save test');
    }
    expect(await screen.findByText('Repeated later.')).toBeTruthy();
    expect(screen.getAllByRole('button', { name: 'Earthed for 240 s' })).toHaveLength(1);
  });

  it('takes windings that are alike, in comma or point, and says how far they are apart', async () => {
    const log = await ready();
    const keep = screen.getAllByRole('button', { name: 'Save the three readings' })[0] as HTMLButtonElement;
    const before = log.length;
    await userEvent.click(keep);
    expect(log).toHaveLength(before);
    await fill('U to V', '1,21');
    await fill('V to W', '1.20');
    await fill('W to U', '1.22');
    await userEvent.click(keep);
    expect(await screen.findByText('0.83 % unbalance')).toBeTruthy();
    expect(log.at(-1)).toMatchObject(['motor.winding', { ohms: { uv: 1.21, vw: 1.2, wu: 1.22 } }]);
  });
});

it('a server that does not answer is said, and tests can still be kept', async () => {
  answering(() => null);
  faced();
  await off();
  await press('All disconnected');
  expect(await screen.findByText(/earlier tests of this motor are not available/)).toBeTruthy();
  await fill('After 1 minute', '400');
  await press('Save test');
  expect(await screen.findByText(/passes/)).toBeTruthy();
});

it('unbalance is shown with what it costs a line-fed motor', async () => {
  faced();
  for (const [label, volts] of [
    ['Line to line 1', '400'],
    ['Line to line 2', '404'],
    ['Line to line 3', '390'],
  ] as const)
    await fill(label, volts);
  await press('Save the three readings');
  // Mean 398, most off by 8: 2.01 %.
  expect(await screen.findByText('2.01 %')).toBeTruthy();
});
