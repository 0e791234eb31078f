import { guardedRoute } from '../http/guard';
import { hearNews } from './news';

/** Proxies and browsers give up a connection on which nothing comes for a minute. */
const alive_ms = 25_000;
const mostUnread = 500;
const encoder = new TextEncoder();

/**
 * New entries of all jobs as they are recorded, `job seq` a message (server-sent events). It says that there is something,
 * and nothing of what it is: that is asked for with `GET /api/v1/jobs/:id/entries`.
 */
export const newsRoute = guardedRoute(async (request: Request) => {
  const pipe = new TransformStream<Uint8Array, Uint8Array>();
  const writer = pipe.writable.getWriter();
  const close = () => void writer.close().catch(() => undefined);
  const say = (text: string) => {
    // Whoever does not read any more must not be kept news for: they come again, and ask for what they missed.
    if ((writer.desiredSize ?? 0) < -mostUnread) close();
    else void writer.write(encoder.encode(text)).catch(() => undefined);
  };
  // Heard before it answers: from the moment the browser counts the stream as open, nothing is missed.
  const end = await hearNews((news) => say(`data: ${news}\n\n`), close);
  const alive = setInterval(() => say(': alive\n\n'), alive_ms);
  const over = () => {
    clearInterval(alive);
    end();
    close();
  };
  request.signal.addEventListener('abort', over);
  // The reader is gone, or the database is.
  writer.closed.then(over, over);
  say('retry: 2000\n: listening\n\n');
  return new Response(pipe.readable, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-store, no-transform',
      'x-accel-buffering': 'no',
    },
  });
});
