/**
 * Lets so much work be done at once; the rest waits in line.
 * @returns does work as soon as it may
 */
export function atMost(count: number): <T>(work: () => Promise<T>) => Promise<T> {
  const line: (() => void)[] = [];
  let free = count;
  return async (work) => {
    if (free > 0) free -= 1;
    else await new Promise<void>((begin) => line.push(begin));
    try {
      return await work();
    } finally {
      const next = line.shift();
      if (next === undefined) free += 1;
      else next();
    }
  };
}
