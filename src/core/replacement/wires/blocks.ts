import type { Parameter } from '../../equipment/catalogue';
import { meaningOf, parameterFor } from '../../equipment/drive-words';
import { contacts, type Contact, type WireRole, type UnitTerminal, type WiredUnit } from './terminals';
import type { EntryChange, Wire } from './wire';
import { outputConcept, inputSignalConcept, inputConcept } from '../../equipment/concepts';

/** Wires that must go to one place together: all on one terminal that do one thing, or those of one relay. */
export interface Node {
  wires: Wire[];
  kind: 'digital' | 'analog-in' | 'relay';
  /** What it does without the side of the contact, e.g. `in:reset`, `relay:running`. */
  does: string;
  /** Of a relay: the sides that have a wire. */
  contacts: Contact[];
  /** Where it was, counted along the old strip. */
  order: number;
  /** It is what the old unit took its remote reference from. */
  reference: boolean;
}

/** A place of the new unit that one node can take. */
export interface TerminalBlock {
  id: string;
  kind: Node['kind'];
  terminals: UnitTerminal[];
  order: number;
}

const relayDoes = (role: string): string => role.split(':').slice(0, 2).join(':');
/** The contact that a role asks for; null where it is none of a relay. */
export const contactOf = (role: WireRole | 'none' | 'unknown'): Contact | null =>
  role.startsWith('relay:') ? (contacts.find((c) => role.endsWith(`:${c}`)) ?? null) : null;

const remoteReference = (unit: WiredUnit): string | null => {
  const source = meaningOf(unit.control, unit.values, 'place.remote-reference');
  return typeof source === 'string' ? source : null;
};

/** Wires that want an input, an analog input or a relay, as nodes. */
export function wireNodesOf(
  wires: readonly Wire[],
  old: WiredUnit,
  oldTerminals: readonly UnitTerminal[],
): Node[] {
  const terminalAt = (mark: string | null): UnitTerminal | undefined =>
    oldTerminals.find((t) => t.mark === mark);
  const nodes = new Map<string, Node>();
  for (const wire of wires) {
    const { role } = wire;
    const kind = role.startsWith('in:')
      ? 'digital'
      : role.startsWith('reference-')
        ? 'analog-in'
        : role.startsWith('relay:')
          ? 'relay'
          : null;
    if (kind === null) continue;
    const at = terminalAt(wire.from);
    const does = kind === 'relay' ? relayDoes(role) : role;
    const place = kind === 'relay' ? (at?.block ?? does) : (wire.from ?? wire.id);
    const key = `${kind}|${place}|${does}`;
    const contact = contactOf(role);
    const node = nodes.get(key) ?? {
      wires: [],
      kind,
      does,
      contacts: [],
      order: at === undefined ? 0 : oldTerminals.indexOf(at),
      reference: at !== undefined && at.block === remoteReference(old),
    };
    node.wires.push(wire);
    if (contact !== null && !node.contacts.includes(contact)) node.contacts.push(contact);
    nodes.set(key, node);
  }
  return [...nodes.values()];
}

const blockKinds: readonly Node['kind'][] = ['digital', 'analog-in', 'relay'];

/** The places of a unit that nodes can take. */
export function terminalBlocksOf(terminals: readonly UnitTerminal[]): TerminalBlock[] {
  const blocks = new Map<string, TerminalBlock>();
  terminals.forEach((t, order) => {
    const kind = blockKinds.find((k) => k === t.electrical);
    if (kind === undefined) return;
    const block = blocks.get(t.block) ?? { id: t.block, kind, terminals: [], order };
    block.terminals.push(t);
    blocks.set(t.block, block);
  });
  return [...blocks.values()];
}

const changeOf = (p: Parameter, means: (word: string) => boolean): EntryChange | null => {
  const choice = p.choices?.find((c) => c.means !== undefined && means(c.means));
  return choice === undefined
    ? null
    : { number: p.number, name: p.name, value: choice.value, shown: choice.name };
};

/** What a node costs at a block: 0 it does that there already, some where an entry must change, infinite where it cannot be. */
export interface BlockFit {
  cost: number;
  change: EntryChange | null;
  /** Sides of a contact that the block does not have. */
  missing: Contact[];
}

const cannot: BlockFit = { cost: Infinity, change: null, missing: [] };
/** Costs order the ways, they are no measure of anything: an entry to change is worse than a longer way, no place is worst. */
const toChange = 10;
const takenFromAnother = 5;
const wrongReference = 4;
const missingContact = 100;
/** What a place costs that a node cannot have. */
export const noPlace = 1000;

/** What `node` costs at `block` of `next`. `wanted`: what the nodes do, so that no place is taken from one that is there already. */
export function fitting(
  node: Node,
  block: TerminalBlock,
  next: WiredUnit,
  wanted: ReadonlySet<string>,
): BlockFit {
  if (node.kind !== block.kind) return cannot;
  const { control, values } = next;
  if (node.kind === 'relay') {
    const missing = node.contacts.filter((c) => !block.terminals.some((t) => t.contact === c));
    const away = missing.length * missingContact;
    const role = block.terminals[0]?.role ?? null;
    if (role !== null && relayDoes(role) === node.does) return { cost: away, change: null, missing };
    const entry = parameterFor(control, outputConcept(block.id));
    const change = entry === undefined ? null : changeOf(entry, (m) => `relay:${m}` === node.does);
    return change === null ? cannot : { cost: toChange + away, change, missing };
  }
  const [terminal] = block.terminals;
  if (terminal === undefined) return cannot;
  if (node.kind === 'analog-in') {
    const away = node.reference && remoteReference(next) !== block.id ? wrongReference : 0;
    if (terminal.role === node.does) return { cost: away, change: null, missing: [] };
    const entry = parameterFor(control, inputSignalConcept(block.id));
    const wants = node.does === 'reference-volts' ? /V$/ : /mA$/;
    const change = entry === undefined ? null : changeOf(entry, (m) => wants.test(m));
    // No entry: a jumper or a switch chooses.
    const byHand = control.analogInputs.find((a) => a.id === block.id)?.jumper !== undefined;
    return change === null && !byHand ? cannot : { cost: toChange + away, change, missing: [] };
  }
  if (terminal.role === node.does) return { cost: 0, change: null, missing: [] };
  const entry = parameterFor(control, inputConcept(block.id));
  const change = entry === undefined ? null : changeOf(entry, (m) => `in:${m}` === node.does);
  if (change === null) return cannot;
  const hasOne = terminal.role !== null && wanted.has(terminal.role);
  return {
    cost: toChange + (hasOne ? takenFromAnother : 0) + (values[change.number] === change.value ? -1 : 0),
    change,
    missing: [],
  };
}
