import * as z from 'zod';
import { roles, type RecordedWire } from '@/core/replacement/wires';
import { anyFigure, orNone } from '../../../kit/form-figures';

/** A wire as it is typed. */
const wireShape = z.object({
  number: z
    .string()
    .trim()
    .regex(/^[1-9]\d{0,3}$/, 'A whole number from 1')
    .transform(Number),
  from: z.string().trim().max(12, 'At most 12 characters'),
  unlisted: z.boolean(),
  role: z.enum(['none', 'unknown', ...roles]),
  ferrule: z.string().trim(),
  drawing: z.string().trim(),
  colour: z.string().trim(),
  core: z.string().trim(),
  drawnAt: z.string().trim(),
  looked: z.boolean(),
  proven: z.boolean(),
  volts: orNone(anyFigure),
  machine: z.string().trim(),
  meanwhile: z.string().trim(),
  later: z.boolean(),
  photos: z.array(z.string()),
});
export type WireTyped = z.input<typeof wireShape>;

/**
 * A wire as it is typed, and what is read of it.
 * @param misfit why the old unit has no such terminal; null: it has, or nobody knows
 */
export const wireSchema = (misfit: (mark: string) => string | null) =>
  wireShape
    .superRefine(({ from, unlisted }, ctx) => {
      const why = from === '' || unlisted ? null : misfit(from);
      if (why !== null) ctx.addIssue({ code: 'custom', path: ['from'], message: why });
    })
    .transform(({ from, looked, drawnAt, volts, machine, meanwhile, proven, unlisted, ...read }) => ({
      ...read,
      from: from === '' ? null : from,
      drawnAt: looked ? drawnAt : null,
      proven: proven && read.role !== 'unknown',
      ...(volts === null ? {} : { volts }),
      ...(unlisted && from !== '' && misfit(from) !== null ? { unlisted: true as const } : {}),
      shared: machine === '' ? null : { machine, meanwhile },
    }));

export const typedWireOf = (w: RecordedWire): WireTyped => ({
  number: String(w.number),
  from: w.from ?? '',
  unlisted: w.unlisted === true,
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
  unlisted: false,
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
