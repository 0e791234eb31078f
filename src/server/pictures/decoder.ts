import { fork, type ChildProcess } from 'node:child_process';
import { availableParallelism, setPriority } from 'node:os';
import { join } from 'node:path';
import { niceness } from '../work';

/** What goes to the process that decodes. */
export interface DecoderOrder {
  bytes: Uint8Array;
}
/** What comes back. */
export type DecoderAnswer = { ready: true } | { jpeg: Uint8Array } | { refused: string };

/** Longer than any photograph takes, ms; a process has as long to start. */
const patience_ms = 20_000;
/** So many are decoded at the same time, each in a process of its own: two, and one core of the machine stays free. */
const most = Math.max(1, Math.min(2, availableParallelism() - 1));
/** More than a person takes at a time; whoever comes then tries again. */
const longestQueue = 40;
/** Of what JavaScript itself holds, MB; libvips holds the pixels beside it. */
const heap_MB = 256;

interface Waiting {
  bytes: Uint8Array;
  done: (answer: DecoderAnswer) => void;
}

interface Decoders {
  running: number;
  idle: ChildProcess[];
  queue: Waiting[];
}

const slot = globalThis as typeof globalThis & { grimPictures?: Decoders };
const decoders = (): Decoders => (slot.grimPictures ??= { running: 0, idle: [], queue: [] });

const begin = (): ChildProcess =>
  fork(/* turbopackIgnore: true */ join(process.cwd(), 'src/server/pictures/process/main.ts'), {
    execArgv: ['--import', 'tsx', `--max-old-space-size=${heap_MB}`],
    serialization: 'advanced',
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });

const died: DecoderAnswer = { refused: 'the decoder died of it' };

/** The next message of a process; that it died, where it does or takes too long. */
function heard(child: ChildProcess): Promise<DecoderAnswer> {
  return new Promise((resolve) => {
    const over = (answer: DecoderAnswer) => {
      clearTimeout(timer);
      child.off('exit', gone);
      child.off('message', said);
      resolve(answer);
    };
    const gone = () => over(died);
    const said = (message: DecoderAnswer) => over(message);
    const timer = setTimeout(() => {
      child.kill('SIGKILL');
      over(died);
    }, patience_ms);
    child.once('exit', gone);
    child.once('message', said);
  });
}

async function fresh(): Promise<ChildProcess> {
  const child = begin();
  child.on('error', () => undefined);
  if (!('ready' in (await heard(child)))) throw new Error('the process that decodes pictures does not start');
  if (child.pid !== undefined) setPriority(child.pid, niceness.pictures);
  // It keeps nobody alive who wants to end.
  child.unref();
  child.channel?.unref();
  return child;
}

async function decode({ bytes, done }: Waiting, pool: Decoders): Promise<void> {
  let child = pool.idle.pop();
  while (child !== undefined && !child.connected) child = pool.idle.pop();
  child ??= await fresh();
  const answer = heard(child);
  child.send({ bytes } satisfies DecoderOrder);
  const said = await answer;
  if (child.connected) pool.idle.push(child);
  done(said);
}

function advance(pool: Decoders): void {
  if (pool.running >= most) return;
  const next = pool.queue.shift();
  if (next === undefined) return;
  pool.running += 1;
  void decode(next, pool)
    .catch((error: unknown) => next.done({ refused: error instanceof Error ? error.message : String(error) }))
    .finally(() => {
      pool.running -= 1;
      advance(pool);
    });
}

/** Decodes a picture in a process of its own. @returns null: too many wait */
export function decoded(bytes: Uint8Array): Promise<DecoderAnswer> | null {
  const pool = decoders();
  if (pool.queue.length >= longestQueue) return null;
  return new Promise((done) => {
    pool.queue.push({ bytes, done });
    advance(pool);
  });
}

/** How much is being decoded. */
export const pictureLoad = (): { running: number; waiting: number } => ({
  running: decoders().running,
  waiting: decoders().queue.length,
});

/** Ends the processes that wait; for tests. */
export function endDecoders(): void {
  decoders()
    .idle.splice(0)
    .forEach((child) => child.disconnect());
}
