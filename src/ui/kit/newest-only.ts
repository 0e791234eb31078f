/** A queue of one: while a wish is seen to, later ones replace each other. */
export interface NewestOnly<Wish> {
  ask: (wish: Wish) => void;
  /** Is there a wish that is not begun? */
  waiting: () => boolean;
  /** Drops the wish that is not begun. */
  drop: () => void;
}

/** @param see sees to one wish; must not throw */
export function newestOnly<Wish>(see: (wish: Wish) => Promise<void>): NewestOnly<Wish> {
  let next: { wish: Wish } | null = null;
  let busy = false;
  const run = async () => {
    if (busy) return;
    busy = true;
    while (next !== null) {
      const { wish } = next;
      next = null;
      await see(wish);
    }
    busy = false;
  };
  return {
    ask: (wish) => {
      next = { wish };
      void run();
    },
    waiting: () => next !== null,
    drop: () => (next = null),
  };
}
