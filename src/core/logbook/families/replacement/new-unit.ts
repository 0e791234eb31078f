/** When the old unit came out, and when the plate of the new one was read after that, ms. */
export interface UnitChange {
  outAt: number | null;
  inAt: number | null;
}

/** The old unit is out, and no plate was read since: the next plate is the new unit's. */
export const isNewUnit = ({ swap }: { swap: UnitChange }): boolean =>
  swap.outAt !== null && swap.inAt === null;
