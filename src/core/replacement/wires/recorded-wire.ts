import type { Wire, WirePlacement } from './wire';

/** The two ends of a wire that are looked at when it is on again. */
export const wireEnds = ['drive', 'field'] as const;
/** An end of a wire. */
export type WireEnd = (typeof wireEnds)[number];

/** A wire of the list: what was found of it, and what became of it. */
export interface RecordedWire extends Wire {
  /** Its number in the list, on its label. */
  number: number;
  ferrule: string;
  drawing: string;
  colour: string;
  core: string;
  /** Terminal it has in the drawing; null: nobody looked. */
  drawnAt: string | null;
  /** What it is was proven, not read off a drawing. */
  proven: boolean;
  /** Its terminal stands so on the unit, although the catalogue does not have the mark. */
  unlisted?: true | undefined;
  /** The rest comes at a desk. */
  later: boolean;
  /** The signal feeds another machine as well; what that one does meanwhile, as far as it is known. */
  shared: { machine: string; meanwhile: string } | null;
  photos: readonly string[];
  /** Who takes it on although nobody knows what it is. */
  accepted: { by: string; reason: string } | null;
  /** Who saw it at each end when it was on again. */
  ticked: Partial<Record<WireEnd, string>>;
}

/** Something about a wire that a person must settle or know. */
export interface WireIssue {
  wire: string;
  text: string;
  /** The old unit does not come out before it is settled. */
  holds: boolean;
}

const named = (w: RecordedWire): string =>
  `Wire ${String(w.number)}${w.ferrule === '' ? '' : ` “${w.ferrule}”`}${w.from === null ? '' : ` on ${w.from}`}`;

/** A wire with nothing behind it that nobody took on. */
export const isOpen = (w: Pick<RecordedWire, 'role' | 'accepted'>): boolean =>
  w.role === 'unknown' && w.accepted === null;

/** Both channels of the STO are wired, and nothing is on their return: a wire was overlooked, or a jumper that counts as one. */
export const lacksSafeReturn = (wires: readonly Pick<RecordedWire, 'role'>[]): boolean =>
  ['safe-1', 'safe-2'].every((role) => wires.some((w) => w.role === role)) &&
  !wires.some((w) => w.role === 'safe-return');

/** What is to be done about it. */
export const safeReturnWords =
  'Both STO channels are wired but their return is not. Find it before removing the old unit; a jumper there counts as a wire.';

/** Where a wire ends up, in a word: a terminal, `cap` where it gets none, `open` where that is not settled. */
export const endOf = (placement: WirePlacement | undefined): string =>
  placement === undefined
    ? 'open'
    : (placement.to ?? (placement.outcome === 'cap' || placement.outcome === 'chosen' ? 'cap' : 'open'));

/**
 * What stands against taking the old unit out, and what is good to know.
 * @param fates where each goes (`wireMap`)
 */
export function wireIssues(wires: readonly RecordedWire[], fates: readonly WirePlacement[]): WireIssue[] {
  const placementOf = new Map(fates.map((f) => [f.wire, f]));
  const numbers = wires.map((w) => w.number);
  const channel = lacksSafeReturn(wires) ? wires.find((w) => w.role === 'safe-1') : undefined;
  return wires.flatMap((w): WireIssue[] => {
    const issue = (holds: boolean, text: string): WireIssue => ({
      wire: w.id,
      holds,
      text: `${named(w)}: ${text}`,
    });
    const placement = placementOf.get(w.id);
    const homeless = placement?.outcome === 'no-home' || placement?.outcome === 'by-hand';
    return [
      ...(isOpen(w) ? [issue(true, 'unknown wire. Trace it, or accept it by name.')] : []),
      ...(homeless ? [issue(true, `${placement.why} Choose a terminal, or “no terminal”.`)] : []),
      ...(w.shared !== null && w.shared.meanwhile === ''
        ? [issue(true, `it also feeds ${w.shared.machine}. What does that machine do meanwhile?`)]
        : []),
      ...(w === channel ? [issue(true, safeReturnWords)] : []),
      ...(w.later ? [issue(true, 'quick entry: details missing.')] : []),
      ...(numbers.indexOf(w.number) !== wires.indexOf(w)
        ? [issue(true, 'duplicate number. Use another one.')]
        : []),
      ...(w.drawnAt !== null && w.drawnAt !== (w.from ?? '')
        ? [
            issue(
              false,
              `the drawing shows ${w.drawnAt === '' ? 'no terminal' : w.drawnAt}. The actual wiring counts.`,
            ),
          ]
        : []),
      ...(!w.proven && w.role !== 'unknown' && w.role !== 'none'
        ? [issue(false, 'function not proven yet.')]
        : []),
    ];
  });
}

/** Wires that get a terminal and were not seen at both ends yet. */
export const unticked = (wires: readonly RecordedWire[], fates: readonly WirePlacement[]): RecordedWire[] => {
  const placed = new Set(fates.filter((f) => f.to !== null).map((f) => f.wire));
  return wires.filter((w) => placed.has(w.id) && wireEnds.some((end) => w.ticked[end] === undefined));
};

/** What a label says in its code: any reader shows it, and the app finds the wire by it. */
export const labelText = (jobId: string, wire: Pick<RecordedWire, 'number'>): string =>
  `grim-spanner job ${jobId} wire ${String(wire.number)}`;

/** The other way; null where it is no label of ours. */
export function labelFrom(text: string): { jobId: string; number: number } | null {
  const found = /^grim-spanner job ([0-9a-f-]{36}) wire (\d{1,4})$/.exec(text.trim());
  return found === null ? null : { jobId: found[1] ?? '', number: Number(found[2]) };
}
