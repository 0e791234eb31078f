/** @jest-environment jsdom */
import { quiet } from '../../job-store/__tests__/quiet';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { emptyJob, type JobState } from '@/core/logbook';
import { greatestLimits } from '@/core/bench/make-safe';
import { AsFoundStage } from '../as-found/as-found-stage';
import type { StageProps } from '../../job-store/stage-props';
import { CallStage } from '../call/call-stage';
import { show, fillField } from '../../__tests__/show';
import { InspectionStage } from './inspection-stage';

function props(state: Partial<JobState> = {}): {
  face: StageProps;
  recorded: [string, unknown][];
  went: string[];
} {
  const recorded: [string, unknown][] = [];
  const went: string[] = [];
  const face: StageProps = {
    jobId: 'j',
    person: { id: 'p', name: 'Ines Tarrow', role: 'technician' },
    limits: greatestLimits,
    catalogue: [],
    knownSources: [],
    goTo: (stage) => went.push(stage),
    store: {
      state: { ...emptyJob, ...state },
      ...quiet,
      record: (kind, payload) => {
        recorded.push([kind, payload]);
        return 'new';
      },
    },
  };
  return { face, recorded, went };
}
it('keeps each finding as it is made; cannot check now is an answer', async () => {
  const { face, recorded } = props();
  show(<InspectionStage {...face} />);
  await userEvent.click(
    within(screen.getByRole('group', { name: 'Fan' })).getByLabelText('cannot check now'),
  );
  await userEvent.click(within(screen.getByRole('group', { name: 'Smell' })).getByLabelText('clear'));
  expect(recorded).toEqual([
    ['look.finding', { item: 'fan', state: 'not-checked', photos: [] }],
    ['look.finding', { item: 'smell', state: 'clear', photos: [] }],
  ]);
});

it('warns before looking that the capacitor bank is charged, and after a find that mains stays off', () => {
  const { face } = props({ look: { fuses: { item: 'fuses', state: 'found', photos: [] } } });
  show(<InspectionStage {...face} />);
  expect(screen.getByText('The capacitor bank stays charged.')).toBeTruthy();
  expect(screen.getByText('Do not restore mains to read the display.')).toBeTruthy();
});

it('freezes fault and slots before anything is reset', async () => {
  const { face, recorded, went } = props();
  show(<AsFoundStage {...face} />);
  await fillField(screen.getByLabelText('Active fault'), 'P-LOSS');
  await userEvent.selectOptions(screen.getByLabelText('Fault family'), 'input phase loss');
  await fillField(screen.getByLabelText('Log entry 1, code'), 'P-LOSS');
  await userEvent.click(screen.getByRole('button', { name: 'Add log entry' }));
  await fillField(screen.getByLabelText('Log entry 2, code'), 'U-LOW');
  await userEvent.click(screen.getByRole('button', { name: 'Save, go to Inspection' }));
  expect(recorded).toEqual([
    [
      'as-found.captured',
      {
        active: 'P-LOSS',
        family: 'input-phase-loss',
        slots: [{ code: 'P-LOSS' }, { code: 'U-LOW' }],
        selectors: '',
        photos: [],
      },
    ],
  ]);
  expect(went).toEqual(['look']);
});

it('takes the reason where nothing can be captured, and says why mains must not be used', async () => {
  const { face, recorded } = props({ call: { signs: ['bang'] } });
  show(<AsFoundStage {...face} />);
  expect(screen.getByText(/After bang the fault may still be present/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'unsafe to energise' }));
  expect(recorded).toEqual([['as-found.impossible', { reason: 'unsafe to energise' }]]);
});

it('takes the call with its danger signs', async () => {
  const { face, recorded, went } = props();
  show(<CallStage {...face} />);
  await fillField(screen.getByLabelText('What was the machine doing?'), 'hauling');
  await userEvent.click(screen.getByLabelText('a bang'));
  await userEvent.click(screen.getByLabelText('smoke'));
  await userEvent.click(screen.getByRole('button', { name: 'Save, go to Nameplates' }));
  expect(recorded).toEqual([
    [
      'take.call',
      { doing: 'hauling', display: '', changedLately: '', signs: ['bang', 'smoke'], terms: 'international' },
    ],
  ]);
  expect(went).toEqual(['identify']);
});
