import { keepRunning, type Running } from './supervise';

/** Something that dies on demand. */
function mortal() {
  let die: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => {
    die = resolve;
  });
  let stopped = false;
  const stop = () => {
    stopped = true;
    die();
  };
  return { running: { ended, stop } satisfies Running, die, wasStopped: () => stopped };
}

/** Until something holds; every wait of the supervisor is short here. */
const until = async (holds: () => boolean): Promise<void> => {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve, 1));
};

const soon = { first_ms: 1, longest_ms: 4, forgivenAfter_ms: 60_000 };

it('starts again what dies, as often as it dies', async () => {
  const lives = [mortal(), mortal(), mortal()];
  let next = 1;
  const supervised = keepRunning('it', lives[0]!.running, async () => lives[next++]!.running, {
    waits: soon,
  });
  lives[0]!.die();
  await until(() => next === 2 && supervised.state().state === 'running');
  lives[1]!.die();
  await until(() => next === 3 && supervised.state().state === 'running');
  expect(supervised.state()).toMatchObject({ name: 'it', deaths: 2, why: null });
  await supervised.stop();
  expect(lives[2]!.wasStopped()).toBe(true);
  expect(next).toBe(3);
});

it('goes on trying when it does not start, and says why', async () => {
  const [first, second] = [mortal(), mortal()];
  let tries = 0;
  const states: (string | null)[] = [];
  const supervised = keepRunning(
    'it',
    first.running,
    async () => {
      tries += 1;
      if (tries < 12) throw new Error('the disk is full.');
      return second.running;
    },
    { waits: soon, changed: () => states.push(supervised.state().why) },
  );
  first.die();
  await until(() => supervised.state().state === 'running' && tries === 12);
  expect(states).toEqual([null, 'the disk is full.', null]);
  await supervised.stop();
});

it('ends while it waits, and starts nothing then', async () => {
  const first = mortal();
  let starts = 0;
  const start = async () => {
    starts += 1;
    return mortal().running;
  };
  const waits = { ...soon, first_ms: 3_600_000 };
  const supervised = keepRunning('it', first.running, start, { waits });
  first.die();
  await until(() => supervised.state().state === 'restarting');
  await supervised.stop();
  expect(starts).toBe(0);
});
