/** @jest-environment jsdom */
import { ChakraProvider } from '@chakra-ui/react';
import {
  AppRouterContext,
  type AppRouterInstance,
} from 'next/dist/shared/lib/app-router-context.shared-runtime';
import { PathnameContext } from 'next/dist/shared/lib/hooks-client-context.shared-runtime';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { system } from '../../kit/theme';
import { countdown, span } from '../../kit/time';
import type { BoardLine } from '@/api/board';
import { Board } from './board';
import { boardAddress } from './board-filter';

const went: string[] = [];
const router = { replace: (to: string) => went.push(to) } as unknown as AppRouterInstance;

const person = { id: 'p', name: 'Ines Tarrow', role: 'technician' as const };
const line = (differs: Partial<BoardLine>): BoardLine => ({
  jobId: 'j',
  site: 'Pellow Quay',
  machine: 'Slipway winch',
  complaint: 'dead',
  drive: 'Whimbrel W4-15',
  serial: '40-1187',
  stage: 'make-safe',
  next: 'list the sources',
  stoppedAt: new Date(Date.now() - 60 * 60_000).toISOString(),
  downtimeAllowed_min: 240,
  downstream: 'two boats wait',
  stayDead: true,
  openQuestions: 2,
  conclusion: null,
  lastAt: null,
  ...differs,
});
const usual = { search: '', state: 'open', stage: null, sort: 'clock', page: 1 } as const;
const show = (jobs: BoardLine[], query: Parameters<typeof boardAddress>[0] = usual, pages = 1) =>
  render(
    <ChakraProvider value={system}>
      <AppRouterContext.Provider value={router}>
        <PathnameContext.Provider value="/">
          <Board
            found={{ jobs, total: jobs.length, page: query.page, pages }}
            query={query}
            people={[person]}
            person={person}
          />
        </PathnameContext.Provider>
      </AppRouterContext.Provider>
    </ChakraProvider>,
  );

it('says what a job needs: stage, next, who waits, the clock, open questions', async () => {
  show([line({})]);
  expect(screen.getByRole('heading', { name: 'Slipway winch' })).toBeTruthy();
  expect(within(screen.getByRole('link', { name: /Slipway winch/ })).getByText('Make safe')).toBeTruthy();
  expect(screen.getByText('next: list the sources')).toBeTruthy();
  expect(screen.getByText('Downstream: two boats wait')).toBeTruthy();
  expect(screen.getByText('do not restore mains')).toBeTruthy();
  expect(screen.getByText('2 open questions')).toBeTruthy();
  expect(await screen.findByText('3 h 00 left')).toBeTruthy();
});

it('says by how much a stop is over', async () => {
  show([line({ downtimeAllowed_min: 30 })]);
  expect(await screen.findByText('over by 30 min')).toBeTruthy();
});

it('shows the conclusion of a signed job instead of its clock', () => {
  show([line({ conclusion: { verdict: 'not-shorted', headline: 'Not shorted.' }, stayDead: true })]);
  expect(screen.getByText('Not shorted.')).toBeTruthy();
  expect(screen.getByText('sheet signed')).toBeTruthy();
  expect(screen.queryByText('do not restore mains')).toBeNull();
});

it('has words for a machine that runs, one without a limit, and an empty board', () => {
  show([line({ stoppedAt: null })]);
  expect(screen.getByText('running')).toBeTruthy();
  show([line({ downtimeAllowed_min: null })]);
  show([]);
  expect(screen.getByText(/No open jobs/)).toBeTruthy();
});

it.each([
  [0, '0 min'],
  [59, '59 min'],
  [60, '1 h 00'],
  [112, '1 h 52'],
  [48 * 60, '2 d 0 h'],
])('says %d minutes as %s', (minutes, words) => {
  expect(span(minutes)).toBe(words);
});

it('counts down in minutes and seconds, never below zero', () => {
  expect(countdown(247)).toBe('4:07');
  expect(countdown(-3)).toBe('0:00');
});

it.each([
  [2, 'released with 2 open issues until'],
  [-2, 'overdue: released with 2 open issues until'],
])('a machine that may run for %d more days says so', (days, words) => {
  const until = new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  show([line({ mayRun: { until, open: 2 } })]);
  expect(screen.getByText(new RegExp(words))).toBeTruthy();
});

it('says which page it is, and where the others are', () => {
  show([line({})], { ...usual, search: 'winch', page: 2 }, 3);
  expect(screen.getByText('1 job, page 2 of 3')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Previous page' }).getAttribute('href')).toBe('/?search=winch');
  expect(screen.getByRole('link', { name: 'Next page' }).getAttribute('href')).toBe('/?search=winch&page=3');
});

it('says what to do where nothing matches', () => {
  show([], { ...usual, search: 'no equivalent' });
  expect(screen.getByText(/No job matches/)).toBeTruthy();
});

it('searches a moment after the last letter, and filters at once', async () => {
  show([line({})], { ...usual, page: 3 }, 9);
  fireEvent.change(screen.getByLabelText('Search'), { target: { value: 'brine' } });
  await waitFor(() => expect(went.at(-1)).toBe('/?search=brine'));
  fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'all' } });
  expect(went.at(-1)).toBe('/?search=brine&state=all');
  fireEvent.change(screen.getByLabelText('Stage'), { target: { value: 'bench' } });
  expect(went.at(-1)).toBe('/?search=brine&stage=bench');
});
