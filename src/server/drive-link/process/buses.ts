import { readTarget, type Target } from '../../../api/target';
import { allowed, connectionOf, unitKey } from './allowed';
import { openBus, type Bus, type Patience } from './bus';
import { renew_ms, type Locks } from './locks';
import { LinkTrouble } from './trouble';

/** A connection that was not used for this long is closed, ms. */
const idle_ms = 60_000;

export interface Buses {
  /** The bus of a target. @throws LinkTrouble where it may not be talked to, or another program does */
  of: (target: string) => Promise<Bus>;
  /** Are two targets one unit, whatever names they go by? */
  areOne: (one: string, other: string) => Promise<boolean>;
  /** The same for a stream that goes on for long: its bus stays open until it is released. */
  hold: (target: string) => Promise<{ bus: Bus; release: () => void }>;
  close: () => Promise<void>;
}

interface OpenBus {
  bus: Bus;
  usedAt: number;
  held: number;
}

/** Open connections to drives, one for each unit; what is not used is closed and left to other programs. */
export function openBuses({
  listed,
  locks,
  patience,
}: {
  /** Targets that an administrator listed; looked up with every request. */
  listed: () => Promise<readonly string[]>;
  locks: Locks;
  patience: Patience;
}): Buses {
  const open = new Map<string, OpenBus>();

  const tend = () => {
    for (const [key, { bus, usedAt, held }] of open) {
      if (held === 0 && Date.now() - usedAt > idle_ms) {
        open.delete(key);
        void bus.close();
      } else void locks.take(connectionOf(key)).catch(() => undefined);
    }
  };
  const tending = setInterval(tend, renew_ms);

  async function busAt(text: string): Promise<OpenBus> {
    const to: Target = allowed(text, await listed());
    const key = await unitKey(to);
    if (!(await locks.take(connectionOf(key))))
      throw new LinkTrouble(
        'taken',
        `Another session is connected to ${text}. Only one session may write to a drive.`,
      );
    const known = open.get(key) ?? { bus: openBus(to, patience), usedAt: 0, held: 0 };
    known.usedAt = Date.now();
    open.set(key, known);
    return known;
  }

  return {
    of: async (text) => (await busAt(text)).bus,
    areOne: async (one, other) => {
      const [a, b] = [readTarget(one), readTarget(other)];
      return a !== null && b !== null && (await unitKey(a)) === (await unitKey(b));
    },
    hold: async (text) => {
      const one = await busAt(text);
      one.held += 1;
      return {
        bus: one.bus,
        release: () => {
          one.held -= 1;
          one.usedAt = Date.now();
        },
      };
    },
    close: async () => {
      clearInterval(tending);
      await Promise.all([...open.values()].map(({ bus }) => bus.close()));
      await locks.release();
    },
  };
}
