import TinyQueue from 'tinyqueue';
import type { Operation } from '../../equipment/catalogue';
import { effortOf, rampEffort } from './effort';
import { heldSteps, type Press, type Track } from './pad';

type Value = Operation['value'];

/** Fewest steps of 1, 10, 100… up and down that come to a difference, with so many digits. */
function fewestSteps(difference: number, digits: number): number {
  const n = Math.abs(difference);
  if (digits <= 1 || n < 10) return digits <= 1 ? n : Math.min(n, 10 - n + 1);
  const [tens, ones] = [Math.floor(n / 10), n % 10];
  return Math.min(ones + fewestSteps(tens, digits - 1), 10 - ones + fewestSteps(tens + 1, digits - 1));
}

interface Node {
  place: number;
  cursor: number;
  spent: number;
  left: number;
  last: Press | null;
  before: Node | null;
}

/**
 * By cursor: A* over value and cursor. What is left is at least the fewest steps, straight or from either end of the
 * range, where a step too far only goes as far as it can.
 */
function byCursor({ lowest, highest, digits }: Track, value: Value, from: number, to: number): Press[] {
  const least = (at: number): number =>
    Math.min(
      fewestSteps(to - at, digits),
      1 + fewestSteps(highest - to, digits),
      1 + fewestSteps(to - lowest, digits),
    );
  const start = { place: from, cursor: 0, spent: 0, left: least(from), last: null, before: null };
  const open = new TinyQueue<Node>([start], (a, b) => a.spent + a.left - b.spent - b.left || a.left - b.left);
  const done = new Set<number>();
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    const here = node;
    if (here.place === to) return trail(here);
    const key = node.place * digits + node.cursor;
    if (done.has(key)) continue;
    done.add(key);
    const reach = (place: number, cursor: number, last: Press): void => {
      const at = Math.max(lowest, Math.min(highest, place));
      open.push({
        place: at,
        cursor,
        spent: here.spent + effortOf([last]),
        left: least(at),
        last,
        before: here,
      });
    };
    reach(node.place + 10 ** node.cursor, node.cursor, value.up);
    reach(node.place - 10 ** node.cursor, node.cursor, value.down);
    if (value.cursor !== undefined) reach(node.place, (node.cursor + 1) % digits, value.cursor);
  }
  return [];
}

function trail(node: Node): Press[] {
  const presses: Press[] = [];
  for (let at: Node | null = node; at !== null && at.last !== null; at = at.before) presses.push(at.last);
  return presses.reverse();
}

const times = (press: Press, n: number): Press[] => Array.from({ length: n }, () => press);

/** Longest hold that is looked at: what is farther is reached by a second one. */
const longest_ticks = 100;

/** Step by step, a key held where that is quicker: none, one or two holds, and taps for the rest. */
function byStepping(
  { lowest, highest }: Track,
  value: Value,
  hold: Operation['hold'],
  from: number,
  to: number,
): Press[] {
  const within = (place: number): number => Math.max(lowest, Math.min(highest, place));
  const taps = (at: number): number => Math.abs(to - at);
  let best: { effort: number; holds: readonly { up: boolean; ticks: number }[]; at: number } = {
    effort: taps(from),
    holds: [],
    at: from,
  };
  const holdOn = (at: number, spent: number, holds: typeof best.holds): void => {
    if (hold === undefined) return;
    for (const up of [to > at, to <= at])
      for (let ticks = 1; ticks <= longest_ticks; ticks += 1) {
        const effort = spent + rampEffort(ticks);
        if (effort >= best.effort) break;
        const then = within(at + (up ? 1 : -1) * heldSteps(hold, ticks));
        const more = [...holds, { up, ticks }];
        if (effort + taps(then) < best.effort) best = { effort: effort + taps(then), holds: more, at: then };
        if (more.length < 2) holdOn(then, effort, more);
        if (then === lowest || then === highest) break;
      }
  };
  holdOn(from, 0, []);
  const ramps = best.holds.map(({ up, ticks }): Press => ({
    cap: (up ? value.up : value.down).cap,
    held: true,
    ticks,
  }));
  return [...ramps, ...times(to > best.at ? value.up : value.down, taps(best.at))];
}

/** The presses of least effort from one place of a track to another, within an open value. */
export function cheapestEdit(
  operation: Pick<Operation, 'value' | 'hold'>,
  track: Track,
  from: number,
  to: number,
): Press[] {
  return track.digits > 1
    ? byCursor(track, operation.value, from, to)
    : byStepping(track, operation.value, operation.hold, from, to);
}
