/** @jest-environment jsdom */
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useDraftText } from './draft-text';
import { DraftsContext, type Draft, type Drafts } from './drafts';

function Field() {
  const [text, set] = useDraftText('a reason');
  return <input aria-label="Reason" value={text} onChange={(e) => set(e.target.value)} />;
}

it('text by itself is there again when its field is, until it is emptied', async () => {
  const kept = new Map<string, Draft>();
  const drafts: Drafts = {
    load: (form) => Promise.resolve(kept.get(form) ?? null),
    save: (form, draft) => void kept.set(form, draft),
    clear: (form) => void kept.delete(form),
    clash: () => undefined,
  };
  const show = () =>
    render(
      <DraftsContext.Provider value={drafts}>
        <Field />
      </DraftsContext.Provider>,
    );
  const field = () => screen.getByLabelText<HTMLInputElement>('Reason');
  const page = show();
  await userEvent.type(field(), 'code lost');
  page.unmount();
  const again = show();
  await waitFor(() => expect(field().value).toBe('code lost'));
  await userEvent.clear(field());
  await waitFor(() => expect(kept.size).toBe(0));
  again.unmount();
  show();
  expect(field().value).toBe('');
});
