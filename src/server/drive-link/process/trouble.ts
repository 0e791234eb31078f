/** What went wrong on the bus, in words for the person at the drive. */
export class LinkTrouble extends Error {
  constructor(
    readonly code:
      | 'refused'
      | 'silent'
      | 'broken'
      | 'not-allowed'
      | 'taken'
      | 'not-there'
      | 'out-of-range'
      | 'locked'
      | 'running'
      | 'busy'
      | 'too-long'
      | 'exception'
      | 'uncertain',
    message: string,
  ) {
    super(message);
  }
}

/** What was asked of the drive: the same exception means another thing to each. */
export type Deed = 'identify' | 'read' | 'write';

type Meaning = readonly [code: LinkTrouble['code'], words: string];

const atGateway: Meaning = [
  'silent',
  'The gateway does not reach the drive: check unit address, power and cable behind it.',
];
/** Exceptions of the protocol (MODBUS Application Protocol 1.1b3, 7), whatever was asked. */
const ofAll: Readonly<Record<number, Meaning>> = {
  5: ['busy', 'The drive is still working on the request.'],
  6: ['busy', 'The drive is busy.'],
  10: atGateway,
  11: atGateway,
};
const byDeed: Readonly<Record<Deed, Readonly<Record<number, Meaning>>>> = {
  identify: {
    1: ['exception', 'The drive does not identify itself over the link (function 43 is missing).'],
  },
  read: {
    1: ['exception', 'The drive cannot be read over the link (function 3 is missing).'],
    2: ['not-there', 'The drive has no such register.'],
    3: ['too-long', 'The drive does not read so many registers at once.'],
    4: ['exception', 'The drive failed while reading the register.'],
  },
  write: {
    1: ['exception', 'The drive takes no values over the link (function 6 is missing).'],
    2: ['not-there', 'The drive has no such parameter, or it is read only.'],
    3: ['out-of-range', 'The drive refuses the value: out of range.'],
    4: ['locked', 'The drive refuses: the parameter is locked.'],
    6: ['running', 'The drive is busy or running: this parameter can be changed only when stopped.'],
  },
};

function fieldOf(error: unknown, key: string): unknown {
  if (typeof error !== 'object' || error === null) return undefined;
  const value: unknown = Reflect.get(error, key);
  return value;
}

/** The client rejects with things that are no errors: told apart by what they carry. */
export function asTrouble(error: unknown, target: string, deed: Deed): LinkTrouble {
  if (error instanceof LinkTrouble) return error;
  const exception = fieldOf(error, 'modbusCode');
  if (typeof exception === 'number') {
    const [code, words] = byDeed[deed][exception] ??
      ofAll[exception] ?? ['exception', `The drive answers with exception ${exception}.`];
    return new LinkTrouble(code, words);
  }
  const errno = String(fieldOf(error, 'code') ?? fieldOf(error, 'errno') ?? '');
  if (/ECONNREFUSED|EHOSTUNREACH|ENETUNREACH|ENOTFOUND/.test(errno))
    return new LinkTrouble('refused', `No connection to ${target}: check drive power, cable and address.`);
  if (/ETIMEDOUT/.test(errno) || /timed out/i.test(String(fieldOf(error, 'message'))))
    return new LinkTrouble(
      'silent',
      `The drive at ${target} does not answer: check unit address, power and cable.`,
    );
  return new LinkTrouble('broken', `The answer from ${target} was cut off or unreadable.`);
}
