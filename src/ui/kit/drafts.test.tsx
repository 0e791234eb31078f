/** @jest-environment jsdom */
/** What is typed into a form outlives the form; what is recorded meanwhile is not written over unseen. */
import '@testing-library/jest-dom';
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import * as z from 'zod';
import { DraftsContext, type Clash, type Draft, type Drafts } from './drafts';
import { Field } from './field';
import { Providers } from './providers';
import { useTypedForm } from './typed-form';

const schema = z.object({ active: z.string(), selectors: z.string() });
type Typed = z.input<typeof schema>;

function Form({ kept, save }: { kept: Typed; save: (read: Typed) => void }) {
  const { text, submit } = useTypedForm('as found', schema, kept);
  return (
    <form onSubmit={submit(save)} noValidate>
      <Field label="Fault" {...text('active')} />
      <Field label="Selectors" {...text('selectors')} />
      <button>Save</button>
    </form>
  );
}

/** A device's storage, and what its forms say. */
function device() {
  const stored = new Map<string, Draft>();
  const clashes = new Map<string, Clash>();
  const drafts: Drafts = {
    load: (form) => Promise.resolve(stored.get(form) ?? null),
    save: (form, draft) => stored.set(form, draft),
    clear: (form) => stored.delete(form),
    clash: (form, clash) => (clash === null ? clashes.delete(form) : clashes.set(form, clash)),
  };
  return { stored, clashes, drafts };
}
function open({ drafts }: ReturnType<typeof device>, kept: Typed) {
  const saved: Typed[] = [];
  const ui = (now: Typed) => (
    <Providers terms="international">
      <DraftsContext.Provider value={drafts}>
        <Form kept={now} save={(read) => saved.push(read)} />
      </DraftsContext.Provider>
    </Providers>
  );
  const { rerender, unmount } = render(ui(kept));
  return { saved, record: (now: Typed) => rerender(ui(now)), leave: unmount };
}
const alarm = () => screen.getByRole('textbox', { name: 'Fault' });
const selectors = () => screen.getByRole('textbox', { name: 'Selectors' });
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save' }));
const blank: Typed = { active: '', selectors: '' };

test('what was typed is there again after a reload, with what was recorded in the other fields', async () => {
  const here = device();
  const first = open(here, blank);
  await userEvent.type(alarm(), 'F07');
  first.leave();
  const second = open(here, { active: '', selectors: 'AI1 at V' });
  await waitFor(() => expect(alarm()).toHaveValue('F07'));
  expect(selectors()).toHaveValue('AI1 at V');
  await save();
  await waitFor(() => expect(second.saved).toEqual([{ active: 'F07', selectors: 'AI1 at V' }]));
  await waitFor(() => expect(here.stored.size).toBe(0));
});

test('a clash shows both, and nothing is saved before somebody chooses', async () => {
  const here = device();
  const form = open(here, blank);
  await userEvent.type(alarm(), 'F07');
  form.record({ active: 'F12', selectors: '' });
  await waitFor(() =>
    expect(here.clashes.get('as found')?.fields).toEqual([
      { name: 'active', label: 'Fault', recorded: 'F12', typed: 'F07' },
    ]),
  );
  expect(alarm()).toHaveValue('F07');
  await save();
  expect(form.saved).toEqual([]);
  act(() => here.clashes.get('as found')?.keepTyped());
  await waitFor(() => expect(here.clashes.size).toBe(0));
  await save();
  await waitFor(() => expect(form.saved).toEqual([{ active: 'F07', selectors: '' }]));
});

test('a draft that was begun from an older version says so when it comes back; what is recorded can be taken', async () => {
  const here = device();
  const first = open(here, blank);
  await userEvent.type(alarm(), 'F07');
  first.leave();
  open(here, { active: 'F12', selectors: '' });
  await waitFor(() => expect(here.clashes.size).toBe(1));
  act(() => here.clashes.get('as found')?.takeRecorded());
  await waitFor(() => expect(alarm()).toHaveValue('F12'));
  await waitFor(() => expect([here.clashes.size, here.stored.size]).toEqual([0, 0]));
});

test('typing what was recorded meanwhile is no clash', async () => {
  const here = device();
  const form = open(here, blank);
  await userEvent.type(alarm(), 'F07');
  form.record({ active: 'F07', selectors: '' });
  await save();
  await waitFor(() => expect(form.saved).toHaveLength(1));
  expect(here.clashes.size).toBe(0);
});
