/** @jest-environment jsdom */
import '@testing-library/jest-dom';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Payload } from '@/core/logbook';
import type { RecordedWire, UnitTerminal, WireRole } from '@/core/replacement/wires';
import { press, show, tick, type, fill, fillField } from '../../../__tests__/show';
import { WireForm } from './wire-form';

const terminal = (mark: string, role: WireRole): UnitTerminal => ({
  ...{ mark, role, block: '', contact: null, where: '' },
  electrical: 'digital',
});
const terminals = [terminal('X1', 'in:run'), terminal('X2', 'in:reverse')];
const wire: RecordedWire = {
  ...{
    id: 'w1',
    number: 7,
    from: 'X1',
    role: 'in:run',
    ferrule: '107',
    drawing: '',
    colour: 'red',
    core: '',
  },
  ...{ drawnAt: null, proven: false, later: true, shared: null, photos: [], accepted: null, ticked: {} },
};

function shown(of: RecordedWire | null, quick = false) {
  const kept: Payload<'wire.noted'>[] = [];
  const keep = (noted: Payload<'wire.noted'>) => kept.push(noted);
  show(
    <WireForm
      {...{ terminals, quick, keep }}
      unit={{ maker: 'Knot', type: 'K3-18' }}
      id="w1"
      wire={of}
      number={of?.number ?? 8}
      cancel={() => undefined}
    />,
  );
  return kept;
}

test('noted quickly, a wire has its terminal, its ferrule and what the terminal does, and more to come', async () => {
  const kept = shown(null, true);
  await fill('Old terminal', 'X2');
  await fill('Ferrule', ' 108 ');
  await press('Save, next wire');
  await waitFor(() => expect(kept).toHaveLength(1));
  expect(kept[0]).toMatchObject({
    ...{ wire: 'w1', number: 8, from: 'X2', ferrule: '108', role: 'in:reverse', later: true, proven: false },
  });
});

test('the role follows the terminal until somebody chose another one', async () => {
  const kept = shown(wire);
  const from = screen.getByLabelText('Old terminal');
  const role = screen.getByLabelText('Function');
  await userEvent.clear(from);
  await fillField(from, 'X2');
  expect(role).toHaveValue('in:reverse');
  await userEvent.selectOptions(role, 'not connected');
  await userEvent.clear(from);
  await fillField(from, 'X1');
  expect(role).toHaveValue('none');
  await press('Save wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ from: 'X1', role: 'none', later: false }));
});

test('what the drawing says opens with the terminal it has, and counts only while it was looked up', async () => {
  const kept = shown(wire);
  await tick('Checked in the drawing');
  expect(screen.getByLabelText('Terminal in the drawing')).toHaveValue('X1');
  await tick('Checked in the drawing');
  await press('Save wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ drawnAt: null }));
});

test('another machine on the signal is kept with what it does meanwhile', async () => {
  const kept = shown(wire);
  expect(screen.queryByLabelText('What that machine does meanwhile')).toBeNull();
  await fill('Another machine on the same signal', 'Grading drum');
  await fill('What that machine does meanwhile', 'runs by hand');
  await tick('Details to follow');
  await press('Save wire');
  await waitFor(() =>
    expect(kept[0]).toMatchObject({
      shared: { machine: 'Grading drum', meanwhile: 'runs by hand' },
      later: true,
    }),
  );
});

test('what is unknown is not proven', async () => {
  const kept = shown({ ...wire, proven: true });
  expect(screen.getByRole('checkbox', { name: /^Proven/ })).toBeChecked();
  await userEvent.selectOptions(screen.getByLabelText('Function'), 'not known');
  expect(screen.getByRole('checkbox', { name: /^Proven/ })).toBeDisabled();
  await press('Save wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ role: 'unknown', proven: false }));
});

test.each([
  ['Wire number on the label', '0', 'A whole number from 1'],
  ['Wire number on the label', '1.5', 'A whole number from 1'],
  ['Wire number on the label', '12345', 'A whole number from 1'],
  ['Voltage measured', '24 V', 'A value'],
])('%s as “%s” is not kept', async (label, text, problem) => {
  const kept = shown(wire);
  await userEvent.clear(screen.getByLabelText(label));
  await fill(label, text);
  expect(await screen.findByText(problem)).toBeVisible();
  await press('Save wire');
  await type('Ferrule', '{Enter}');
  expect(screen.getByText('A value cannot be read.')).toBeVisible();
  expect(kept).toEqual([]);
});

test('a terminal that the unit does not have is refused by name, unless it stands so on the unit', async () => {
  const kept = shown(null, true);
  await fill('Old terminal', 'X9');
  expect(await screen.findByText('The Knot K3-18 has no terminal X9. It has X1, X2.')).toBeVisible();
  await press('Save, next wire');
  expect(kept).toEqual([]);
  await tick(/^Marked like this on the unit/);
  await press('Save, next wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ from: 'X9', unlisted: true }));
});
