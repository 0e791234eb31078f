/** A worker thread of the server: `{ job, order }` in; `{ job, answer }`, `{ job, refused }` or `{ job, fault }` out. */
import { parentPort } from 'node:worker_threads';
import { printOrder } from '../documents/printable';
import { HttpError } from '../http/refusal';
import { archiveRead } from '../job/archive/read';
import { letOthersFirst, niceness } from '../work';
import type { ThreadOrder } from './order';

letOthersFirst(niceness.documents);

const obey = async (order: ThreadOrder): Promise<unknown> =>
  order.task === 'print' ? new Uint8Array(await printOrder(order.print)) : archiveRead(order.bytes);

function troubleOf(error: unknown) {
  if (error instanceof HttpError)
    return { refused: { status: error.status, message: error.message, problems: error.problems } };
  return { fault: error instanceof Error ? (error.stack ?? error.message) : String(error) };
}

parentPort?.on('message', ({ job, order }: { job: number; order: ThreadOrder }) => {
  obey(order).then(
    (answer) => parentPort?.postMessage({ job, answer }),
    (error: unknown) => parentPort?.postMessage({ job, ...troubleOf(error) }),
  );
});
