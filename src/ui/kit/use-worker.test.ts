/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react';
import { useWorker, WorkerStopped } from './use-worker';

class SilentWorker {
  terminated = 0;
  onError: () => void = () => undefined;
  addEventListener(kind: string, listener: () => void) {
    if (kind === 'error') this.onError = listener;
  }
  removeEventListener() {}
  postMessage() {}
  terminate() {
    this.terminated += 1;
  }
}
interface Api {
  add: (a: number, b: number) => number;
}

const begin = () => {
  const made: SilentWorker[] = [];
  const start = () => {
    const worker = new SilentWorker();
    made.push(worker);
    return worker as unknown as Worker;
  };
  return { made, ...renderHook(() => useWorker<Api>(start)) };
};
test('stopped, it says so to who waits, and the next question makes another', async () => {
  const { made, result } = begin();
  const waiting = result.current.ask(async (worker) => worker.add(1, 2));
  result.current.stop();
  await expect(waiting).rejects.toThrow(WorkerStopped);
  expect(made[0]?.terminated).toBe(1);
  result.current.ask(async (worker) => worker.add(1, 2)).catch(() => undefined);
  expect(made).toHaveLength(2);
});

test('gone with its component, an error of its loading that comes late is nobody’s', async () => {
  const { made, result, unmount } = begin();
  const waiting = result.current.ask(async (worker) => worker.add(1, 2));
  unmount();
  await expect(waiting).rejects.toThrow(WorkerStopped);
  expect(() => made[0]!.onError()).not.toThrow();
  expect(made[0]?.terminated).toBe(1);
});

test('a worker that breaks down says what to do', async () => {
  const { made, result } = begin();
  const waiting = result.current.ask(async (worker) => worker.add(1, 2));
  made[0]?.onError();
  await expect(waiting).rejects.toThrow('Try again when the server is reachable');
});
