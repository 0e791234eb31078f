import type { RecordedWire } from '../../../replacement/wires';
import type { EntryOf } from '../../entry';

/** Kinds of entries about one wire. */
export const wireKinds = [
  'wire.noted',
  'wire.removed',
  'wire.accepted',
  'wire.chosen',
  'wire.ticked',
] as const;
type WireEntry = EntryOf<(typeof wireKinds)[number]>;

/** The wires after one of its entries. */
export function applyWire(
  wires: readonly RecordedWire[],
  entry: WireEntry,
): readonly RecordedWire[] | { void: string } {
  const { wire: id } = entry.payload;
  const known = wires.find((w) => w.id === id);
  if (entry.kind === 'wire.noted') {
    const { wire: _, volts, ...found } = entry.payload;
    const noted: RecordedWire = {
      id,
      ...found,
      ...(volts === undefined ? {} : { volts }),
      ...(known?.chosen === undefined ? {} : { chosen: known.chosen }),
      ...(known?.landed === undefined ? {} : { landed: known.landed }),
      // Taken on as unknown: known now, or another thing.
      accepted: found.role === 'unknown' ? (known?.accepted ?? null) : null,
      ticked: known?.ticked ?? {},
    };
    return known === undefined ? [...wires, noted] : wires.map((w) => (w.id === id ? noted : w));
  }
  if (known === undefined) return { void: 'This wire is not in this job.' };
  const changed = (change: Partial<RecordedWire>): RecordedWire[] =>
    wires.map((w) => (w.id === id ? { ...w, ...change } : w));
  switch (entry.kind) {
    case 'wire.removed':
      return wires.filter((w) => w.id !== id);
    case 'wire.accepted':
      return entry.by.role === 'apprentice'
        ? { void: 'Only a technician or the lead can accept an unknown wire.' }
        : changed({ accepted: { by: entry.by.name, reason: entry.payload.reason } });
    case 'wire.chosen':
      return wires.map((w) => {
        if (w.id !== id) return w;
        const { chosen: _, ...rest } = w;
        return entry.payload.back ? rest : { ...rest, chosen: entry.payload.to };
      });
    case 'wire.ticked': {
      const { end, on, to } = entry.payload;
      const { [end]: _, ...other } = known.ticked;
      const ticked = on ? { ...other, [end]: entry.by.name } : other;
      const { landed: was, ...rest } = known;
      const landed = end !== 'drive' ? was : on ? to : undefined;
      return wires.map((w) =>
        w.id === id ? { ...rest, ticked, ...(landed === undefined ? {} : { landed }) } : w,
      );
    }
  }
}
