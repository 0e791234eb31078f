import { inOrder, type Entry } from '@/core/logbook';

/** Entries made here that the server has not confirmed yet; they survive a reload. */
const keyOf = (jobId: string): string => `grim.outbox.${jobId}`;

/** What is waiting; unreadable remains of another version are left alone and not shown. */
export function readOutbox(jobId: string): Entry[] {
  try {
    const raw = window.localStorage.getItem(keyOf(jobId));
    const list: unknown = raw === null ? [] : JSON.parse(raw);
    return Array.isArray(list)
      ? (list as Entry[]).filter((e) => typeof e.id === 'string' && e.jobId === jobId)
      : [];
  } catch {
    return [];
  }
}

/** Another tab may have written meanwhile: what it added stays. */
export function putInOutbox(jobId: string, entry: Entry): void {
  window.localStorage.setItem(keyOf(jobId), JSON.stringify(inOrder([...readOutbox(jobId), entry])));
}

export function takeFromOutbox(jobId: string, ids: ReadonlySet<string>): void {
  const left = readOutbox(jobId).filter((e) => !ids.has(e.id));
  if (left.length === 0) window.localStorage.removeItem(keyOf(jobId));
  else window.localStorage.setItem(keyOf(jobId), JSON.stringify(left));
}
