import * as z from 'zod';
import {
  caseProblems,
  lineNames,
  phaseNames,
  usualBank,
  usualInverter,
  usualLink,
  usualMotor,
  usualRectifier,
  usualSupply,
  type DiodeName,
  type SwitchName,
} from './case';

const positive = z.number().positive();
const zeroUp = z.number().min(0);
const ends = ['hi', 'lo'] as const;
const diodeSchema = z.enum(lineNames.flatMap((l) => ends.map((e): DiodeName => `rect.${l}.${e}`)));
const switchSchema = z.enum(phaseNames.flatMap((p) => ends.map((e): SwitchName => `inv.${p}.${e}`)));
const three = (each: z.ZodNumber) => z.tuple([each, each, each]);

/** A supply at the border, with the usual one's defaults. */
export const supplySchema = z.strictObject({
  vll: positive.max(2000).default(usualSupply.vll),
  f: positive.min(10).max(500).default(usualSupply.f),
  phases: z.literal([1, 3]).default(usualSupply.phases),
  vscale: three(zeroUp.max(2)).default([1, 1, 1]),
  phi_deg: three(z.number().min(-720).max(720)).default([0, -120, 120]),
  Rs: zeroUp.max(1e4).default(usualSupply.Rs),
  Ls: zeroUp.max(1).default(usualSupply.Ls),
  openPhase: z.enum(lineNames).nullable().default(null),
});

/** An inverter at the border, with the usual one's defaults. */
export const inverterSchema = z.strictObject({
  mode: z.enum(['spwm', 'svm']).default(usualInverter.mode),
  m: zeroUp.max(4).default(usualInverter.m),
  f1: positive.max(1000).default(usualInverter.f1),
  fc: positive.min(100).max(40_000).default(usualInverter.fc),
  deadTime: zeroUp.max(2e-5).default(usualInverter.deadTime),
  Vce: zeroUp.max(20).default(usualInverter.Vce),
  Rce: zeroUp.max(100).default(usualInverter.Rce),
  Vfd: zeroUp.max(20).default(usualInverter.Vfd),
  Rfd: zeroUp.max(100).default(usualInverter.Rfd),
  openSwitch: switchSchema.nullable().default(null),
  earthFault: z
    .strictObject({ phase: z.enum(phaseNames), ohm: zeroUp.max(1e6) })
    .nullable()
    .default(null),
});

/** The circuit in the words of docs/contracts/waveform.md; what is not said is the usual. */
export const circuitShape = {
  supply: supplySchema.prefault({}),
  rectifier: z
    .strictObject({
      Vf: zeroUp.max(20).default(usualRectifier.Vf),
      Ron: zeroUp.max(1000).default(usualRectifier.Ron),
      Roff: positive.min(1e3).max(1e9).default(usualRectifier.Roff),
      openDiode: diodeSchema.nullable().default(null),
      shortDiode: diodeSchema.nullable().default(null),
    })
    .prefault({}),
  link: z
    .strictObject({
      Ldc: zeroUp.max(10).default(usualLink.Ldc),
      Rdc: zeroUp.max(1e4).default(usualLink.Rdc),
      Rpre: zeroUp.max(1e6).default(usualLink.Rpre),
    })
    .prefault({}),
  bank: z
    .strictObject({
      C: zeroUp.max(10).default(usualBank.C),
      ESR: zeroUp.max(1000).default(usualBank.ESR),
      v0: z.number().min(0).max(3000).default(usualBank.v0),
    })
    .prefault({}),
  load: z
    .union([
      z.strictObject({ kind: z.literal('R'), R: zeroUp.max(1e9) }),
      z.strictObject({ kind: z.literal('P'), P: zeroUp.max(1e7), Vmin: positive.default(100) }),
      z.strictObject({ kind: z.literal('inverter') }),
      z.strictObject({ kind: z.literal('none') }),
    ])
    .default({ kind: 'inverter' }),
  inverter: inverterSchema.prefault({}),
  motor: z
    .strictObject({
      kind: z.literal('RL').default('RL'),
      R: zeroUp.max(1e6).default(usualMotor.R),
      L: zeroUp.max(100).default(usualMotor.L),
      emf: zeroUp.max(3000).default(usualMotor.emf),
      emfLag_deg: z.number().min(-360).max(360).default(0),
      openPhase: z.enum(phaseNames).nullable().default(null),
    })
    .prefault({}),
  window: z.tuple([z.number(), z.number()]).default([0.9, 1]),
};

/** Circuits that cannot be computed are refused with the place that is wrong. */
export const possible = (given: Parameters<typeof caseProblems>[0], issues: z.core.$RefinementCtx): void => {
  for (const problem of caseProblems(given))
    issues.addIssue({ code: 'custom', path: problem.path.split('.'), message: problem.allowed });
};
