import { assign } from './assign';
import {
  contactOf,
  fitting,
  noPlace,
  terminalBlocksOf,
  wireNodesOf,
  type BlockFit,
  type TerminalBlock,
} from './blocks';
import { mapNotes, type MapNote } from './notes';
import { unitTerminals, type UnitTerminal, type WiredUnit } from './terminals';
import { mostControlVolts, wireRoleWords, type Jumpers, type Wire, type WirePlacement } from './wire';
import { recordOf } from '../../numerics/arrays';

/** Where each wire of an old unit goes on a new one. */
export interface WireMap {
  fates: WirePlacement[];
  counts: Readonly<Record<WirePlacement['outcome'], number>>;
  /** Jumpers the new unit comes with that must come out, because a wire takes their place. */
  jumpersOut: [string, string][];
  /** Those that stay, as nothing is wired there. */
  jumpersStay: [string, string][];
  notes: MapNote[];
  old: UnitTerminal[];
  next: UnitTerminal[];
}

const outcomes = ['goes', 'set', 'no-home', 'cap', 'unknown', 'by-hand', 'chosen'] as const;

/** A wire that has no terminal to go to, and why. */
const nowhere = ({ id }: Wire, outcome: WirePlacement['outcome'], why: string): WirePlacement => ({
  wire: id,
  to: null,
  outcome,
  why,
  change: null,
});

/** Roles that have at most one terminal, which takes any number of wires. */
function direct(wire: Wire, next: readonly UnitTerminal[], options: readonly string[]): WirePlacement | null {
  const { id, role } = wire;
  const none = (outcome: WirePlacement['outcome'], why: string) => nowhere(wire, outcome, why);
  if (role === 'none') return none('cap', 'Not connected: cap and tag it.');
  if (role === 'unknown' && wire.accepted)
    return none('cap', `Unknown wire, accepted by ${wire.accepted.by}: cap and tag it.`);
  if (role === 'unknown') return none('unknown', 'Unknown wire: trace it before removing the unit.');
  if (role === 'option')
    return none(
      'by-hand',
      options.length === 0
        ? 'The new unit has no such option.'
        : `Option board wire: the new unit would need ${options.join(' or ')}.`,
    );
  if (role === 'serial' || role === 'thermistor')
    return none(
      'by-hand',
      `Terminal for ${wireRoleWords(role)} of the new unit is not in the catalogue: see its manual.`,
    );
  if (/^(in|relay):|^reference-/.test(role)) return null;
  const home = next.find((t) => t.role === role);
  return home === undefined
    ? none('no-home', `The new unit has no terminal for “${wireRoleWords(role)}”.`)
    : {
        wire: id,
        to: home.mark,
        outcome: 'goes',
        why: `${wireRoleWords(role)} is ${home.mark} there.`,
        change: null,
      };
}

/** More volts were seen on it than a control terminal takes. */
const hot = (w: Wire): boolean =>
  w.volts !== undefined && Math.abs(w.volts) > mostControlVolts && /^(in:|reference-)/.test(w.role);

/** Where a wire is or shall be whatever the map would say; null: nowhere; undefined: the map says. */
const fixedAt = (w: Wire): string | null | undefined => w.landed ?? w.chosen;

/** A wire that is somewhere already, or that a person put there: does the terminal do what it is? */
function fixed(
  w: Wire,
  oldTerminals: readonly UnitTerminal[],
  nextTerminals: readonly UnitTerminal[],
  { old, next }: { old: WiredUnit; next: WiredUnit },
): WirePlacement {
  const to = fixedAt(w) ?? null;
  const said = (
    outcome: WirePlacement['outcome'],
    why: string,
    change: WirePlacement['change'] = null,
  ): WirePlacement => ({
    wire: w.id,
    to,
    outcome,
    why,
    change,
  });
  const settled = w.landed === undefined ? 'chosen' : 'goes';
  const by = w.landed === undefined ? 'Chosen by a person.' : `Terminal ${to ?? ''}.`;
  const terminal = nextTerminals.find((t) => t.mark === to);
  if (to === null || terminal === undefined || w.role === 'none' || w.role === 'unknown')
    return said(settled, by);
  if (hot(w) && terminal.electrical !== 'power' && terminal.electrical !== 'relay')
    return said('by-hand', `${by} ${String(w.volts)} V measured: not allowed on that terminal.`);
  if (terminal.role === w.role || /^(option|serial|thermistor)$/.test(w.role)) return said(settled, by);
  const [node] = wireNodesOf([w], old, oldTerminals);
  const is = terminal.role === null ? 'nothing' : `“${wireRoleWords(terminal.role)}”`;
  const contact = contactOf(w.role);
  if (node === undefined || (contact !== null && terminal.contact !== contact))
    return said('by-hand', `${by} ${to} is ${is}, not “${wireRoleWords(w.role)}”.`);
  const block = terminalBlocksOf(nextTerminals).find((b) => b.id === terminal.block);
  const fit = block === undefined ? null : fitting(node, block, next, new Set());
  if (fit === null || fit.cost === Infinity)
    return said('by-hand', `${by} ${to} cannot be “${wireRoleWords(w.role)}”.`);
  return fit.change === null
    ? said(settled, by)
    : said(
        'set',
        `${by} ${to} is ${is} now: ${fit.change.number} ${fit.change.name} must be “${fit.change.shown}”.`,
        fit.change,
      );
}

/** Where a wire goes on the block that the assignment gave it; the contacts of a relay stay the same. */
function placedAt(w: Wire, block: TerminalBlock | undefined, fit: BlockFit | undefined): WirePlacement {
  const what = wireRoleWords(w.role);
  if (block === undefined || fit === undefined || fit.cost === Infinity)
    return nowhere(w, 'no-home', `No free terminal for “${what}”.`);
  const contact = contactOf(w.role);
  const home = block.terminals.find((t) => contact === null || t.contact === contact);
  if (home === undefined)
    return nowhere(
      w,
      'no-home',
      `The relay ${block.terminals.map((t) => t.mark).join(' ')} has no ${contact ?? ''} contact.`,
    );
  const { change } = fit;
  return {
    wire: w.id,
    to: home.mark,
    outcome: change === null ? 'goes' : 'set',
    why:
      change === null
        ? `${home.mark} is “${what}”.`
        : `${home.mark} can be “${what}” when ${change.number} ${change.name} is “${change.shown}”.`,
    change,
  };
}

/**
 * Where each wire of an old unit goes on a new one. Inputs, analog inputs and relays are one assignment problem: as few entries
 * to change as can be, nothing taken from a place that does it already, the contacts of a relay together; the rest follows from
 * what it is.
 * @param old what it was wired to, with its values
 * @param next with the values it will have (the translated set)
 * @param jumpers positions that were seen on the old unit
 */
export function wireMap(
  wires: readonly Wire[],
  old: WiredUnit,
  next: WiredUnit,
  jumpers: Jumpers = {},
): WireMap {
  const oldTerminals = unitTerminals(old, jumpers);
  const nextTerminals = unitTerminals(next);
  const free = wires.filter((w) => fixedAt(w) === undefined);
  const nodes = wireNodesOf(
    free.filter((w) => !hot(w)),
    old,
    oldTerminals,
  );
  const takenByHand = new Set(wires.flatMap((w) => fixedAt(w) ?? []));
  const blocks = terminalBlocksOf(nextTerminals).filter(
    (b) => !b.terminals.some((t) => t.electrical !== 'relay' && takenByHand.has(t.mark)),
  );
  const wanted = new Set(nodes.map((n) => n.does));
  const fits = nodes.map((n) => blocks.map((b) => fitting(n, b, next, wanted)));
  const order = (n: number, b: number): number => Math.abs(n - b) * 1e-3;
  const places = assign(
    nodes.map((n, i) => [
      ...blocks.map((b, k) => (fits[i]?.[k]?.cost ?? Infinity) + order(n.order, b.order)),
      ...nodes.map((_, k) => (k === i ? noPlace : Infinity)),
    ]),
  );
  const placed = nodes.flatMap((n, i): WirePlacement[] => {
    const at = places[i] ?? -1;
    const block = blocks[at];
    const fit = fits[i]?.[at];
    return n.wires.map((w) => placedAt(w, block, fit));
  });
  const options = next.control.options.map((o) => o.name);
  const known = new Map(placed.map((f) => [f.wire, f]));
  const fates = wires.map((w): WirePlacement => {
    if (fixedAt(w) !== undefined) return fixed(w, oldTerminals, nextTerminals, { old, next });
    if (hot(w))
      return nowhere(
        w,
        'no-home',
        `${String(w.volts)} V measured: an input allows ${String(mostControlVolts)} V at most. Use an interposing relay.`,
      );
    return known.get(w.id) ?? direct(w, nextTerminals, options) ?? nowhere(w, 'no-home', 'No terminal.');
  });
  const used = new Set(fates.flatMap((f) => (f.to === null ? [] : [f.to])));
  const factory = next.control.safeStop?.factoryJumpers ?? [];
  // A jumper is in the way where a wire takes its live end. Where a channel is wired and its return is not, none comes out for it.
  const out = factory.filter(([, end]) => used.has(end));
  return {
    fates,
    counts: recordOf(outcomes, (o) => fates.filter((f) => f.outcome === o).length),
    jumpersOut: out,
    jumpersStay: factory.filter((j) => !out.includes(j)),
    notes: mapNotes({ wires, fates, old, next, oldTerminals, jumpers }),
    old: oldTerminals,
    next: nextTerminals,
  };
}
