import ModbusRTU from 'modbus-serial';
import type { DriveIdentity } from '../../../api/contract';
import type { Target } from '../../../api/target';
import { registerBlocksOf, type RegisterBlock } from './blocks';
import { asTrouble, LinkTrouble, type Deed } from './trouble';

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
  /** A read-out that takes longer is given up, ms: a drive that answers late to every block would hold its line for minutes. */
  readOut_ms: number;
}

/** Worth another try over a new connection; what the drive refuses stays refused. */
const passes = ({ code }: LinkTrouble): boolean =>
  code === 'silent' || code === 'broken' || code === 'refused';

/**
 * One drive on Modbus TCP: one connection, one request at a time, in the order they were asked.
 * A read is tried again; a write never is: whether a broken write arrived is settled by reading back.
 */
export function openBus(target: Target, { timeout_ms, retries, readOut_ms }: Patience): Bus {
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
  async function once<T>(deed: Deed, ask: (c: ModbusRTU) => Promise<T>): Promise<T> {
    try {
      return await withinTime(ask(await connected()), 2 * timeout_ms);
    } catch (error) {
      const trouble = asTrouble(error, name, deed);
      if (passes(trouble)) await drop();
      throw trouble;
    }
  }

  async function again<T>(deed: Deed, ask: (c: ModbusRTU) => Promise<T>): Promise<T> {
    for (let left = retries; ; left -= 1)
      try {
        return await once(deed, ask);
      } catch (error) {
        if (left <= 0 || !(error instanceof LinkTrouble)) throw error;
        if (!passes(error) && error.code !== 'busy') throw error;
      }
  }

  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const result = queue.then(work);
    queue = result.catch(() => undefined);
    return result;
  };

  const readBlock = async ({ start, count }: RegisterBlock): Promise<Words> => {
    const { data } = await again('read', (c) => c.readHoldingRegisters(start, count));
    if (data.length !== count)
      throw new LinkTrouble('broken', `The answer from ${name} has an unexpected length.`);
    return data.map((word, i): [number, number] => [start + i, word]);
  };

  /** A block with a hole is halved until the hole stands alone; one that is too long, until the drive takes it. */
  const readAround = async (block: RegisterBlock, over: () => void): Promise<Words> => {
    over();
    try {
      return await readBlock(block);
    } catch (error) {
      if (!(error instanceof LinkTrouble)) throw error;
      const { code } = error;
      if (block.count === 1 && code === 'not-there') return [];
      if (block.count === 1 || !(code === 'not-there' || code === 'too-long')) throw error;
      const half = Math.floor(block.count / 2);
      return [
        ...(await readAround({ start: block.start, count: half }, over)),
        ...(await readAround({ start: block.start + half, count: block.count - half }, over)),
      ];
    }
  };

  /** @throws LinkTrouble once the time of a read-out is over */
  const limitFrom = (begun: number) => () => {
    if (performance.now() - begun > readOut_ms)
      throw new LinkTrouble(
        'silent',
        `The read-out took longer than ${Math.round(readOut_ms / 1000)} s and was stopped: the drive at ${name} answers too slowly. Check cable and speed of the line, then read again.`,
      );
  };

  return {
    identify: () =>
      inTurn(async () => {
        const { data } = await again('identify', (c) => c.readDeviceIdentification(1, 0));
        const { 0: vendor = '', 1: product = '', 2: revision = '' } = data;
        return { vendor, product, revision };
      }),
    read: (registers) =>
      inTurn(async () => {
        const words: Words = [];
        const over = limitFrom(performance.now());
        for (const block of registerBlocksOf(registers)) words.push(...(await readAround(block, over)));
        return words;
      }),
    write: (register, word) =>
      inTurn(async () => {
        const written = await once('write', (c) => c.writeRegister(register, word)).then(
          () => null,
          (error: unknown) => asTrouble(error, name, 'write'),
        );
        // Busy with it, or lost on the way: what the drive has now settles it.
        if (written !== null && !passes(written) && written.code !== 'busy') throw written;
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
