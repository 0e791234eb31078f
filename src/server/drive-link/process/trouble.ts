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
      | 'exception'
      | 'uncertain',
    message: string,
  ) {
    super(message);
  }
}

const byException: Readonly<Record<number, [LinkTrouble['code'], string]>> = {
  2: ['not-there', 'The drive has no such parameter, or it is read only.'],
  3: ['out-of-range', 'The drive refuses the value: out of range.'],
  4: ['locked', 'The drive refuses: the parameter is locked.'],
  6: ['running', 'The drive is busy or running: this parameter can be changed only when stopped.'],
};

function fieldOf(error: unknown, key: string): unknown {
  if (typeof error !== 'object' || error === null) return undefined;
  const value: unknown = Reflect.get(error, key);
  return value;
}

/** The client rejects with things that are no errors: told apart by what they carry. */
export function asTrouble(error: unknown, target: string): LinkTrouble {
  if (error instanceof LinkTrouble) return error;
  const exception = fieldOf(error, 'modbusCode');
  if (typeof exception === 'number') {
    const [code, words] = byException[exception] ?? [
      'exception',
      `The drive answers with exception ${exception}.`,
    ];
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
