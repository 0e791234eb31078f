import * as z from 'zod';
import { anyFigure, orNone, unread, zeroOrMore } from '../../kit/form-figures';

/** One figure of a meter; `key` is the figure's name in a computed wave. */
export interface MeterField {
  key: string;
  label: string;
  unit: string;
}

export const busFields: readonly MeterField[] = [
  { key: 'vdc_avg', label: 'Bus, average', unit: 'V' },
  { key: 'vdc_pp', label: 'Bus ripple, peak to peak', unit: 'V' },
  { key: 'vdc_ripple_hz', label: 'Ripple frequency', unit: 'Hz' },
];
/** The lines of a supply. */
export const lineFields = (phases: 1 | 3): readonly MeterField[] =>
  [
    { key: 'ia_rms', label: 'Line current L1', unit: 'A' },
    { key: 'ib_rms', label: 'Line current L2', unit: 'A' },
    { key: 'ic_rms', label: 'Line current L3', unit: 'A' },
  ].slice(0, phases === 1 ? 2 : 3);
export const outFields: readonly MeterField[] = [
  { key: 'iu_rms', label: 'Output current U', unit: 'A' },
  { key: 'iv_rms', label: 'Output current V', unit: 'A' },
  { key: 'iw_rms', label: 'Output current W', unit: 'A' },
  { key: 'i_sum_rms', label: 'All three in one clamp', unit: 'A' },
];

/** A wide-band meter shows the whole of a pulsed voltage, a filtered range its fundamental. */
export const meters = ['wide', 'filtered'] as const;
export type Meter = (typeof meters)[number];
export const voltFields = (meter: Meter): readonly MeterField[] =>
  (['vuv', 'vvw', 'vwu'] as const).map((pair, k) => ({
    key: `${pair}_${meter === 'wide' ? 'rms' : 'h1_rms'}`,
    label: `Output ${['U to V', 'V to W', 'W to U'][k] ?? ''}`,
    unit: 'V',
  }));

/** Every field there is with such a meter. */
export const meterFields = (phases: 1 | 3, meter: Meter): readonly MeterField[] => [
  ...busFields,
  ...lineFields(phases),
  ...voltFields(meter),
  ...outFields,
];

const mostFigure = 100_000;
const meterFigure = zeroOrMore.pipe(z.number().max(mostFigure, `At most ${mostFigure}`));

/** The form as it is typed. */
export interface MeasuredTyped {
  meter: Meter;
  figures: Record<string, string>;
  out_Hz: string;
}
/** What was measured: the figures that were not left empty, and the output's frequency. */
export interface MeasuredRead {
  figures: Record<string, number>;
  out_Hz: number | null;
}

/** Reads the fields that are shown; at least one figure must be there. What was typed for the other kind of meter is left aside. */
export const measuredSchema = (phases: 1 | 3): z.ZodType<MeasuredRead, MeasuredTyped> =>
  z
    .object({
      meter: z.enum(meters),
      figures: z.record(z.string(), z.string()),
      out_Hz: orNone(anyFigure),
    })
    .transform(({ meter, figures: texts, out_Hz }, context) => {
      const figures: Record<string, number> = {};
      const typed = meterFields(phases, meter).filter(({ key }) => (texts[key] ?? '').trim() !== '');
      if (typed.length === 0) return unread(context, 'Enter at least one value');
      for (const { key } of typed) {
        const { data, error } = meterFigure.safeParse(texts[key]);
        if (error === undefined) figures[key] = data;
        else unread(context, error.issues[0]?.message ?? 'Not read', ['figures', key]);
      }
      return { figures, out_Hz };
    });

/** Nothing typed yet. */
export const nothingMeasured: MeasuredTyped = {
  meter: 'wide',
  figures: Object.fromEntries(
    [...meterFields(3, 'wide'), ...voltFields('filtered')].map(({ key }) => [key, '']),
  ),
  out_Hz: '',
};

/** Does the output's frequency leave its reference? More than a hundredth of it, and more than half a hertz. */
export const isAstray = (out_Hz: number, reference_Hz: number): boolean =>
  Math.abs(out_Hz - reference_Hz) > Math.max(0.5, 0.01 * reference_Hz);
