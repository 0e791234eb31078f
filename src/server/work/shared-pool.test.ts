import { sharedPool, type WorkerPool } from '.';
import { HttpError } from '../http/guard';

const limits = {
  what: 'shared test',
  bundle: () => '',
  heap_MB: 64,
  timeOut_ms: 1000,
  longest: 1,
  longestOfOne: 1,
};
const pools = (globalThis as { grimPools?: Map<string, unknown> }).grimPools;

it('a refusal of a pool that another evaluation made is one here', async () => {
  const foreign: Partial<WorkerPool<string, string>> = {
    ask: () => Promise.reject(Object.assign(new Error('too many'), { status: 503, problems: [] })),
  };
  pools?.set(limits.what, foreign);
  const asked = sharedPool<string, string>(limits).ask('x', 'Ines');
  await expect(asked).rejects.toBeInstanceOf(HttpError);
  await expect(asked).rejects.toMatchObject({ status: 503, message: 'too many' });
  pools?.delete(limits.what);
});

it('a fault stays a fault', async () => {
  pools?.set(limits.what, { ask: () => Promise.reject(new TypeError('no')) });
  const asked = sharedPool<string, string>(limits).ask('x', 'Ines');
  await expect(asked).rejects.toBeInstanceOf(TypeError);
  pools?.delete(limits.what);
});
