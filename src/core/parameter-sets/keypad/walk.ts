import TinyQueue from 'tinyqueue';
import { parameterAt } from '../../equipment/drive-words';
import { effortOf } from './effort';
import { pressed, signsOf, type PadState } from './machine';
import { heldSteps, type Pad, type Press } from './pad';

/** A place to stand on while nothing is edited. */
export type Spot = PadState & { at: 'home' | 'group' | 'entry' };

interface Way {
  to: number;
  presses: Press[];
  effort: number;
}

/** All spots of a keypad, and the cheapest presses between them. */
export interface Walks {
  spots: readonly Spot[];
  indexOf: (spot: Spot) => number;
  /** Effort to every spot, and the presses there. */
  from: (index: number) => { effort: readonly number[]; presses: (to: number) => Press[] };
}

const keyOf = (spot: Spot): string =>
  spot.at === 'home' ? 'home' : spot.at === 'group' ? `g${spot.group}` : `e${spot.group}/${spot.place}`;

const nowhere = { values: {}, opened: 0, allLocked: false };

/** Presses by which a jump reaches a number; null where its signs do not allow it. */
function jumpPresses(
  pad: Pad,
  signs: readonly string[][],
  from: string,
  to: string,
  first: Press,
): Press[] | null {
  const { jump } = pad.operation;
  if (jump === undefined || from.length !== to.length) return null;
  const presses: Press[] = [first];
  let moved = 0;
  for (let i = 0; i < to.length; i += 1) {
    const here = signs[i] ?? [];
    const [a, b] = [here.indexOf(from.charAt(i)), here.indexOf(to.charAt(i))];
    if (a === b) continue;
    if (a < 0 || b < 0) return null;
    for (; moved < i; moved += 1) presses.push(jump.cursor);
    const up = (b - a + here.length) % here.length;
    const steps = Math.min(up, here.length - up);
    presses.push(...Array.from({ length: steps }, (): Press => (up === steps ? jump.up : jump.down)));
  }
  return [...presses, jump.keep];
}

/** Touches that may lead from a spot to another, ramps through a list included. */
function touchesAt(pad: Pad, spot: Spot): Press[] {
  const { operation, groups } = pad;
  if (spot.at === 'home') return [operation.home.open];
  const at = spot.at === 'group' ? operation.groups : operation.list;
  if (at === null) return [];
  const length = spot.at === 'group' ? groups.length : (groups[spot.group]?.numbers.length ?? 0);
  const { hold } = operation;
  const ramps = [at.next, at.previous].flatMap(({ cap, held }): Press[] => {
    if (hold === undefined || held) return [];
    const all = Array.from({ length: Math.min(40, length) }, (_, i) => i + 2);
    return all
      .filter((ticks) => heldSteps(hold, ticks) < length)
      .map((ticks) => ({ cap, held: true, ticks }));
  });
  return [at.next, at.previous, at.leave, ...(spot.at === 'group' ? [at.open] : []), ...ramps];
}

/** Every entry is in the lists it is in; walking changes nothing in the drive. */
export function walksOf(pad: Pad): Walks {
  const spots: Spot[] = [
    { at: 'home' },
    ...(pad.operation.groups === null ? [] : pad.groups.map((_, group): Spot => ({ at: 'group', group }))),
    ...pad.groups.flatMap(({ numbers }, group) =>
      numbers.map((_, place): Spot => ({ at: 'entry', group, place })),
    ),
  ];
  const index = new Map(spots.map((s, i) => [keyOf(s), i]));
  const signs = pad.operation.jump === undefined ? [] : signsOf(pad);
  const numberAt = (spot: Spot): string =>
    spot.at === 'home'
      ? (pad.groups[0]?.numbers[0] ?? '')
      : (pad.groups[spot.group]?.numbers[spot.at === 'group' ? 0 : spot.place] ?? '');

  const ways = spots.map((spot): Way[] => {
    const near = touchesAt(pad, spot).flatMap((press): Way[] => {
      const { state } = pressed(pad, spot, press, nowhere);
      if (state.at === 'value' || state.at === 'jump') return [];
      const to = index.get(keyOf(state));
      return to === undefined ? [] : [{ to, presses: [press], effort: effortOf([press]) }];
    });
    const { home, groups, list } = pad.operation;
    const first = spot.at === 'home' ? home.jump : spot.at === 'group' ? groups?.jump : list.jump;
    if (first === undefined) return near;
    const seen = new Set<string>();
    const far = spots.flatMap((s, to): Way[] => {
      if (s.at !== 'entry' || seen.has(numberAt(s)) || parameterAt(pad, numberAt(s)) === undefined) return [];
      seen.add(numberAt(s));
      const presses = jumpPresses(pad, signs, numberAt(spot), numberAt(s), first);
      return presses === null ? [] : [{ to, presses, effort: effortOf(presses) }];
    });
    return [...near, ...far];
  });

  const known = new Map<number, ReturnType<Walks['from']>>();
  const from = (start: number): ReturnType<Walks['from']> => {
    const before = known.get(start);
    if (before !== undefined) return before;
    const effort = spots.map(() => Infinity);
    const by: ({ from: number; way: Way } | null)[] = spots.map(() => null);
    effort[start] = 0;
    const open = new TinyQueue<{ at: number; spent: number }>(
      [{ at: start, spent: 0 }],
      (a, b) => a.spent - b.spent,
    );
    for (let next = open.pop(); next !== undefined; next = open.pop()) {
      if (next.spent > (effort[next.at] ?? 0)) continue;
      for (const way of ways[next.at] ?? []) {
        const spent = next.spent + way.effort;
        if (spent >= (effort[way.to] ?? 0)) continue;
        effort[way.to] = spent;
        by[way.to] = { from: next.at, way };
        open.push({ at: way.to, spent });
      }
    }
    const presses = (to: number): Press[] => {
      const parts: Press[][] = [];
      for (let at = by[to] ?? null; at !== null; at = by[at.from] ?? null) parts.unshift(at.way.presses);
      return parts.flat();
    };
    const found = { effort, presses };
    known.set(start, found);
    return found;
  };
  return { spots, indexOf: (spot) => index.get(keyOf(spot)) ?? 0, from };
}
