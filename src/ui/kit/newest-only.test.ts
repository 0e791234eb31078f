import { newestOnly } from './newest-only';

const settled = () => new Promise<void>((done) => setImmediate(done));

/** A queue whose wishes are seen to by hand. */
function byHand() {
  const begun: string[] = [];
  const ends: (() => void)[] = [];
  const queue = newestOnly<string>((wish) => {
    begun.push(wish);
    return new Promise((end) => ends.push(end));
  });
  const end = async () => {
    ends.shift()?.();
    await settled();
  };
  return { queue, begun, end };
}

test('while one is seen to, later ones replace each other', async () => {
  const { queue, begun, end } = byHand();
  for (const wish of ['a', 'b', 'c']) queue.ask(wish);
  expect(begun).toEqual(['a']);
  expect(queue.waiting()).toBe(true);
  await end();
  expect(begun).toEqual(['a', 'c']);
  expect(queue.waiting()).toBe(false);
  await end();
  queue.ask('d');
  expect(begun).toEqual(['a', 'c', 'd']);
});

test('what waits can be dropped; what is begun goes on', async () => {
  const { queue, begun, end } = byHand();
  queue.ask('a');
  queue.ask('b');
  queue.drop();
  await end();
  expect(begun).toEqual(['a']);
  queue.ask('c');
  expect(begun).toEqual(['a', 'c']);
});
