/**
 * The server's half of the Modbus application protocol: one request without its transport to one answer.
 * After the public "MODBUS Application Protocol Specification V1.1b3", from memory.
 */

export const exceptions = {
  illegalFunction: 1,
  illegalAddress: 2,
  illegalValue: 3,
  deviceFailure: 4,
  busy: 6,
} as const;
export type Exception = (typeof exceptions)[keyof typeof exceptions];

/** What the protocol reads and writes. A null or an exception says that it is not to be had. */
export interface Memory {
  /** Words of a block; null where any of them is not there. */
  holding: (start: number, count: number) => number[] | null;
  writeHolding: (register: number, word: number) => Exception | null;
  coils: (start: number, count: number) => boolean[] | null;
  writeCoil: (address: number, on: boolean) => Exception | null;
  discretes: (start: number, count: number) => boolean[] | null;
  identification: { vendor: string; product: string; revision: string };
}

class Refusal extends Error {
  constructor(readonly exception: Exception) {
    super();
  }
}
const refuse = (exception: Exception): never => {
  throw new Refusal(exception);
};

const most = {
  bits: 2000,
  registers: 125,
  writtenBits: 1968,
  writtenRegisters: 123,
  bothWritten: 121,
} as const;

const counted = (count: number, limit: number): number =>
  count < 1 || count > limit ? refuse(exceptions.illegalValue) : count;

function bitsFrom(bits: readonly boolean[] | null): Buffer {
  const there = bits ?? refuse(exceptions.illegalAddress);
  const bytes = Buffer.alloc(Math.ceil(there.length / 8));
  there.forEach((bit, i) => {
    if (bit) bytes[i >> 3] = (bytes[i >> 3] ?? 0) | (1 << (i & 7));
  });
  return Buffer.concat([Buffer.from([bytes.length]), bytes]);
}

function wordsFrom(words: readonly number[] | null): Buffer {
  const there = words ?? refuse(exceptions.illegalAddress);
  const bytes = Buffer.alloc(1 + 2 * there.length);
  bytes[0] = 2 * there.length;
  there.forEach((word, i) => bytes.writeUInt16BE(word, 1 + 2 * i));
  return bytes;
}

const done = (exception: Exception | null): void => {
  if (exception !== null) refuse(exception);
};

function writeWords(memory: Memory, start: number, count: number, bytes: Buffer): void {
  // All must be there before the first is written.
  if (memory.holding(start, count) === null) refuse(exceptions.illegalAddress);
  for (let i = 0; i < count; i += 1) done(memory.writeHolding(start + i, bytes.readUInt16BE(2 * i)));
}

/** Function 43 with kind 14: the basic identification in one answer. */
function identify({ identification }: Memory, request: Buffer): Buffer {
  if (request[1] !== 14) refuse(exceptions.illegalFunction);
  const code = request[2] ?? 0;
  const from = request[3] ?? 0;
  const objects = [identification.vendor, identification.product, identification.revision];
  if (code < 1 || code > 4) refuse(exceptions.illegalValue);
  if (code === 4 && from >= objects.length) refuse(exceptions.illegalAddress);
  const first = code === 4 ? from : from < objects.length ? from : 0;
  const given = objects.slice(first, code === 4 ? first + 1 : undefined);
  return Buffer.concat([
    Buffer.from([14, code, 0x81, 0, 0, given.length]),
    ...given.map((text, i) => {
      const bytes = Buffer.from(text, 'latin1');
      return Buffer.concat([Buffer.from([first + i, bytes.length]), bytes]);
    }),
  ]);
}

function body(memory: Memory, request: Buffer): Buffer {
  const word = (at: number): number =>
    request.length >= at + 2 ? request.readUInt16BE(at) : refuse(exceptions.illegalValue);
  const bytes = (at: number, length: number): Buffer =>
    request[at] === length && request.length >= at + 1 + length
      ? request.subarray(at + 1, at + 1 + length)
      : refuse(exceptions.illegalValue);
  switch (request[0]) {
    case 1:
      return bitsFrom(memory.coils(word(1), counted(word(3), most.bits)));
    case 2:
      return bitsFrom(memory.discretes(word(1), counted(word(3), most.bits)));
    case 3:
    case 4:
      return wordsFrom(memory.holding(word(1), counted(word(3), most.registers)));
    case 5: {
      const on = word(3);
      if (on !== 0 && on !== 0xff00) refuse(exceptions.illegalValue);
      done(memory.writeCoil(word(1), on !== 0));
      return request.subarray(1, 5);
    }
    case 6:
      done(memory.writeHolding(word(1), word(3)));
      return request.subarray(1, 5);
    case 15: {
      const count = counted(word(3), most.writtenBits);
      const bits = bytes(5, Math.ceil(count / 8));
      for (let i = 0; i < count; i += 1)
        done(memory.writeCoil(word(1) + i, (((bits[i >> 3] ?? 0) >> (i & 7)) & 1) === 1));
      return request.subarray(1, 5);
    }
    case 16: {
      const count = counted(word(3), most.writtenRegisters);
      writeWords(memory, word(1), count, bytes(5, 2 * count));
      return request.subarray(1, 5);
    }
    case 23: {
      const read = counted(word(3), most.registers);
      const written = counted(word(7), most.bothWritten);
      writeWords(memory, word(5), written, bytes(9, 2 * written));
      return wordsFrom(memory.holding(word(1), read));
    }
    case 43:
      return identify(memory, request);
    default:
      return refuse(exceptions.illegalFunction);
  }
}

/** One request to one answer; what goes wrong becomes an exception answer. */
export function answerModbus(memory: Memory, request: Buffer): Buffer {
  const code = request[0] ?? 0;
  try {
    return Buffer.concat([Buffer.from([code]), body(memory, request)]);
  } catch (error) {
    if (error instanceof Refusal) return exceptionFor(code, error.exception);
    throw error;
  }
}

export const exceptionFor = (code: number, exception: Exception): Buffer =>
  Buffer.from([code | 0x80, exception]);
