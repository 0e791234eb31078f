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
  await press('Keep, next wire');
  await waitFor(() => expect(kept).toHaveLength(1));
  expect(kept[0]).toMatchObject({
    ...{ wire: 'w1', number: 8, from: 'X2', ferrule: '108', role: 'in:reverse', later: true, proven: false },
  });
});

test('the role follows the terminal until somebody chose another one', async () => {
  const kept = shown(wire);
  const from = screen.getByLabelText('Old terminal');
  const role = screen.getByLabelText('It is');
  await userEvent.clear(from);
  await fillField(from, 'X2');
  expect(role).toHaveValue('in:reverse');
  await userEvent.selectOptions(role, 'goes nowhere');
  await userEvent.clear(from);
  await fillField(from, 'X1');
  expect(role).toHaveValue('none');
  await press('Keep this wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ from: 'X1', role: 'none', later: false }));
});

test('what the drawing says opens with the terminal it has, and counts only while it was looked up', async () => {
  const kept = shown(wire);
  await tick('Looked up in the drawing');
  expect(screen.getByLabelText('The drawing has it on')).toHaveValue('X1');
  await tick('Looked up in the drawing');
  await press('Keep this wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ drawnAt: null }));
});

test('another machine on the signal is kept with what it does meanwhile', async () => {
  const kept = shown(wire);
  expect(screen.queryByLabelText('What that machine does meanwhile')).toBeNull();
  await fill('Another machine on the same signal', 'Grading drum');
  await fill('What that machine does meanwhile', 'runs by hand');
  await tick('Still more to come');
  await press('Keep this wire');
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
  await userEvent.selectOptions(screen.getByLabelText('It is'), 'not known');
  expect(screen.getByRole('checkbox', { name: /^Proven/ })).toBeDisabled();
  await press('Keep this wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ role: 'unknown', proven: false }));
});

test.each([
  ['Number on its label', '0', 'A whole number from 1'],
  ['Number on its label', '1.5', 'A whole number from 1'],
  ['Number on its label', '12345', 'A whole number from 1'],
  ['Volts seen', '24 V', 'A figure'],
])('%s as “%s” is not kept', async (label, text, problem) => {
  const kept = shown(wire);
  await userEvent.clear(screen.getByLabelText(label));
  await fill(label, text);
  expect(await screen.findByText(problem)).toBeVisible();
  await press('Keep this wire');
  await type('Ferrule', '{Enter}');
  expect(screen.getByText('Something cannot be read yet.')).toBeVisible();
  expect(kept).toEqual([]);
});

test('a terminal that the unit does not have is refused by name, unless it stands so on the unit', async () => {
  const kept = shown(null, true);
  await fill('Old terminal', 'X9');
  expect(await screen.findByText('The Knot K3-18 has no terminal X9. It has X1, X2.')).toBeVisible();
  await press('Keep, next wire');
  expect(kept).toEqual([]);
  await tick(/^It stands so on the unit/);
  await press('Keep, next wire');
  await waitFor(() => expect(kept[0]).toMatchObject({ from: 'X9', unlisted: true }));
});
