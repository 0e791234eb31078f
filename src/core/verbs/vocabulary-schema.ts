import * as z from 'zod';
import { commonMeter, faultModes, positions, stage, terminals } from '../power-stage';

const positive = z.number().positive();
const usual = stage();

export const stageSchema = z.strictObject({
  frontEnd: z.enum(['diode-3ph', 'diode-1ph', 'scr-half-3ph']).default(usual.frontEnd),
  link: z.enum(['none', 'link', 'precharge']).default(usual.link),
  fuse: z.enum(['none', 'inverter']).default(usual.fuse),
  brake: z.boolean().default(usual.brake),
  dcrAccessible: z.boolean().default(usual.dcrAccessible),
  scrPrecharge: z.enum(['diodes', 'none']).default(usual.scrPrecharge),
  prechargeOhm: positive.default(usual.prechargeOhm),
  linkOhm: positive.default(usual.linkOhm),
  bleederOhm: positive.default(usual.bleederOhm),
  capacitance_uF: positive.default(usual.capacitance_uF),
});

export const meterSchema = z.strictObject({
  testCurrent_mA: z.number().min(0.001).max(1000).default(commonMeter.testCurrent_mA),
  openCircuit_V: z.number().min(0.1).max(100).default(commonMeter.openCircuit_V),
  ceiling_V: z.number().min(0.05).max(100).default(commonMeter.ceiling_V),
  resolution_V: z.number().min(1e-6).max(1).default(commonMeter.resolution_V),
});

export const temperatureSchema = z.number().min(-60).max(200);
export const terminalSchema = z.enum(terminals);
export const positionSchema = z.enum(positions);
export const faultModeSchema = z.enum(faultModes);

export const faultSchema = z.strictObject({
  component: positionSchema,
  mode: faultModeSchema,
  ohm: positive.optional(),
  addedOhm: z.number().min(0).optional(),
  isScale: positive.optional(),
});

export const valueSchema = z.union([z.literal('OL'), z.literal('climbing'), z.number()]);
export const noteSchema = z.array(z.strictObject({ code: z.string(), text: z.string() }));
/** Any JSON value, echoed. */
export const always = { id: z.json().optional(), note: z.json().optional() };
