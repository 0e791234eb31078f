'use client';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { browserPorts } from './browser-ports';
import { createJobEntries, type JobEntries, type JobSnapshot, type OpenedJob } from './job-store';

/** A job and what can be done to its log, for the stages. */
export type JobStore = JobSnapshot & Pick<JobEntries, 'jobId' | 'record' | 'repeat' | 'discard' | 'catchUp'>;

/**
 * The job's entries, live: what the server has and what waits here. Made once for a job and a person; a change of stage
 * loads nothing again.
 */
export function useJob(given: OpenedJob): JobStore {
  const [entries] = useState(() => createJobEntries(given, browserPorts()));
  const subscribe = useCallback((listener: () => void) => entries.subscribe(listener), [entries]);
  const snapshot = useSyncExternalStore(subscribe, entries.snapshot, entries.snapshot);
  useEffect(() => entries.start(), [entries]);
  const { record, repeat, discard, catchUp } = entries;
  return { ...snapshot, jobId: given.jobId, record, repeat, discard, catchUp };
}
