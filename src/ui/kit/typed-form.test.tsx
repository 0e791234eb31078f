/** @jest-environment jsdom */
import '@testing-library/jest-dom';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import * as z from 'zod';
import { Field } from './field';
import { anyFigure, mustChoose, filledText, orNone, positiveFigure, zeroOrMore } from './form-figures';
import { Providers } from './providers';
import { Tick } from './tick';
import { useTypedForm } from './typed-form';

const schema = z.object({ amps: positiveFigure, place: filledText('Read it'), near: z.boolean() });
type Typed = z.input<typeof schema>;

function Form({ kept, keep, next }: { kept: Typed; keep: (read: object) => void; next?: Typed }) {
  const { read, text, tick, submit } = useTypedForm('test', schema, kept);
  return (
    <form onSubmit={submit(keep, next)} noValidate>
      <Field label="Amps" {...text('amps')} />
      <Field label="Location" {...text('place')} />
      <Tick label="Near" {...tick('near')} />
      <output>{read === null ? 'not read' : read.amps}</output>
      <button>Keep</button>
    </form>
  );
}
const shown = (kept: Typed, keep: (read: object) => void = () => undefined, next?: Typed) => (
  <Providers terms="international">
    <Form kept={kept} keep={keep} {...(next === undefined ? {} : { next })} />
  </Providers>
);
const amps = () => screen.getByRole('textbox', { name: 'Amps' });
const place = () => screen.getByRole('textbox', { name: 'Location' });
const button = () => screen.getByRole('button', { name: 'Keep' });
const blank: Typed = { amps: '', place: '', near: false };

test('what is kept is what was read; what cannot be read is said where it stands, and nothing is kept', async () => {
  const user = userEvent.setup();
  const kept: object[] = [];
  render(shown(blank, (read) => kept.push(read)));
  await user.type(amps(), 'much');
  expect(screen.getByRole('alert')).toHaveTextContent('A value above zero');
  await user.click(button());
  expect(kept).toEqual([]);
  expect(await screen.findByText('Read it')).toBeVisible();
  expect(amps()).toHaveFocus();
  expect(amps()).toHaveValue('much');
  await user.clear(amps());
  await user.type(amps(), '7,5');
  await user.type(place(), ' shed ');
  await user.click(screen.getByRole('checkbox', { name: 'Near' }));
  expect(screen.getByText('7.5')).toBeVisible();
  await user.click(button());
  await waitFor(() => expect(kept).toEqual([{ amps: 7.5, place: 'shed', near: true }]));
});

test('it follows what was kept elsewhere, but not over what is being typed', async () => {
  const user = userEvent.setup();
  const { rerender } = render(shown({ amps: '5', place: 'shed', near: false }));
  await user.clear(amps());
  await user.type(amps(), '6');
  rerender(shown({ amps: '9', place: 'quay', near: true }));
  expect(await screen.findByDisplayValue('quay')).toBe(place());
  expect(amps()).toHaveValue('6');
  expect(screen.getByRole('checkbox', { name: 'Near' })).toBeChecked();
});

test('what was kept here is followed again, in the way it is written when kept', async () => {
  const user = userEvent.setup();
  const kept: object[] = [];
  const keep = (read: object) => kept.push(read);
  const { rerender } = render(shown({ amps: '5', place: 'shed', near: false }, keep));
  await user.clear(amps());
  await user.type(amps(), '6,0');
  await user.click(button());
  await waitFor(() => expect(kept).toHaveLength(1));
  rerender(shown({ amps: '6', place: 'shed', near: false }));
  expect(await screen.findByDisplayValue('6')).toBe(amps());
});

test('fields of one reading are empty for the next', async () => {
  const user = userEvent.setup();
  render(shown(blank, undefined, blank));
  await user.type(amps(), '6');
  await user.type(place(), 'shed');
  await user.click(button());
  await waitFor(() => expect(amps()).toHaveValue(''));
  expect(screen.queryByRole('alert')).toBeNull();
});

const reads = (field: z.ZodType<unknown, string>, typed: string) => {
  const asked = field.safeParse(typed);
  return asked.success ? asked.data : asked.error.issues[0]?.message;
};
test.each([
  ['above zero', positiveFigure, '0', 'A value above zero, e.g. 15'],
  ['above zero', positiveFigure, '0,5', 0.5],
  ['any', anyFigure, '−4', -4],
  ['any', anyFigure, '', 'A value'],
  ['zero or more', zeroOrMore, '0', 0],
  ['zero or more', zeroOrMore, '-1', 'A value of zero or more'],
  ['above zero or none', orNone(positiveFigure), '  ', null],
  ['above zero or none', orNone(positiveFigure), '3', 3],
  ['above zero or none', orNone(positiveFigure), '-3', 'A value above zero, e.g. 15'],
])('a value %s', (_kind, field, typed, read) => expect(reads(field, typed)).toBe(read));

test('a choice that must be made is asked for', () => {
  const metal = mustChoose(['copper', 'aluminium']);
  expect(metal.safeParse(null).error?.issues[0]?.message).toBe('Choose one');
  expect(metal.parse('copper')).toBe('copper');
});
