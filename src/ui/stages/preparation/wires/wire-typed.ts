import type { LedgerWire, WireRole } from '@/core/replacement/wires';
import type { Payload } from '@/core/logbook';
import { figureFrom } from '../../../kit/number-from';

/** A wire as it is typed. */
export interface WireTyped {
  number: string;
  from: string;
  role: WireRole | 'none' | 'unknown';
  ferrule: string;
  drawing: string;
  colour: string;
  core: string;
  drawnAt: string;
  looked: boolean;
  proven: boolean;
  volts: string;
  machine: string;
  meanwhile: string;
  later: boolean;
  photos: string[];
}

export const typedWireOf = (w: LedgerWire): WireTyped => ({
  number: String(w.number),
  from: w.from ?? '',
  role: w.role,
  ferrule: w.ferrule,
  drawing: w.drawing,
  colour: w.colour,
  core: w.core,
  drawnAt: w.drawnAt ?? '',
  looked: w.drawnAt !== null,
  proven: w.proven,
  volts: w.volts === undefined ? '' : String(w.volts),
  machine: w.shared?.machine ?? '',
  meanwhile: w.shared?.meanwhile ?? '',
  // Opened to be completed: who still cannot, says so.
  later: false,
  photos: [...w.photos],
});

export const blankWire = (number: number): WireTyped => ({
  number: String(number),
  from: '',
  role: 'unknown',
  ferrule: '',
  drawing: '',
  colour: '',
  core: '',
  drawnAt: '',
  looked: false,
  proven: false,
  volts: '',
  machine: '',
  meanwhile: '',
  later: false,
  photos: [],
});

/** What was typed as an entry; null while something cannot be read. */
export function notedOf(id: string, t: WireTyped): Payload<'wire.noted'> | null {
  const number = Number(t.number);
  const volts = t.volts.trim() === '' ? undefined : figureFrom(t.volts);
  if (!Number.isInteger(number) || number < 1 || number > 9999 || volts === null) return null;
  if (t.from.trim().length > 12) return null;
  return {
    wire: id,
    number,
    from: t.from.trim() === '' ? null : t.from.trim(),
    role: t.role,
    ferrule: t.ferrule.trim(),
    drawing: t.drawing.trim(),
    colour: t.colour.trim(),
    core: t.core.trim(),
    drawnAt: t.looked ? t.drawnAt.trim() : null,
    proven: t.proven && t.role !== 'unknown',
    ...(volts === undefined ? {} : { volts }),
    shared: t.machine.trim() === '' ? null : { machine: t.machine.trim(), meanwhile: t.meanwhile.trim() },
    later: t.later,
    photos: t.photos,
  };
}
