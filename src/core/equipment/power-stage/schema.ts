import * as z from 'zod';
import { assumables, terminals } from './vocabulary';

const positive = z.number().positive();

/** A power stage at the border, every property given. */
export const stageSchema = z.strictObject({
  frontEnd: z.enum(['diode-3ph', 'diode-1ph', 'scr-half-3ph']),
  link: z.enum(['none', 'link', 'precharge']),
  fuse: z.enum(['none', 'inverter']),
  brake: z.boolean(),
  dcrAccessible: z.boolean(),
  scrPrecharge: z.enum(['diodes', 'none']),
  prechargeOhm: positive,
  linkOhm: positive,
  bleederOhm: positive,
  capacitance_uF: positive,
  assumed: z.array(z.enum(assumables)).max(assumables.length).readonly().optional(),
});

/** A terminal at the border. */
export const terminalSchema = z.enum(terminals);

/** One terminal of the power strip: its marking on the plate and what it is. */
export const markedTerminalSchema = z.strictObject({
  mark: z.string().trim().min(1).max(12),
  terminal: z.enum([...terminals, 'PE']),
});
