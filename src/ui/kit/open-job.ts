/** The job that this tab had open last, so that every page has a way back to it. */
export interface OpenJob {
  address: string;
  name: string;
}

const key = 'grim open job';
const changed = 'grim-open-job';

// The same text gives the same object: whoever watches is not told of a change that is none.
let read: { text: string; job: OpenJob } | null = null;

/** What is kept of it; null: none was open in this tab. */
export function openJob(): OpenJob | null {
  const text = sessionStorage.getItem(key);
  if (text === null) return null;
  if (read?.text === text) return read.job;
  const [address = '/', ...name] = text.split(' ');
  read = { text, job: { address, name: name.join(' ') } };
  return read.job;
}

/** Remembers the job that is open, with the stage of its address. */
export function rememberOpenJob({ address, name }: OpenJob): void {
  sessionStorage.setItem(key, `${address} ${name}`);
  window.dispatchEvent(new Event(changed));
}

/** Calls when another job was opened. @returns ends it */
export function watchOpenJob(told: () => void): () => void {
  window.addEventListener(changed, told);
  return () => window.removeEventListener(changed, told);
}
