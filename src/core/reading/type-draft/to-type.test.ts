import { controlSchema, driveTypeSchema } from '../../equipment/catalogue/schema';
import { draftFrom, genericDraft, typeFrom, withMeaning, type UnitFacts } from '.';
import { interpreted, readText } from '../manual';
import { typeDraftSchema } from './schema';

const about = {
  id: '0190a000-0000-7000-8000-00000000beef',
  maker: 'Nöbody & Sons',
  range: 'N1',
  source: 'list.csv',
};
const unit: UnitFacts = {
  phases: '3',
  supply_V: 400,
  labelWait_min: 5,
  frontEnd: 'diode-3ph',
  brake: 'unknown',
  models: [{ type: 'N1-12', ratedAmps: 12, power_kW: 5.5 }],
};
const list = [
  'No;Name;Range;Default',
  'P01;Max. speed;5 - 300 Hz;50',
  'P02;Run-up time;0.1 - 99 s;4',
  'P03;Motor rated power;0.1 - 75 hp;5',
  'P04;Hour counter;0 - 9999 h;0',
].join('\n');
const draft = draftFrom(interpreted(readText(list)), about);

/** Both files as the server takes them. */
const checked = ({ type, control }: ReturnType<typeof typeFrom>) => ({
  type: driveTypeSchema.parse(type),
  control: controlSchema.parse(control),
});

it('a draft is a type that the catalogue takes, and says what is not known', () => {
  const { type, control } = checked(typeFrom(draft, unit));
  expect(type).toMatchObject({ id: 'n-body-sons-n1-beef', supply_V: 400 });
  expect(type.stage.assumed).toEqual(['link', 'fuse', 'bleederOhm', 'capacitance_uF', 'brake']);
  expect(control.modbus).toBeNull();
  expect(control.parameters.find((p) => p.number === 'P02')).toMatchObject({
    ...{ concept: 'ramp.up', scale: 0.1, min: 0.1, max: 99, default: 4, unit: 's' },
  });
});

it('a meaning whose figures are in another unit is not used, and named', () => {
  const named = withMeaning(draft, 'P03', 'motor.power');
  const finished = typeFrom(named, unit);
  expect(finished.control.parameters.find((p) => p.number === 'P03')?.concept).toBeUndefined();
  expect(finished.leftOut).toEqual([
    { number: 'P03', why: 'its meaning is not used: in hp, where motor power is calculated in kW' },
  ]);
});

it('numbers, codes and registers that come twice are taken once', () => {
  const [first, second] = draft.parameters;
  if (first === undefined || second === undefined) throw new Error('no parameters');
  const twice = {
    ...draft,
    parameters: [
      { ...first, register: 7 },
      { ...second, register: 7 },
      { ...second, name: 'again' },
      { ...second, number: 'with a gap' },
    ],
  };
  const finished = typeFrom(twice, unit);
  const { control } = checked(finished);
  expect(control.parameters.map((p) => [p.number, p.register])).toEqual([
    ['P01', 7],
    ['P02', undefined],
  ]);
  expect(finished.leftOut.map((l) => l.number)).toEqual(['with a gap']);
});

it('without a manual, what everybody sets is there by name, without ranges', () => {
  const generic = genericDraft(about);
  expect(typeDraftSchema.parse(generic)).toEqual(generic);
  const { control } = checked(typeFrom(generic, unit));
  expect(control.parameters).toHaveLength(26);
  expect(control.inputs.map((i) => i.id)).toEqual(['DI1', 'DI2', 'DI3', 'DI4']);
  const stop = control.parameters.find((p) => p.concept === 'stop.mode');
  expect(stop?.choices?.map((c) => c.means)).toEqual(['coast', 'ramp', 'fast-ramp', 'dc-injection']);
});
