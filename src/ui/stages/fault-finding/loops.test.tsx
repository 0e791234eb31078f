/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Payload } from '@/core/logbook';
import { testControl, show, WithStore, type RecordedEntry, fillField } from '../../__tests__/show';
import { BitsForm } from './bits-form';
import { JumperForm } from './jumper-form';
import { JumperRegister } from './jumper-register';
import { LoopPanel } from './loop-panel';
import { LoopWalk } from './loop-walk';

const control = testControl('whimbrel-w4');
const x3 = { id: 'DI3', mark: 'X3' };
const field = (name: string | RegExp) => screen.getByRole('textbox', { name });
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const radio = (group: string | RegExp, name: string) =>
  userEvent.click(within(screen.getByRole('group', { name: group })).getByRole('radio', { name }));

describe('walking a loop', () => {
  const walk = (inputs?: Record<string, boolean>) => {
    const kept: Payload<'loop.checked'>[] = [];
    show(<LoopWalk control={control} terminal={x3} inputs={inputs} keep={(w) => kept.push(w)} />);
    return kept;
  };
  const verdict = () => screen.getByRole('status').textContent ?? '';

  it('asks for the danger first, then for the volts behind each', async () => {
    walk();
    expect(screen.getByRole('note').textContent).toContain('may start');
    await fillField(field('Contacts in the loop'), 'S1, K3, door');
    expect(screen.getAllByRole('listitem')).toHaveLength(7);
  });

  it('names the first element across which it vanishes, from few values', async () => {
    const kept = walk({ DI3: false });
    await fillField(field('Contacts in the loop'), 'S1, K3');
    await fillField(field('after S1'), '24,1');
    expect(verdict()).toContain('measure halfway');
    await fillField(field('after K3'), '0.2');
    expect(verdict()).toContain('Open: K3');
    await press('Save loop check');
    expect(kept[0]).toMatchObject({
      input: 'X3',
      source_V: 24,
      bit: 0,
      open: 'K3',
      measured: [
        { after: 'S1', volts: 24.1 },
        { after: 'K3', volts: 0.2 },
      ],
    });
  });

  it('with volts at the input and the bit still 0 it is the return, the selector or the input', async () => {
    walk({ DI3: false });
    await fillField(field('after contact'), '24');
    await fillField(field('after terminal X3'), '24');
    await fillField(field('after input X3'), '0');
    expect(verdict()).toMatch(/selector first, then the input/);
  });

  it('says so where the return is not connected', async () => {
    walk({ DI3: false });
    await fillField(field('after terminal X3'), '24');
    await fillField(field('after input X3'), '24');
    await fillField(field('after common CD'), '24');
    expect(verdict()).toContain('return is not connected');
  });

  it('a dead source is named before anything else, and nothing is kept without a value', async () => {
    walk();
    await userEvent.clear(field('Source voltage, to its own minus'));
    await fillField(field('Source voltage, to its own minus'), '3');
    expect(verdict()).toContain('below 15 V');
    expect(screen.getByRole('button', { name: 'Save loop check' })).toHaveProperty('disabled', true);
  });

  it('begins again with empty fields', async () => {
    walk();
    await fillField(field('after contact'), '24');
    await press('Start again');
    expect(field('after contact')).toHaveProperty('value', '');
  });
});

describe('a temporary jumper', () => {
  const said = async () => (await screen.findAllByRole('alert')).map((a) => a.textContent).join(' ');
  const form = () => {
    const kept: Payload<'jumper.set'>[] = [];
    show(<JumperForm where="X3" keep={(j) => kept.push(j)} />);
    return kept;
  };
  const answerAll = async (guards: string, motor: string) => {
    await radio(/existing or new/, 'existing');
    await radio(/wire landed at X3/, 'yes');
    await fillField(field('Wire number'), '114');
    await userEvent.selectOptions(screen.getByRole('combobox', { name: /monitor/ }), guards);
    await radio('Is a motor connected?', motor);
  };

  it('asks why the voltage is missing before it is offered on an existing plant', async () => {
    form();
    await answerAll('level, flow or pressure', 'yes');
    expect(screen.getByText(/Find out why the voltage is missing/).textContent).toContain('wire 114');
    expect(screen.getByRole('note').textContent).toContain('by name');
  });

  it('on a new plant it asks whether the interlock is wanted', async () => {
    form();
    await radio(/existing or new/, 'new');
    expect(screen.getByText(/whether this interlock is needed/)).toBeTruthy();
  });

  it.each(['STO', 'emergency stop', 'a guard or door', 'over-travel'])(
    'is not offered for %s, with or without motor; one that is found there can be recorded',
    async (guards) => {
      const kept = form();
      await answerAll(guards, 'yes');
      for (const motor of ['yes', 'no, its cable is off']) {
        await radio('Is a motor connected?', motor);
        expect(screen.getByRole('note').textContent).toContain('never jumpered');
        expect(screen.queryByRole('button', { name: 'Record jumper' })).toBeNull();
      }
      await press('A jumper is already fitted: record it');
      expect(kept).toMatchObject([{ found: true, approver: 'nobody', where: 'X3' }]);
    },
  );

  it('needs reason, a name and a day; then it is kept with all of it', async () => {
    const kept = form();
    await press('Record jumper');
    expect(await said()).toContain('Answer every question');
    expect(screen.getAllByText('Choose one')).toHaveLength(4);
    await answerAll('level, flow or pressure', 'yes');
    await press('Record jumper');
    expect(await said()).toContain('person accepting the risk');
    await fillField(field('Reason'), 'switch ordered');
    await fillField(field('Who accepts the risk'), 'A. Fenn');
    await radio('How', 'input set to no function');
    await press('Record jumper');
    await waitFor(() => expect(kept).toHaveLength(1));
    expect(kept[0]).toMatchObject({
      form: 'no-function',
      where: 'X3',
      guards: 'level-or-pressure',
      plant: 'existing',
      landed: 'yes',
      wire: '114',
      motorConnected: true,
      reason: 'switch ordered',
      approver: 'A. Fenn',
    });
    expect(kept[0]?.removeBy).toMatch(/^\d{4}-\d\d-\d\d$/);
  });

  it('is not kept by the Enter key either, when it turns out to be STO', async () => {
    const kept = form();
    await answerAll('level, flow or pressure', 'yes');
    await fillField(field('Reason'), 'switch ordered');
    await fillField(field('Who accepts the risk'), 'A. Fenn');
    await userEvent.selectOptions(screen.getByRole('combobox', { name: /monitor/ }), 'STO');
    await userEvent.type(field('Wire number'), '{Enter}');
    expect(await screen.findByText('Never jumper')).toBeTruthy();
    expect(kept).toEqual([]);
  });
});

describe('the register', () => {
  const jumper = {
    form: 'jumper' as const,
    where: 'X3',
    guards: 'process' as const,
    plant: 'existing' as const,
    landed: 'yes' as const,
    motorConnected: true,
    reason: 'switch ordered',
    approver: 'A. Fenn',
    removeBy: '2026-01-05',
    id: 'j1',
    by: { id: 'p', name: 'Ines Tarrow', role: 'technician' as const },
    removed: null,
  };

  it('is not there while nothing is bridged', () => {
    const { container } = show(<JumperRegister jumpers={[]} remove={() => undefined} />);
    expect(container.textContent).toBe('');
  });

  it('says what is overdue, and strikes only with what proved it out', async () => {
    const struck: string[] = [];
    show(<JumperRegister jumpers={[jumper]} remove={(j, how) => struck.push(`${j.where}: ${how}`)} />);
    expect(screen.getByText(/Overdue: removal was due/).textContent).toContain('cannot be signed off');
    await press('Jumper removed…');
    expect(screen.getByRole('button', { name: 'Mark jumper removed' })).toHaveProperty('disabled', true);
    await fillField(field('How removal was proven'), 'opened: X3 goes off');
    await press('Mark jumper removed');
    expect(struck).toEqual(['X3: opened: X3 goes off']);
  });

  it('keeps what is out before one’s eyes', () => {
    show(<JumperRegister jumpers={[{ ...jumper, removed: 'opened: off' }]} remove={() => undefined} />);
    expect(screen.getByText('Removed: opened: off')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});

it('walk and jumper of the panel speak of the same input, and land in the log', async () => {
  const log: RecordedEntry[] = [];
  show(
    <WithStore log={log}>
      {(store) => <LoopPanel control={control} terminals={control.inputs} inputs={{}} store={store} />}
    </WithStore>,
  );
  await press('Check a loop');
  await press('Temporary jumper');
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Input' }), 'X5');
  expect(field('after terminal X5')).toBeTruthy();
  expect(screen.getByRole('group', { name: /wire landed at X5/ })).toBeTruthy();
  await fillField(field('after contact'), '0');
  await press('Save loop check');
  expect(log.map(([kind]) => kind)).toEqual(['loop.checked']);
  expect(screen.getByText('Loop check of X5 saved.')).toBeTruthy();
});

describe('the row of bits off a display', () => {
  const form = () => {
    const kept: Record<string, boolean>[] = [];
    show(<BitsForm terminals={control.inputs} keep={(bits) => kept.push(bits)} />);
    return kept;
  };

  it('stands over the terminals both ways round until one was turned', async () => {
    const kept = form();
    await fillField(field('Bits of the input monitor'), '000101');
    expect(screen.getAllByRole('row')).toHaveLength(3);
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Switched input' }), 'X3');
    await fillField(field('Bits after switching'), '000001');
    expect(screen.getAllByRole('row')).toHaveLength(2);
    await press('Save these bits, first bit right');
    expect(kept[0]).toEqual({ DI1: true, DI2: false, DI3: false, DI4: false, DI5: false, DI6: false });
    expect(field('Bits of the input monitor')).toHaveProperty('value', '');
  });

  it('does not guess where more than one changed', async () => {
    const kept = form();
    await fillField(field('Bits of the input monitor'), '000000');
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Switched input' }), 'X1');
    await fillField(field('Bits after switching'), '110000');
    expect(screen.getByText(/switch that input again/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Save these bits/ })).toBeNull();
    expect(kept).toEqual([]);
  });
});
