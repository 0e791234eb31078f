import * as z from 'zod';
import { portsAlongside } from './alongside';
import { LauncherError } from './terminal';

const refusalSchema = z.object({ error: z.string() });
const stateSchema = z.object({
  type: z.object({ vendor: z.string(), product: z.string(), revision: z.string() }),
  plant: z.looseObject({ contacts: z.record(z.string(), z.boolean()) }),
  shows: z.unknown(),
  history: z.array(z.object({ code: z.string() })),
  shaft_Hz: z.number(),
});
type RigState = z.infer<typeof stateSchema>;

const ask = async (body?: string): Promise<RigState> => {
  const answer = await fetch(`http://127.0.0.1:${portsAlongside.drive[1]}`, {
    ...(body === undefined ? {} : { method: 'POST', body }),
  }).catch(() => {
    throw new LauncherError('the simulated drive is not running: start it with ./grim start.');
  });
  const told = json(await answer.text());
  const refusal = refusalSchema.safeParse(told);
  if (refusal.success) throw new LauncherError(`the simulator refused: ${refusal.data.error}`);
  return stateSchema.parse(told);
};
const json = (text: string): unknown => JSON.parse(text);

/** `contact DI1 closed` and the like, for what is set most; anything else as JSON. */
const short: Readonly<Record<string, (args: string[], now: RigState) => unknown>> = {
  drive: ([type, model]) => ({ drive: { type, model }, wait_s: 3 }),
  contact: ([id = '', state], now) => ({
    plant: { contacts: { ...now.plant.contacts, [id]: state === 'closed' } },
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
    word === undefined ? null : word.startsWith('{') ? json(args.join(' ')) : short[word]?.(rest, now);
  if (order === undefined)
    throw new LauncherError(
      `"${word}" is not a command: ${Object.keys(short).join(', ')}, or JSON (see stand-ins/drive/rig.ts).`,
    );
  const then = order === null ? now : await ask(JSON.stringify(order));
  const { vendor, product, revision } = then.type;
  process.stdout.write(
    `${vendor} ${product} ${revision}\n${JSON.stringify(then.shows)}\nshaft ${then.shaft_Hz.toFixed(1)} Hz\n` +
      `history ${then.history.map((s) => s.code).join(', ') || 'empty'}\nplant ${JSON.stringify(then.plant)}\n`,
  );
  return 0;
}
