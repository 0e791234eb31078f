/** @jest-environment jsdom */
/** The stream of news in a browser: what is heard of it, and what of it is no news. */
import { newsOfTabs } from './news';

class Source {
  static opened: Source[] = [];
  static readonly CLOSED = 2;
  readyState = 1;
  onopen = () => undefined as void;
  onerror = () => undefined as void;
  onmessage = (_event: { data: unknown }) => undefined as void;
  close = () => {
    this.readyState = 2;
  };
  constructor(readonly address: string) {
    Source.opened.push(this);
  }
}

function listen() {
  const heard: string[] = [];
  Source.opened = [];
  const end = newsOfTabs({
    news: (jobId, seq) => heard.push(`${jobId} ${seq}`),
    up: () => heard.push('up'),
    down: () => heard.push('down'),
    woke: () => heard.push('woke'),
  });
  return { heard, end };
}

beforeAll(() => {
  Object.assign(globalThis, { EventSource: Source });
  // Without locks and channels each tab is alone.
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
});

it('hears of entries, and that the stream is up or down; what is cut or foreign is no news', () => {
  const { heard, end } = listen();
  const [source] = Source.opened;
  source?.onopen();
  for (const data of ['job 5', 'job', 'job five', '', '{"jobId":1}', null, 'job 6'])
    source?.onmessage({ data });
  source?.onerror();
  source?.onopen();
  expect(heard).toEqual(['up', 'job 5', 'job 6', 'down', 'up']);
  end();
  expect(source?.readyState).toBe(Source.CLOSED);
});

it('opens a new stream where the server answered with something else', () => {
  const { end } = listen();
  const [source] = Source.opened;
  const timers: (() => void)[] = [];
  const real = globalThis.setTimeout;
  Object.assign(globalThis, { setTimeout: (work: () => void) => timers.push(work) });
  source?.close();
  source?.onerror();
  Object.assign(globalThis, { setTimeout: real });
  timers.forEach((work) => work());
  expect(Source.opened).toHaveLength(2);
  end();
});

it('does not wait for the stream when the device wakes or has its network again', () => {
  const { heard, end } = listen();
  window.dispatchEvent(new Event('online'));
  document.dispatchEvent(new Event('visibilitychange'));
  expect(heard).toEqual(['woke', 'woke']);
  end();
  window.dispatchEvent(new Event('online'));
  expect(heard).toHaveLength(2);
});
