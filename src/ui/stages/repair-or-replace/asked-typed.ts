import * as z from 'zod';
import { emcCategories, networkQuestions, type UnitRequirements } from '@/core/replacement/replacement';
import type { Payload } from '@/core/logbook';
import { cableOf, cableShape, cableTyped } from '../../panels/cable-fields';
import { anyFigure, orNone, positiveFigure, temperatureFigure } from '../../kit/form-figures';

export const figures = [
  ['motorAmps', 'Motor amps', 'A'],
  ['altitude_m', 'Altitude', 'm'],
  ['carrier_kHz', 'Carrier', 'kHz'],
  ['brakeResistor_ohm', 'Brake resistor fitted', 'Ω'],
] as const;
export const sides = [
  ['width', 'Available width'],
  ['height', 'Available height'],
  ['depth', 'Available depth'],
] as const;

const figure = orNone(anyFigure);
const ambientFigure = temperatureFigure.refine(
  (celsius) => celsius >= -60 && celsius <= 100,
  'From −60 to 100 °C',
);
/** Empty: not known. */
const yesNo = z.enum(['', 'yes', 'no']);
const truthOf = { '': null, yes: true, no: false } as const;

/** What machine and place ask of a unit, as it is typed, and as it is kept. */
export const askedTypedSchema = z
  .object({
    volts: positiveFigure,
    phases: z.enum(['1', '3']),
    earthing: z.enum(['star-earthed', 'isolated', 'corner-earthed']),
    duty: z.enum(['', 'normal', 'heavy']),
    motorAmps: orNone(positiveFigure),
    ambient_C: orNone(ambientFigure),
    altitude_m: figure,
    carrier_kHz: orNone(positiveFigure),
    brakeResistor_ohm: orNone(positiveFigure),
    brakes: yesNo,
    feedback: yesNo,
    cables: z.enum(['', 'below', 'above']),
    protection: z
      .string()
      .trim()
      .toUpperCase()
      .regex(/^(IP[0-6][0-9])?$/, 'IP and two digits, e.g. IP54'),
    sideBySide: z.boolean(),
    ...cableShape,
    shortCircuit_kA: orNone(positiveFigure),
    emc: z.enum(['', ...emcCategories]),
    width: figure,
    height: figure,
    depth: figure,
    network: z.string().trim(),
    /** By the question's id. */
    answers: z.record(z.string(), z.string().trim()),
  })
  .transform(
    ({
      volts,
      phases,
      earthing,
      duty,
      brakes,
      feedback,
      cables,
      protection,
      ...read
    }): Payload<'swap.asked'> => {
      const { width, height, depth, network, answers, cable_m, winding, filter, emc, ...plain } = read;
      const answered = Object.fromEntries(Object.entries(answers).filter(([, said]) => said !== ''));
      return {
        ...plain,
        supply: { volts, phases: phases === '1' ? 1 : 3, earthing },
        duty: duty === '' ? null : duty,
        brakes: truthOf[brakes],
        feedback: truthOf[feedback],
        network: network === '' ? null : { name: network, answers: answered },
        wired: null,
        cable: cableOf({ cable_m, winding, filter }),
        emc: emc === '' ? null : emc,
        room_mm: { width, height, depth },
        cablesFrom: cables === '' ? null : cables,
        protection: protection === '' ? null : protection,
      };
    },
  );
export type AskedTyped = z.input<typeof askedTypedSchema>;

const text = (n: number | null): string => (n === null ? '' : String(n));
const answer = (b: boolean | null): AskedTyped['brakes'] => (b === null ? '' : b ? 'yes' : 'no');

/** The form as it opens on what was kept. */
export const typedAs = (asked: UnitRequirements): AskedTyped => ({
  volts: text(asked.supply.volts),
  phases: asked.supply.phases === 1 ? '1' : '3',
  earthing: asked.supply.earthing,
  duty: asked.duty ?? '',
  motorAmps: text(asked.motorAmps),
  ambient_C: text(asked.ambient_C),
  altitude_m: text(asked.altitude_m),
  carrier_kHz: text(asked.carrier_kHz),
  brakeResistor_ohm: text(asked.brakeResistor_ohm),
  brakes: answer(asked.brakes),
  feedback: answer(asked.feedback),
  cables: asked.cablesFrom ?? '',
  protection: asked.protection ?? '',
  sideBySide: asked.sideBySide,
  ...cableTyped(asked.cable),
  shortCircuit_kA: text(asked.shortCircuit_kA ?? null),
  emc: asked.emc ?? '',
  width: text(asked.room_mm.width),
  height: text(asked.room_mm.height),
  depth: text(asked.room_mm.depth),
  network: asked.network?.name ?? '',
  answers: Object.fromEntries(networkQuestions.map((q) => [q.id, asked.network?.answers[q.id] ?? ''])),
});
