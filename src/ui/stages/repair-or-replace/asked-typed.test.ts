import type { Payload } from '@/core/logbook';
import { askedTypedSchema, typedAs } from './asked-typed';

const kept: Payload<'swap.asked'> = {
  supply: { volts: 400, phases: 3, earthing: 'star-earthed' },
  motorAmps: 14.6,
  duty: 'heavy',
  ambient_C: -5,
  altitude_m: null,
  carrier_kHz: 4,
  sideBySide: true,
  brakeResistor_ohm: null,
  brakes: true,
  feedback: false,
  network: { name: 'Modbus RTU', answers: { address: '7' } },
  wired: null,
  room_mm: { width: 200, height: null, depth: 180 },
  cablesFrom: 'below',
  protection: 'IP54',
};
const typed = typedAs(kept);
const askedOf = (fields: object) => askedTypedSchema.safeParse(fields).data ?? null;
const withTexts = (texts: Record<string, string>) => ({ ...typed, ...texts });

test('what was kept opens as it was, answers of questions that are no longer asked aside', () => {
  const again = askedOf(typed);
  // Of cable, short circuit and emissions nothing was said then.
  const asked = { cable: null, shortCircuit_kA: null, emc: null };
  expect(again).toEqual({
    ...kept,
    ...asked,
    network: { name: 'Modbus RTU', answers: again?.network?.answers },
  });
});

test('an empty value is not known; a comma and a class in small letters are read', () => {
  expect(
    askedOf(withTexts({ motorAmps: '', carrier_kHz: '2,5', protection: ' ip20 ', network: ' ' })),
  ).toMatchObject({
    motorAmps: null,
    carrier_kHz: 2.5,
    protection: 'IP20',
    network: null,
  });
});

test.each([
  ['volts', ''],
  ['volts', '0'],
  ['volts', '-400'],
  ['motorAmps', 'fifteen'],
  ['depth', '18O'],
  ['protection', 'IP5'],
  ['protection', '54'],
])('%s as "%s" is not read', (field, text) => {
  expect(askedOf(withTexts({ [field]: text }))).toBeNull();
});
