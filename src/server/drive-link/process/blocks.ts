/** One read of the bus may ask for this many registers. */
export const longestBlock = 125;

export interface RegisterBlock {
  start: number;
  count: number;
}

/** Registers as the fewest reads that touch no other register: a hole in a block is an exception on most drives. */
export function registerBlocksOf(registers: readonly number[]): RegisterBlock[] {
  const sorted = [...new Set(registers)].sort((a, b) => a - b);
  return sorted.reduce<RegisterBlock[]>((blocks, register) => {
    const last = blocks[blocks.length - 1];
    if (last === undefined || register !== last.start + last.count || last.count >= longestBlock)
      return [...blocks, { start: register, count: 1 }];
    return [...blocks.slice(0, -1), { ...last, count: last.count + 1 }];
  }, []);
}
