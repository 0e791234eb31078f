/** @jest-environment jsdom */
import '@testing-library/jest-dom';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { HandOverItem } from '@/core/job/hand-over';
import type { Person } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { choose, ines, pip, press, show, WithStore, type RecordedEntry, fill } from '../../__tests__/show';
import { BackForm } from './back-form';
import { TwoNames } from './back-panel';

const item = (id: string, title: string, mayWait = true): HandOverItem => ({
  ...{ id, title, mayWait },
  state: 'open',
  text: `${title} is open.`,
});
const settings = item('settings', 'Parameters');
const backup = item('backup', 'Final backup');

describe('two names', () => {
  const names = (byName: HandOverItem[], { never = [] as HandOverItem[], person = ines as Person } = {}) => {
    const signed: object[] = [];
    show(<TwoNames {...{ never, byName, person }} waiting={false} sign={(by) => signed.push(by)} />);
    return signed;
  };
  const button = () => screen.getByRole('button', { name: /^Sign as|A technician signs/ });

  it('are two people, and each open line must be taken on with its reason', async () => {
    const signed = names([settings, backup]);
    await fill('Taken over by', 'ines tarrow');
    expect(await screen.findByText('Must be another person than the signer')).toBeVisible();
    await fill('Taken over by', ' the elder');
    await fill(/^Parameters/, 'sheet follows');
    expect(button()).toBeDisabled();
    await fill(/^Final backup/, ' no link here ');
    await fill('Function', ' shift lead ');
    await press(/^Sign as/);
    expect(signed).toEqual([
      {
        second: 'ines tarrow the elder',
        secondIs: 'shift lead',
        taken: { settings: 'sheet follows', backup: 'no link here' },
      },
    ]);
  });

  it('are not given while something must be settled first', async () => {
    names([], { never: [item('told', 'Local to automatic', false)] });
    await fill('Taken over by', 'Jory Pell');
    expect(screen.getByText('Cannot be handed over yet: local to automatic.')).toBeVisible();
    expect(button()).toBeDisabled();
  });

  it('are not an apprentice’s', async () => {
    names([], { person: pip });
    await fill('Taken over by', 'Jory Pell');
    expect(button()).toBeDisabled();
  });

  it('wait again when a reason is taken away', async () => {
    names([settings]);
    await fill('Taken over by', 'Jory Pell');
    await fill(/^Parameters/, 'sheet follows');
    expect(button()).toBeEnabled();
    await userEvent.clear(screen.getByLabelText(/^Parameters/));
    expect(button()).toBeDisabled();
  });
});

describe('a line must be settled', () => {
  const settle = (id: string, title: string) => {
    const log: RecordedEntry[] = [];
    const closed: string[] = [];
    show(
      <WithStore log={log}>
        {(store) => (
          <BackForm
            {...({
              store,
              person: ines,
              jobId: 'j',
              catalogue: [],
              goTo: () => undefined,
            } as unknown as StageProps)}
            item={item(id, title)}
            done={() => closed.push(id)}
          />
        )}
      </WithStore>,
    );
    return { log, closed };
  };

  it('with three references and what it ran at, from zero up', async () => {
    const { log, closed } = settle('followed', 'Follows its reference');
    const keep = () => screen.getByRole('button', { name: 'Save three references' });
    for (const [i, asked] of ['0', '25', '50'].entries()) {
      await fill(`Reference ${i + 1}`, asked);
      await fill(`Output ${i + 1}`, i === 2 ? '-50' : asked);
    }
    expect(await screen.findByText('A value of zero or more')).toBeVisible();
    await userEvent.click(keep());
    expect(log).toEqual([]);
    await userEvent.clear(screen.getByLabelText('Output 3'));
    await fill('Output 3', '49,5');
    await userEvent.selectOptions(screen.getByLabelText('In'), 'rpm');
    await userEvent.click(keep());
    await screen.findByRole('button', { name: 'Save three references' });
    expect(log).toEqual([
      [
        'handover.followed',
        {
          unit: 'rpm',
          points: [
            { asked: 0, got: 0 },
            { asked: 25, got: 25 },
            { asked: 50, got: 49.5 },
          ],
        },
      ],
    ]);
    expect(closed).toEqual(['followed']);
  });

  it('with who was told', async () => {
    const { log } = settle('told', 'Local to automatic');
    const keep = screen.getByRole('button', { name: /Informed/ });
    await fill('Who was informed', '   ');
    await userEvent.click(keep);
    expect(log).toEqual([]);
    await userEvent.clear(screen.getByLabelText('Who was informed'));
    await fill('Who was informed', 'Jory Pell');
    await userEvent.click(keep);
    expect(log).toEqual([['handover.told', { who: 'Jory Pell', how: '' }]]);
  });

  it('with the day of the next look', async () => {
    const { log } = settle('inspection', 'Next inspection');
    const keep = screen.getByRole('button', { name: 'Save date' });
    await userEvent.click(keep);
    expect(log).toEqual([]);
    await fill('Next inspection on', '2027-05-20');
    await fill('What to inspect', 'lugs, fan');
    await userEvent.click(keep);
    expect(log).toEqual([['handover.inspection', { date: '2027-05-20', what: 'lugs, fan' }]]);
  });

  it('by one answer about the locks', async () => {
    const locks = settle('locks', 'Locks');
    await fill('Remark', 'code 17');
    await choose('Codes and menu locks', 'locked again');
    expect(locks.log).toEqual([['handover.locks', { locks: 'on', note: 'code 17' }]]);
  });

  it('a partner that does not run as before is kept so', async () => {
    const { log } = settle('partner:drum', 'Shellfish grading drum');
    await press('Does not run as before');
    expect(log).toEqual([
      ['handover.partner', { machine: 'Shellfish grading drum', right: false, note: '' }],
    ]);
  });
});
