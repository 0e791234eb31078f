import type { NewsListener } from './ports';

/** What the stream says, passed on between tabs. */
type Said = { up: true } | { down: true } | { jobId: string; seq: number };

const address = '/api/v1/news';
const again_ms = 3000;

/** What came down the stream, or null where it cannot be read. */
function readNews(text: unknown): Said | null {
  if (typeof text !== 'string') return null;
  const [jobId, seq] = text.split(' ');
  return jobId === undefined || seq === undefined || !/^\d+$/.test(seq) ? null : { jobId, seq: Number(seq) };
}

/** Opens the one stream of this browser and says what it says. @returns ends it */
function openStream(say: (said: Said) => void): () => void {
  let timer: ReturnType<typeof setTimeout> | null = null;
  let source: EventSource | null = null;
  const connect = () => {
    source = new EventSource(address);
    source.onopen = () => say({ up: true });
    source.onmessage = ({ data }: MessageEvent<unknown>) => {
      const said = readNews(data);
      if (said !== null) say(said);
    };
    source.onerror = () => {
      say({ down: true });
      // The browser tries again by itself, except after an answer that was no stream.
      if (source?.readyState === EventSource.CLOSED) timer = setTimeout(connect, again_ms);
    };
  };
  connect();
  return () => {
    if (timer !== null) clearTimeout(timer);
    source?.close();
  };
}

const tell = (listener: NewsListener, said: Said) => {
  if ('up' in said) listener.up();
  else if ('down' in said) listener.down();
  else listener.news(said.jobId, said.seq);
};

/** A device that wakes, or has its network again, does not wait for the stream to notice. @returns ends it */
function onWaking(woke: () => void): () => void {
  if (typeof document === 'undefined') return () => undefined;
  const seen = () => {
    if (document.visibilityState === 'visible') woke();
  };
  window.addEventListener('online', woke);
  document.addEventListener('visibilitychange', seen);
  return () => {
    window.removeEventListener('online', woke);
    document.removeEventListener('visibilitychange', seen);
  };
}

/** Listens to the server's news, and to the device. @returns ends it */
export function newsOfTabs(listener: NewsListener): () => void {
  const ends = [onWaking(listener.woke), streamOfTabs(listener)];
  return () => ends.forEach((end) => end());
}

/**
 * Listens to the stream. One tab of a browser has the stream, whichever holds the lock, and passes it on: a browser
 * opens few connections to one server, and a stream in each tab would use them up.
 * @returns ends it
 */
function streamOfTabs(listener: NewsListener): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  if (!('locks' in navigator) || !('BroadcastChannel' in globalThis))
    return openStream((said) => tell(listener, said));
  const channel = new BroadcastChannel('grim news');
  const ended = new AbortController();
  let leave: (() => void) | null = null;
  let isUp = false;
  channel.onmessage = ({ data }: MessageEvent<Said | { who: true }>) => {
    // A tab that has come asks whether there is a stream.
    if ('who' in data) {
      if (leave !== null && isUp) channel.postMessage({ up: true } satisfies Said);
    } else tell(listener, data);
  };
  channel.postMessage({ who: true });
  navigator.locks
    .request('grim news', { signal: ended.signal }, () => {
      const close = openStream((said) => {
        if ('up' in said) isUp = true;
        if ('down' in said) isUp = false;
        channel.postMessage(said);
        tell(listener, said);
      });
      return new Promise<void>((done) => {
        leave = () => {
          close();
          done();
        };
      });
    })
    .catch(() => undefined);
  return () => {
    ended.abort();
    leave?.();
    channel.close();
  };
}
