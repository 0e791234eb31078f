import * as z from 'zod';
import { commonMeter, faultModes, positions, stage } from '../equipment/power-stage';
import { stageSchema as wholeStage, terminalSchema } from '../equipment/power-stage/schema';

export { terminalSchema };

const positive = z.number().positive();
const usual = stage();

const { shape } = wholeStage;

/** The stage with the contract's defaults: what is not said is the usual. */
export const contractStageSchema = z.strictObject({
  frontEnd: shape.frontEnd.default(usual.frontEnd),
  link: shape.link.default(usual.link),
  fuse: shape.fuse.default(usual.fuse),
  brake: shape.brake.default(usual.brake),
  dcrAccessible: shape.dcrAccessible.default(usual.dcrAccessible),
  scrPrecharge: shape.scrPrecharge.default(usual.scrPrecharge),
  prechargeOhm: shape.prechargeOhm.default(usual.prechargeOhm),
  linkOhm: shape.linkOhm.default(usual.linkOhm),
  bleederOhm: shape.bleederOhm.default(usual.bleederOhm),
  capacitance_uF: shape.capacitance_uF.default(usual.capacitance_uF),
});

export const meterSchema = z.strictObject({
  testCurrent_mA: z.number().min(0.001).max(1000).default(commonMeter.testCurrent_mA),
  openCircuit_V: z.number().min(0.1).max(100).default(commonMeter.openCircuit_V),
  ceiling_V: z.number().min(0.05).max(100).default(commonMeter.ceiling_V),
  resolution_V: z.number().min(1e-6).max(1).default(commonMeter.resolution_V),
});

export const temperatureSchema = z.number().min(-60).max(200);
export const positionSchema = z.enum(positions);
export const faultModeSchema = z.enum(faultModes);

export const faultSchema = z.strictObject({
  component: positionSchema,
  mode: faultModeSchema,
  ohm: positive.optional(),
  addedOhm: z.number().min(0).optional(),
  isScale: positive.optional(),
});

/** More than this no diode test meter gives or stands, V. */
const mostShown_V = 2000;
export const valueSchema = z.union([
  z.literal('OL'),
  z.literal('climbing'),
  z.number().min(-mostShown_V).max(mostShown_V),
]);
export const noteSchema = z.array(z.strictObject({ code: z.string(), text: z.string() }));
/** Any JSON value, echoed. */
export const always = { id: z.json().optional(), note: z.json().optional() };
