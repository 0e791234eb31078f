import { connect } from 'node:net';
import { createInterface } from 'node:readline';

/** Where the meter's data port is: the stand-in's unless told otherwise (`GRIM_METER=host:port`). */
function port(): { host: string; port: number } {
  const [host = '127.0.0.1', number = '4401'] = (process.env['GRIM_METER'] ?? '127.0.0.1:4401').split(':');
  return { host, port: Number(number) };
}

/**
 * The lines of the meter as server-sent events, one a line; ends with a `gone` event when the port closes
 * or cannot be reached.
 * @param signal ends the connection when the page goes away
 */
export function meterEvents(signal: AbortSignal): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  const socket = connect({ ...port(), timeout: 3000 });
  return new ReadableStream({
    start(controller) {
      let open = true;
      const send = (text: string) => {
        if (open) controller.enqueue(encoder.encode(text));
      };
      const end = () => {
        if (!open) return;
        send('event: gone\ndata: \n\n');
        open = false;
        socket.destroy();
        controller.close();
      };
      socket.once('connect', () => socket.setTimeout(0));
      socket.on('timeout', end).on('error', end).on('close', end);
      createInterface({ input: socket })
        .on('line', (line) => send(`data: ${line.slice(0, 200)}\n\n`))
        .on('error', end);
      signal.addEventListener('abort', end);
    },
    cancel() {
      socket.destroy();
    },
  });
}
