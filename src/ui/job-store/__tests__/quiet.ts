import type { JobStore } from '../use-job';

/** What a job has where everything was sent: for component tests, whose entries go nowhere. */
export const quiet = {
  unsent: new Set<string>(),
  unstored: new Set<string>(),
  refused: [],
  sending: { state: 'ok', why: null, nextTry: null },
  clockOffset_ms: 0,
  startedOver: false,
  jobId: '0190a200-0000-7000-8000-0000000000ff',
  catchUp: () => Promise.resolve(),
  repeat: () => undefined,
  discard: () => undefined,
} as const satisfies Omit<JobStore, 'state' | 'record'>;
