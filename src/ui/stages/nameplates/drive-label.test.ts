import { readFileSync } from 'node:fs';
import { stageOf } from '@/core/equipment/catalogue';
import { driveTypeSchema } from '@/core/equipment/catalogue/schema';
import { driveLabelSchema, driveOf, labelTextFrom, labelTextOf, type LabelChoices } from './drive-label';

const type = driveTypeSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/type.json', 'utf8')));
const model = type.models[0]!;
const choices: LabelChoices = {
  frontEnd: 'diode-3ph',
  brake: 'no',
  link: 'link',
  fuse: 'none',
  similar: true,
  photos: [],
};
const typed = {
  ...{ ...labelTextOf(null), maker: ' Heron ', type: 'H-7', ratedAmps: '15,5' },
  ...{ supply_V: '400', labelWait_min: '5', capacitance_uF: '1000', bleeder_kohm: '150' },
};

test('a label is read as people write it: a comma, blanks around a name', () => {
  const drive = driveOf(driveLabelSchema.parse(typed), choices, null);
  expect(drive).toMatchObject({ typeId: null, maker: 'Heron', ratedAmps: 15.5, phases: 3 });
  expect(drive.stage).toMatchObject({
    brake: false,
    link: 'link',
    capacitance_uF: 1000,
    bleederOhm: 150_000,
  });
});

test('the front end is the one that was chosen, and says how many phases come in', () => {
  for (const [frontEnd, phases] of [
    ['diode-1ph', 1],
    ['scr-half-3ph', 3],
  ] as const)
    expect(driveOf(driveLabelSchema.parse(typed), { ...choices, frontEnd }, null)).toMatchObject({
      phases,
      stage: { frontEnd },
    });
});

test('what nobody knows stays unknown, and opens empty', () => {
  const blank = { ...typed, supply_V: '', labelWait_min: '', capacitance_uF: '', bleeder_kohm: '' };
  const drive = driveOf(
    driveLabelSchema.parse(blank),
    { ...choices, link: 'unknown', fuse: 'unknown' },
    null,
  );
  expect(drive).toMatchObject({
    supply_V: null,
    labelWait_min: null,
    stage: { assumed: ['link', 'fuse', 'bleederOhm', 'capacitance_uF'] },
  });
  expect(labelTextOf(drive)).toMatchObject({
    supply_V: '',
    labelWait_min: '',
    capacitance_uF: '',
    bleeder_kohm: '',
  });
});

test.each([
  ['maker', '   ', 'Read it from the nameplate'],
  ['type', '', 'Read it from the nameplate'],
  ['ratedAmps', '', 'A value above zero, e.g. 15'],
  ['supply_V', '0', 'A value above zero, e.g. 15'],
  ['capacitance_uF', '-470', 'A value above zero, e.g. 15'],
  ['labelWait_min', 'five', 'A value above zero, e.g. 15'],
])('%s as "%s" is refused beside its field', (field, text, words) => {
  const read = driveLabelSchema.safeParse({ ...typed, [field]: text });
  expect(read.error?.issues.map((i) => [i.path.join('.'), i.message])).toEqual([[field, words]]);
});

test('a catalogued model fills the label, keeps what only the label says, and brings its own stage', () => {
  const text = labelTextFrom(type, model, { badge: 'a reseller', serial: 'S-1' });
  expect(text).toMatchObject({ badge: 'a reseller', serial: 'S-1', type: model.type });
  const drive = driveOf(driveLabelSchema.parse(text), choices, { type, model });
  expect(drive).toMatchObject({ typeId: type.id, strip: type.strip });
  expect(drive.stage).toEqual(stageOf(type, model));
});

test('a label kept earlier opens as it was', () => {
  const kept = driveOf(driveLabelSchema.parse(typed), choices, null);
  expect(driveOf(driveLabelSchema.parse(labelTextOf(kept)), choices, null)).toEqual(kept);
});
