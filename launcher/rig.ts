import { portsAlongside } from './alongside';
import { LauncherError } from './terminal';

interface RigState {
  type: { vendor: string; product: string; revision: string };
  plant: Record<string, unknown>;
  shows: Record<string, unknown>;
  history: { code: string; runHours: number }[];
  shaft_Hz: number;
}

const ask = async (body?: string): Promise<RigState> => {
  const answer = await fetch(`http://127.0.0.1:${portsAlongside.drive[1]}`, {
    ...(body === undefined ? {} : { method: 'POST', body }),
  }).catch(() => {
    throw new LauncherError('the simulated drive is not running: start it with ./grim start.');
  });
  const text = (await answer.json()) as RigState & { error?: string };
  if (text.error !== undefined) throw new LauncherError(`the rig does not understand: ${text.error}`);
  return text;
};

/** `contact DI1 closed` and the like, for what is set most; anything else as JSON. */
const short: Readonly<Record<string, (args: string[], now: RigState) => unknown>> = {
  drive: ([type, model]) => ({ drive: { type, model }, wait_s: 3 }),
  contact: ([id = '', state], now) => ({
    plant: { contacts: { ...(now.plant['contacts'] as object), [id]: state === 'closed' } },
  }),
  mains: ([state]) => ({ plant: { mains: { on: state === 'on' } } }),
  lose: ([phase]) => ({ plant: { mains: { lost: phase === 'none' ? null : phase } } }),
  hide: ([fault = '']) => ({ plant: { hidden: { [fault]: true } } }),
  find: ([fault = '']) => ({ plant: { hidden: { [fault]: false } } }),
  set: ([concept = '', to = '']) => ({ set: { [concept]: Number.isFinite(Number(to)) ? Number(to) : to } }),
  wait: ([seconds]) => ({ wait_s: Number(seconds) }),
};

/** `./grim rig [order]`: what the simulated drive and its plant are, and what is done to them. */
export async function rigCommand(args: string[]): Promise<number> {
  const [word, ...rest] = args;
  const now = await ask();
  const order =
    word === undefined
      ? null
      : word.startsWith('{')
        ? (JSON.parse(args.join(' ')) as unknown)
        : short[word]?.(rest, now);
  if (order === undefined)
    throw new LauncherError(
      `"${word}" is no order: ${Object.keys(short).join(', ')}, or JSON (see stand-ins/drive/rig.ts).`,
    );
  const then = order === null ? now : await ask(JSON.stringify(order));
  const { vendor, product, revision } = then.type;
  process.stdout.write(
    `${vendor} ${product} ${revision}\n${JSON.stringify(then.shows)}\nshaft ${then.shaft_Hz.toFixed(1)} Hz\n` +
      `history ${then.history.map((s) => s.code).join(', ') || 'empty'}\nplant ${JSON.stringify(then.plant)}\n`,
  );
  return 0;
}
