import { randomUUID } from 'node:crypto';
import { QueryTypes, type Sequelize } from 'sequelize';

/** A holder that was not heard of for this long is gone, s. */
const stale_s = 5;
/** How often a holder says that it is still there, ms. */
export const renew_ms = 1500;

export interface Locks {
  /** True where the target is ours (again); false where another process talks to it. */
  take: (target: string) => Promise<boolean>;
  release: () => Promise<void>;
}

/** One writer a target, whatever processes there are: a row that its holder keeps fresh. */
export function locksIn(sequelize: Sequelize, holder = randomUUID()): Locks {
  return {
    take: async (target) => {
      const rows = await sequelize.query(
        `insert into link_locks (target, holder, seen) values (:target, :holder, now())
         on conflict (target) do update set holder = excluded.holder, seen = excluded.seen
         where link_locks.holder = excluded.holder or link_locks.seen < now() - make_interval(secs => :stale_s)
         returning target`,
        { replacements: { target, holder, stale_s }, type: QueryTypes.SELECT },
      );
      return rows.length > 0;
    },
    release: async () => {
      await sequelize.query('delete from link_locks where holder = :holder', { replacements: { holder } });
    },
  };
}
