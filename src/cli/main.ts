import { createInterface } from 'node:readline';
import { text } from 'node:stream/consumers';
import { isMainThread, parentPort } from 'node:worker_threads';
import {
  findVerb,
  calcDocument,
  runText,
  schemasOf,
  unknownVerb,
  verbs,
  type VerbAnswer,
} from '@/core/verbs';

const print = (value: unknown): void => {
  process.stdout.write(`${JSON.stringify(value)}\n`);
};
const pretty = (value: unknown): void => {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
};

/** One human line per problem, for the person at the terminal. */
function explain(answer: VerbAnswer): void {
  if (answer.status === 200) return;
  for (const { path, given, allowed } of answer.body.error.problems)
    process.stderr.write(
      `calc: ${path === '' ? 'input' : path}: ${JSON.stringify(given)} given; ${allowed}\n`,
    );
}

const exitCode = (answer: VerbAnswer): number => (answer.status === 200 ? 0 : answer.status >= 500 ? 1 : 2);

async function runLines(name: string): Promise<number> {
  const verb = findVerb(name);
  let worst = 0;
  for await (const line of createInterface({ input: process.stdin })) {
    if (line.trim() === '' || verb === undefined) continue;
    const answer = runText(verb, line);
    // A line that is not even JSON is a bad line like any other here.
    if (answer.status !== 200) answer.body.error.code = answer.status < 500 ? 'bad-input' : 'our-fault';
    explain(answer);
    print(answer.status === 200 ? answer.body : { id: answer.body.id ?? null, error: answer.body.error });
    worst = Math.max(worst, exitCode(answer));
  }
  return worst;
}

/** `calc VERB [--schema|--lines]`, `calc --list`, `calc --openapi` */
async function main(args: readonly string[]): Promise<number> {
  const [name = '--list'] = args.filter((a) => a !== '--lines' && a !== '--schema');
  if (name === '--list') {
    for (const verb of verbs) process.stdout.write(`${verb.name}\t${verb.summary}\n`);
    return 0;
  }
  if (name === '--openapi') {
    pretty(calcDocument('1'));
    return 0;
  }
  const verb = findVerb(name);
  if (verb === undefined) {
    const answer = unknownVerb(name);
    explain(answer);
    print(answer.body);
    return 2;
  }
  if (args.includes('--schema')) {
    pretty(schemasOf(verb));
    return 0;
  }
  if (args.includes('--lines')) return runLines(name);
  const answer = runText(verb, await text(process.stdin));
  explain(answer);
  print(answer.body);
  return exitCode(answer);
}

// Whoever reads may have had enough, as `head` has: that is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

// The same bundle serves the API: there it runs in a worker thread and answers messages.
if (isMainThread) process.exitCode = await main(process.argv.slice(2));
else
  parentPort?.on(
    'message',
    ({ job, order: { name, text } }: { job: number; order: { name: string; text: string } }) => {
      const verb = findVerb(name);
      parentPort?.postMessage({ job, answer: verb === undefined ? unknownVerb(name) : runText(verb, text) });
    },
  );
