import type { PlateFields } from '@/core/reading/plate-text';
import { driveTexts, motorTexts, plateItems } from './plate-items';

const box = { x0: 0, y0: 0, x1: 10, y1: 5 };
const number = (value: number, confidence = 0.95) => ({ value, confidence, box });
const fields: PlateFields = {
  power: [{ ...number(5), unit: 'hp' }],
  volts: [number(230), number(460, 0.8)],
  amps: [number(13.2), number(6.6)],
  rpm: [{ ...number(1750, 0.6), orElse: 1150 }],
  inputVolts: { value: [380, 480], confidence: 0.97, box },
};

it('values of one kind stand together, as sure as the least sure of them', () => {
  const items = plateItems(fields);
  expect(items.map((i) => [i.key, i.text, i.confidence])).toEqual([
    ['power', '5 hp', 0.95],
    ['volts', '230 / 460', 0.8],
    ['amps', '13.2 / 6.6', 0.95],
    ['rpm', '1750', 0.6],
    ['inputVolts', '380-480', 0.97],
  ]);
  expect(items.find((i) => i.key === 'rpm')?.orElse).toBe('1150');
});

it('of two voltages the higher one goes with the lower current', () => {
  expect(motorTexts({ power: '5 hp', volts: '230 / 460', amps: '13.2 / 6.6', rpm: '1750' })).toEqual({
    ...{ power: '5', unit: 'hp', volts: '460', amps: '6.6', volts2: '230', amps2: '13.2', rpm: '1750' },
  });
  expect(motorTexts({ volts: '400', amps: '8' })).toEqual({ volts: '400', amps: '8' });
});

it('of a range of supplies a usual one within it', () => {
  expect(driveTexts({ inputVolts: '380-480', outputAmps: '9.5' })).toEqual({
    ...{ supply_V: '400', ratedAmps: '9.5' },
  });
  expect(driveTexts({ inputVolts: '200-240' }).supply_V).toBe('230');
  expect(driveTexts({ inputVolts: '1000-1100' }).supply_V).toBe('1100');
});
