import type { JobState } from './job-state';

/** How long a log is and the hash of its newest entry, for papers: with it the log they were made of is known for ever. */
function logHead({ log }: Pick<JobState, 'log'>): { entries: number; hash: string } | null {
  const last = log.findLast(({ entry }) => entry.seq !== undefined)?.entry;
  return last?.seq === undefined || last.hash === undefined ? null : { entries: last.seq, hash: last.hash };
}

/** The same in words; the hash in groups, as people compare it. */
export const logHeadWords = (state: Pick<JobState, 'log'>): string | null => {
  const head = logHead(state);
  return head === null
    ? null
    : `${head.entries} log entries, newest hash ${head.hash.replace(/(.{8})(?=.)/g, '$1 ')}`;
};
