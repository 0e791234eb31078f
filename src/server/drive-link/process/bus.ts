import ModbusRTU from 'modbus-serial';
import type { DriveIdentity } from '../../../api/contract';
import type { Target } from '../../../api/target';
import { registerBlocksOf, type RegisterBlock } from './blocks';
import { asTrouble, LinkTrouble } from './trouble';

/** Words by register. */
export type Words = [register: number, word: number][];

export interface Bus {
  identify: () => Promise<DriveIdentity>;
  /** Registers that the drive does not have are left out. */
  read: (registers: readonly number[]) => Promise<Words>;
  /** Writes one register and reads it back. */
  write: (register: number, word: number) => Promise<number>;
  close: () => Promise<void>;
}

export interface Patience {
  timeout_ms: number;
  /** How often a read is tried again over a new connection. */
  retries: number;
}

/** Worth another try over a new connection; what the drive refuses stays refused. */
const passes = ({ code }: LinkTrouble): boolean =>
  code === 'silent' || code === 'broken' || code === 'refused';

/**
 * One drive on Modbus TCP: one connection, one request at a time, in the order they were asked.
 * A read is tried again; a write never is: whether a broken write arrived is settled by reading back.
 */
export function openBus(target: Target, { timeout_ms, retries }: Patience): Bus {
  const name = `${target.host}:${target.port}`;
  let client: ModbusRTU | null = null;
  let queue: Promise<unknown> = Promise.resolve();

  const drop = async (): Promise<void> => {
    const old = client;
    client = null;
    await new Promise<void>((resolve) => {
      if (old === null) return resolve();
      // It may never call back on a connection that is gone.
      const patience = setTimeout(resolve, 200);
      old.destroy(() => {
        clearTimeout(patience);
        resolve();
      });
    });
  };

  const connected = async (): Promise<ModbusRTU> => {
    if (client?.isOpen === true) return client;
    await drop();
    const fresh = new ModbusRTU();
    fresh.on('error', () => undefined);
    fresh.setTimeout(timeout_ms);
    client = fresh;
    await withinTime(fresh.connectTCP(target.host, { port: target.port }), timeout_ms);
    fresh.setID(target.unit);
    return fresh;
  };

  /** One request; a connection on which anything went wrong but a refusal is not used again. */
  async function once<T>(ask: (c: ModbusRTU) => Promise<T>): Promise<T> {
    try {
      return await withinTime(ask(await connected()), 2 * timeout_ms);
    } catch (error) {
      const trouble = asTrouble(error, name);
      if (passes(trouble)) await drop();
      throw trouble;
    }
  }

  async function again<T>(ask: (c: ModbusRTU) => Promise<T>): Promise<T> {
    for (let left = retries; ; left -= 1)
      try {
        return await once(ask);
      } catch (error) {
        const busy = error instanceof LinkTrouble && error.code === 'running';
        if (left <= 0 || !(error instanceof LinkTrouble) || !(passes(error) || busy)) throw error;
      }
  }

  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const result = queue.then(work);
    queue = result.catch(() => undefined);
    return result;
  };

  const readBlock = async ({ start, count }: RegisterBlock): Promise<Words> => {
    const { data } = await again((c) => c.readHoldingRegisters(start, count));
    if (data.length !== count)
      throw new LinkTrouble('broken', `The answer from ${name} has an unexpected length.`);
    return data.map((word, i): [number, number] => [start + i, word]);
  };

  /** A block with a hole is halved until the hole stands alone. */
  const readAround = async (block: RegisterBlock): Promise<Words> => {
    try {
      return await readBlock(block);
    } catch (error) {
      if (!(error instanceof LinkTrouble && error.code === 'not-there')) throw error;
      if (block.count === 1) return [];
      const half = Math.floor(block.count / 2);
      return [
        ...(await readAround({ start: block.start, count: half })),
        ...(await readAround({ start: block.start + half, count: block.count - half })),
      ];
    }
  };

  return {
    identify: () =>
      inTurn(async () => {
        const { data } = await again((c) => c.readDeviceIdentification(1, 0));
        const { 0: vendor = '', 1: product = '', 2: revision = '' } = data;
        return { vendor, product, revision };
      }),
    read: (registers) =>
      inTurn(async () => {
        const words: Words = [];
        for (const block of registerBlocksOf(registers)) words.push(...(await readAround(block)));
        return words;
      }),
    write: (register, word) =>
      inTurn(async () => {
        const written = await once((c) => c.writeRegister(register, word)).then(
          () => null,
          (error: unknown) => asTrouble(error, name),
        );
        if (written !== null && !passes(written)) throw written;
        const [found] = await readBlock({ start: register, count: 1 }).catch(() => {
          throw new LinkTrouble(
            'uncertain',
            `The link failed while writing: the drive may or may not have accepted the value. Read the parameter before you go on.`,
          );
        });
        const is = found?.[1];
        if (is === undefined || (written !== null && is !== word))
          throw new LinkTrouble(
            'broken',
            'The link failed while writing; the value in the drive was not changed.',
          );
        return is;
      }),
    close: () => inTurn(drop),
  };
}

async function withinTime<T>(work: Promise<T>, ms: number): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  try {
    return await Promise.race([
      work,
      new Promise<never>((_, reject) => {
        timer = setTimeout(
          () =>
            reject(
              new LinkTrouble('silent', 'The drive does not answer: check unit address, power and cable.'),
            ),
          ms,
        );
      }),
    ]);
  } finally {
    clearTimeout(timer);
  }
}
