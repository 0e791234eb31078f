/** @jest-environment jsdom */
import { ChakraProvider } from '@chakra-ui/react';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { entryWords, fold, type Entry } from '@/core/logbook';
import { greatestLimits } from '@/core/bench/make-safe';
import { system } from '../kit/theme';
import { Margin } from './margin';
import type { JobStore } from '../job-store/use-job';
import { quiet } from '../job-store/__tests__/quiet';

const by = { id: 'p', name: 'Ines Tarrow', role: 'technician' };
const entry = (seq: number | undefined, kind: string, payload: unknown, more: object = {}): Entry =>
  ({
    v: 1,
    id: `id-${seq ?? 'unsent'}`,
    jobId: 'j',
    at: '2026-11-20T13:00:00Z',
    kind,
    payload,
    by,
    ...(seq === undefined ? {} : { seq, receivedAt: '2026-11-20T13:00:00Z' }),
    ...more,
  }) as unknown as Entry;

function show(entries: Entry[]) {
  const recorded: [string, unknown][] = [];
  const store: JobStore = {
    state: fold(entries, { limits: greatestLimits }),
    ...quiet,
    unsent: new Set(entries.filter((e) => e.seq === undefined).map((e) => e.id)),
    record: (kind, payload) => {
      recorded.push([kind, payload]);
      return 'new';
    },
  };
  render(
    <ChakraProvider value={system}>
      <Margin store={store} />
    </ChakraProvider>,
  );
  return recorded;
}

it('tells what is not saved yet from what is', () => {
  show([
    entry(1, 'note.added', { stage: 'take', text: 'kept', photos: [] }),
    entry(undefined, 'note.added', { stage: 'take', text: 'waiting', photos: [] }),
  ]);
  const items = screen.getAllByRole('listitem').map((li) => li.textContent ?? '');
  expect(items.find((t) => t.includes('waiting'))).toContain('(not saved yet, sending)');
  expect(items.find((t) => t.includes('kept') && !t.includes('waiting'))).not.toContain('sending');
});

it('strikes through what does not count and says why', () => {
  show([entry(1, 'static.reading', { red: 'L1', black: 'DC+', value: 0.45, typed: '' })]);
  expect(screen.getByText('Does not count: Read the drive nameplate first.')).toBeTruthy();
});

it('keeps a corrected entry in sight', () => {
  show([
    entry(1, 'note.added', { stage: 'take', text: 'wrong', photos: [] }),
    entry(2, 'note.added', { stage: 'take', text: 'right', photos: [] }, { corrects: 'id-1' }),
  ]);
  expect(screen.getByText('Note: “wrong”')).toBeTruthy();
  expect(screen.getByText('corrected')).toBeTruthy();
});

it('shows the newest nine and all on demand', async () => {
  show(
    Array.from({ length: 14 }, (_, i) =>
      entry(i + 1, 'note.added', { stage: 'take', text: `n${i + 1}`, photos: [] }),
    ),
  );
  expect(screen.queryByText('Note: “n1”')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'All 14' }));
  expect(screen.getByText('Note: “n1”')).toBeTruthy();
});

it('takes a question and its answer', async () => {
  const recorded = show([entry(1, 'question.opened', { text: 'who replaced F2?' })]);
  await userEvent.type(screen.getByLabelText('Note a question for later'), 'whose spare?');
  await userEvent.click(screen.getByRole('button', { name: 'Save question' }));
  await userEvent.click(screen.getByRole('button', { name: 'answer' }));
  await userEvent.type(screen.getByLabelText('Answer'), 'the fitter');
  await userEvent.click(screen.getByRole('button', { name: 'Save answer' }));
  expect(recorded).toEqual([
    ['question.opened', { text: 'whose spare?' }],
    ['question.closed', { question: 'id-1', answer: 'the fitter' }],
  ]);
});

it('has words for every kind of entry', () => {
  const samples: [string, unknown, RegExp][] = [
    ['safety.source-back', { kind: 'mains' }, /Source live again: Mains supply/],
    ['safety.locked', { isolatedAt: '2026-11-20T13:00:00Z', tag: 'padlock 7' }, /padlock 7/],
    ['safety.discharged', { startVolts: 540, ohm: 1000 }, /1000 Ω from 540 V/],
    ['as-found.impossible', { reason: 'unsafe to energise' }, /not captured: “unsafe/],
    ['look.finding', { item: 'fan', state: 'not-checked', photos: [] }, /Fan: not checked/],
    ['static.reading', { red: 'L1', black: 'DC+', value: 'climbing', typed: 'C' }, /still climbing/],
    [
      'sheet.signed',
      { verdict: 'faulty', headline: 'L2 upper diode is open.', detail: '', seq: 1 },
      /signed: L2 upper/,
    ],
  ];
  for (const [kind, payload, words] of samples) expect(entryWords(entry(1, kind, payload))).toMatch(words);
});
