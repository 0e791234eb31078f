/** Stops that must be visited, the effort between them, and which must come before which. */
export interface Tour {
  /** Spots at which each stop can be made. */
  stops: readonly (readonly number[])[];
  /** Effort from spot to spot. */
  between: (from: number, to: number) => number;
  start: number;
  end: number;
  /** Stops that each one waits for, by index. */
  after: readonly ReadonlySet<number>[];
}

/** An order of stops, with what it costs. */
export interface Ordered {
  order: number[];
  /** The spot of each stop, in that order. */
  spots: number[];
  effort: number;
  /** No order costs less than this. */
  bound: number;
  /** The order is proven to be the best. */
  exact: boolean;
}

/** Up to this many stops every order is weighed. */
export const exactUpTo = 11;

/** The cheapest spots for an order: spot by spot, the cheapest way to each. */
function spotsFor(
  { stops, between, start, end }: Tour,
  order: readonly number[],
): { spots: number[]; effort: number } {
  let reached: { spot: number; effort: number; trail: number[] }[] = [{ spot: start, effort: 0, trail: [] }];
  const step = (to: number) => {
    const costs = reached.map((r) => ({ ...r, effort: r.effort + between(r.spot, to) }));
    return costs.reduce((a, b) => (b.effort < a.effort ? b : a));
  };
  for (const stop of order)
    reached = (stops[stop] ?? []).map((spot) => {
      const { effort, trail } = step(spot);
      return { spot, effort, trail: [...trail, spot] };
    });
  const last = step(end);
  return { spots: last.trail, effort: last.effort };
}

/** Every order, by what was visited and where it ended. */
function exactOrder(tour: Tour): { order: number[]; effort: number } {
  const { stops, between, start, end, after } = tour;
  const n = stops.length;
  const waits = after.map((set) => [...set].reduce((mask, i) => mask | (1 << i), 0));
  let layer = new Map<string, { mask: number; spot: number; effort: number; order: number[] }>([
    ['', { mask: 0, spot: start, effort: 0, order: [] }],
  ]);
  for (let k = 0; k < n; k += 1) {
    const next: typeof layer = new Map();
    for (const { mask, spot, effort, order } of layer.values())
      for (let i = 0; i < n; i += 1) {
        if ((mask & (1 << i)) !== 0 || ((waits[i] ?? 0) & ~mask) !== 0) continue;
        for (const to of stops[i] ?? []) {
          const key = `${mask | (1 << i)}/${to}`;
          const spent = effort + between(spot, to);
          if (spent < (next.get(key)?.effort ?? Infinity))
            next.set(key, { mask: mask | (1 << i), spot: to, effort: spent, order: [...order, i] });
        }
      }
    layer = next;
  }
  let best: { order: number[]; effort: number } = { order: [], effort: Infinity };
  for (const { spot, effort, order } of layer.values()) {
    const whole = effort + between(spot, end);
    if (whole < best.effort) best = { order, effort: whole };
  }
  return best;
}

/** Least effort from any spot of a stop to any of another. */
function apart({ stops, between, start, end }: Tour): number[][] {
  const sets = [...stops, [start], [end]];
  return sets.map((a) => sets.map((b) => Math.min(...a.flatMap((x) => b.map((y) => between(x, y))))));
}

const allowed = (order: readonly number[], after: Tour['after']): boolean => {
  const done = new Set<number>();
  return order.every((i) => {
    const ok = [...(after[i] ?? [])].every((before) => done.has(before));
    done.add(i);
    return ok;
  });
};

/** The nearest that is free, again and again. */
function nearestFirst(tour: Tour, far: readonly number[][]): number[] {
  const order: number[] = [];
  const left = new Set(tour.stops.keys());
  for (let at = tour.stops.length; left.size > 0;) {
    const free = [...left].filter((i) => [...(tour.after[i] ?? [])].every((b) => !left.has(b)));
    const next = free.reduce((a, b) => ((far[at]?.[b] ?? 0) < (far[at]?.[a] ?? 0) ? b : a), free[0] ?? 0);
    order.push(next);
    left.delete(next);
    at = next;
  }
  return order;
}

/** Longest run of stops that is moved as one. */
const longestRun = 12;

/** One run of stops moved elsewhere, as it is or turned, where that is cheaper and allowed; null: nothing is. */
function improved(order: readonly number[], tour: Tour, far: readonly number[][]): number[] | null {
  const n = order.length;
  const way = (from: number | undefined, to: number | undefined): number =>
    far[from ?? n]?.[to ?? n + 1] ?? 0;
  const along = (part: readonly number[]): number =>
    part.reduce((sum, stop, k) => (k === 0 ? 0 : sum + way(part[k - 1], stop)), 0);
  for (let length = 1; length <= Math.min(longestRun, n); length += 1)
    for (let i = 0; i + length <= n; i += 1) {
      const part = order.slice(i, i + length);
      const rest = [...order.slice(0, i), ...order.slice(i + length)];
      const joint = way(order[i - 1], order[i + length]);
      const spared =
        way(order[i - 1], part[0]) + along(part) + way(part[length - 1], order[i + length]) - joint;
      for (const piece of length === 1 ? [part] : [part, [...part].reverse()]) {
        const inner = along(piece);
        for (let j = 0; j <= rest.length; j += 1) {
          const costs =
            way(rest[j - 1], piece[0]) + inner + way(piece[length - 1], rest[j]) - way(rest[j - 1], rest[j]);
          if (costs >= spared - 1e-9) continue;
          const tried = [...rest.slice(0, j), ...piece, ...rest.slice(j)];
          if (allowed(tried, tour.after)) return tried;
        }
      }
    }
  return null;
}

/** The nearest first, then runs of stops moved while it gets cheaper. */
function goodOrder(tour: Tour, far: readonly number[][]): number[] {
  let order = nearestFirst(tour, far);
  for (let better = improved(order, tour, far); better !== null; better = improved(order, tour, far))
    order = better;
  return order;
}

/**
 * What no order can go below: every stop is entered from somewhere it may be entered from, and all of them hang
 * together from the start (Chu and Liu, Edmonds: the cheapest arborescence), and then there is the way to the end.
 */
function boundOf(tour: Tour, far: readonly number[][]): number {
  const n = tour.stops.length;
  const last = [...tour.stops.keys()].filter((i) => !tour.after.some((set) => set.has(i)));
  const toEnd = n === 0 ? (far[0]?.[1] ?? 0) : Math.min(...last.map((i) => far[i]?.[n + 1] ?? 0));
  const arcs = tour.stops.flatMap((_, to) => [
    ...((tour.after[to]?.size ?? 0) === 0 ? [{ from: n, to, effort: far[n]?.[to] ?? 0 }] : []),
    ...tour.stops.flatMap((__, from) =>
      from === to || tour.after[from]?.has(to) === true ? [] : [{ from, to, effort: far[from]?.[to] ?? 0 }],
    ),
  ]);
  return arborescence(n + 1, n, arcs) + toEnd;
}

interface Arc {
  from: number;
  to: number;
  effort: number;
}

/** Effort of the cheapest arborescence from a root over so many nodes. */
export function arborescence(nodes: number, root: number, arcs: readonly Arc[]): number {
  const least: (Arc | undefined)[] = Array.from({ length: nodes });
  for (const arc of arcs)
    if (arc.to !== root && arc.from !== arc.to && arc.effort < (least[arc.to]?.effort ?? Infinity))
      least[arc.to] = arc;
  const sum = least.reduce((s, arc) => s + (arc?.effort ?? 0), 0);
  const cycleOf: number[] = Array.from({ length: nodes }, () => -1);
  const seenBy: number[] = Array.from({ length: nodes }, () => -1);
  let cycles = 0;
  for (let i = 0; i < nodes; i += 1) {
    let at = i;
    while (at !== root && seenBy[at] === -1) {
      seenBy[at] = i;
      at = least[at]?.from ?? root;
    }
    if (at === root || seenBy[at] !== i || cycleOf[at] !== -1) continue;
    for (let c = at; cycleOf[c] === -1; c = least[c]?.from ?? root) cycleOf[c] = cycles;
    cycles += 1;
  }
  if (cycles === 0) return sum;
  let next = cycles;
  const shrunk = cycleOf.map((c) => (c === -1 ? next++ : c));
  const rest = arcs.flatMap(({ from, to, effort }): Arc[] => {
    const [a, b] = [shrunk[from] ?? 0, shrunk[to] ?? 0];
    // What the cheapest way in already costs is counted; only going in otherwise costs more.
    return a === b ? [] : [{ from: a, to: b, effort: effort - (least[to]?.effort ?? 0) }];
  });
  return sum + arborescence(next, shrunk[root] ?? 0, rest);
}

/** The order of least effort, proven for few stops; else a good one, with what none can go below. */
export function ordered(tour: Tour): Ordered {
  if (tour.stops.length <= exactUpTo) {
    const { order, effort } = exactOrder(tour);
    return { order, ...spotsFor(tour, order), bound: effort, exact: true };
  }
  const far = apart(tour);
  const order = goodOrder(tour, far);
  const { spots, effort } = spotsFor(tour, order);
  const bound = boundOf(tour, far);
  return { order, spots, effort, bound, exact: effort - bound < 1e-9 };
}
