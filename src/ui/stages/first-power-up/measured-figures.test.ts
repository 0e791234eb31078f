import { expect, it } from '@jest/globals';
import { isAstray, measuredSchema, nothingMeasured, type MeasuredTyped } from './measured-figures';

const typed = (figures: Record<string, string>, rest: Partial<MeasuredTyped> = {}): MeasuredTyped => ({
  ...nothingMeasured,
  ...rest,
  figures: { ...nothingMeasured.figures, ...figures },
});

it('takes what was measured and leaves out what was not', () => {
  const read = measuredSchema(3).parse(typed({ ia_rms: '9,8', iv_rms: '0' }, { out_Hz: '31' }));
  expect(read).toEqual({ figures: { ia_rms: 9.8, iv_rms: 0 }, out_Hz: 31 });
});

it('asks for one value at least, and says at its field what is none', () => {
  const { error } = measuredSchema(3).safeParse(typed({}));
  expect(error?.issues).toMatchObject([{ message: 'Enter at least one value' }]);
  const wrong = measuredSchema(3).safeParse(typed({ ia_rms: '9', iv_rms: '-2', iw_rms: '2000000' }));
  expect(wrong.error?.issues).toMatchObject([
    { path: ['figures', 'iv_rms'], message: 'A value of zero or more' },
    { path: ['figures', 'iw_rms'], message: 'At most 100000' },
  ]);
});

it('judges only the fields that are shown: of the meter that was chosen, of the lines there are', () => {
  const figures = { ia_rms: '9', ic_rms: 'none', vuv_rms: '400', vuv_h1_rms: 'none' };
  expect(measuredSchema(1).parse(typed(figures)).figures).toEqual({ ia_rms: 9, vuv_rms: 400 });
  expect(measuredSchema(1).safeParse(typed(figures, { meter: 'filtered' })).success).toBe(false);
});

it('leaves a frequency its tolerance', () => {
  expect([30.4, 30.6].map((hz) => isAstray(hz, 30))).toEqual([false, true]);
  expect(isAstray(59.5, 60)).toBe(false);
});
