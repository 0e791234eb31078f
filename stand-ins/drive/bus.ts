// Modbus TCP: frames on a socket, and the ways a bus can go wrong.
import { createServer, type Server, type Socket } from 'node:net';
import { answerModbus, exceptionFor, exceptions, type Memory } from './modbus';
import type { Plant } from './plant';

const header_bytes = 7;
/** Longest frame of the protocol: 7 bytes of header and 253 of request. */
const longest_bytes = 260;

/** Single and multiple register, single coil. */
const writes: readonly number[] = [5, 6, 16];

/** Does the cable come out at this request, and does the request still arrive? Counts what is left until then. */
function cutAt({ manners, setManners }: Bus, request: Buffer): 'no' | 'before' | 'after' {
  const { cutAtWrite, ...rest } = manners();
  if (cutAtWrite === null || !writes.includes(request[0] ?? 0)) return 'no';
  const left = cutAtWrite.writes - 1;
  setManners({
    ...rest,
    cableOut: left === 0,
    cutAtWrite: left === 0 ? null : { ...cutAtWrite, writes: left },
  });
  return left > 0 ? 'no' : cutAtWrite.arrives ? 'after' : 'before';
}

const framed = (transaction: number, unit: number, pdu: Buffer): Buffer => {
  const head = Buffer.alloc(header_bytes);
  head.writeUInt16BE(transaction, 0);
  head.writeUInt16BE(pdu.length + 1, 4);
  head[6] = unit;
  return Buffer.concat([head, pdu]);
};

/** One of the ways an answer can be spoilt. */
function garbled(frame: Buffer, random: () => number): Buffer {
  const spoilt = Buffer.from(frame);
  const kind = Math.floor(random() * 4);
  if (kind === 0) return spoilt.subarray(0, Math.max(1, Math.floor(frame.length / 2)));
  if (kind === 1) spoilt.writeUInt16BE((frame.readUInt16BE(0) + 7) & 0xffff, 0);
  if (kind === 2) spoilt.writeUInt16BE(frame.readUInt16BE(4) + 3, 4);
  if (kind === 3) spoilt[7] = (frame[7] ?? 0) ^ 0x40;
  return spoilt;
}

interface Bus {
  memory: Memory;
  /** Answers to this unit, and to 0 and 255, which mean nobody in particular. */
  unit: () => number;
  manners: () => Plant['bus'];
  setManners: (manners: Plant['bus']) => void;
  /** Does the electronics have power? */
  awake: () => boolean;
  random: () => number;
}

async function serve(socket: Socket, bus: Bus): Promise<void> {
  let pending = Buffer.alloc(0);
  const received: AsyncIterable<Buffer> = socket;
  for await (const chunk of received) {
    pending = Buffer.concat([pending, chunk]);
    while (pending.length >= header_bytes) {
      const length = pending.readUInt16BE(4);
      if (pending.readUInt16BE(2) !== 0 || length < 2 || length + 6 > longest_bytes)
        return void socket.destroy();
      if (pending.length < 6 + length) break;
      if (bus.manners().cableOut) return void socket.destroy();
      const frame = pending.subarray(0, 6 + length);
      pending = Buffer.from(pending.subarray(6 + length));
      await reply(socket, frame, bus);
    }
  }
}

async function reply(socket: Socket, frame: Buffer, bus: Bus): Promise<void> {
  const { memory, unit, manners, awake, random } = bus;
  const to = frame[6] ?? 0;
  const { delay_ms, drop, garble, busy, silent } = manners();
  if (silent || !awake() || (to !== unit() && to !== 0 && to !== 255)) return;
  if (delay_ms > 0) await new Promise((resolve) => setTimeout(resolve, delay_ms));
  const request = frame.subarray(header_bytes);
  const cut = cutAt(bus, request);
  if (cut === 'before') return void socket.destroy();
  const pdu =
    random() < busy ? exceptionFor(request[0] ?? 0, exceptions.busy) : answerModbus(memory, request);
  const whole = framed(frame.readUInt16BE(0), to, pdu);
  if (cut === 'after') return void socket.destroy();
  if (random() < drop) {
    socket.write(whole.subarray(0, Math.floor(whole.length / 2)));
    socket.destroy();
  } else socket.write(random() < garble ? garbled(whole, random) : whole);
}

/** A server of Modbus TCP for one drive. */
export const busServer = (bus: Bus): Server =>
  createServer((socket) => {
    socket.setNoDelay(true);
    if (bus.manners().cableOut) return void socket.destroy();
    socket.on('error', () => socket.destroy());
    serve(socket, bus).catch(() => socket.destroy());
  });
