import { termsOfDocuments } from '../../core/logbook';
import type { LoadedJob } from '../logbook/folded';
import type { ThreadOrder } from '../thread/order';
import { sharedPool, threadBundle, type WorkLoad } from '../work';
import type { DocumentContent, DocumentName, PrintOrder, PrintForm } from './printable';

const printer = sharedPool<ThreadOrder, Uint8Array>({
  what: 'document',
  bundle: threadBundle,
  heap_MB: 768,
  timeOut_ms: 60_000,
  longest: 64,
  longestOfOne: 8,
});

/**
 * Prints a document as PDF, in a thread of its own.
 * @param who whose line it waits in
 * @throws HttpError 503 where too many wait, or it takes too long
 */
export const printed = <Name extends DocumentName>(
  name: Name,
  content: DocumentContent<Name>,
  form: PrintForm,
  who: string,
  signal?: AbortSignal,
): Promise<Uint8Array> =>
  printer.ask({ task: 'print', print: { name, content, form } as PrintOrder }, who, signal);

/** How a job's documents are printed where nobody asks for another size. */
export function usualForm({ state, headHash }: Pick<LoadedJob, 'state' | 'headHash'>): PrintForm {
  const terms = termsOfDocuments(state);
  return { size: terms === 'us' ? 'letter' : 'a4', terms, headHash };
}

/** How much printing is under way. */
export const printLoad = (): WorkLoad => printer.load();

/** Has the thread ready before the first document is asked for: it takes seconds to load. */
export const warmPrinter = (): void => printer.warm();
