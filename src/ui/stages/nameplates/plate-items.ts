import type { PlateBox, PlateFields } from '@/core/reading/plate-text';

/** A field of a plate as a person looks at it. */
export interface PlateItem {
  key: keyof PlateFields;
  label: string;
  text: string;
  confidence: number;
  boxes: readonly PlateBox[];
  /** What it may be instead. */
  orElse: string | null;
}

/** From this confidence on a value is taken without being looked at. */
export const takenFrom = 0.9;

interface Read {
  value: unknown;
  confidence: number;
  box: PlateBox;
  unit?: string;
  orElse?: number;
}

const labels: Readonly<Record<keyof PlateFields, string>> = {
  power: 'Power',
  volts: 'Volts',
  amps: 'Amps',
  hz: 'Frequency',
  rpm: 'Speed',
  cosPhi: 'Power factor',
  serviceFactor: 'Service factor',
  poles: 'Poles',
  insulationClass: 'Insulation class',
  connection: 'Connection',
  serial: 'Serial number',
  type: 'Type code',
  inputVolts: 'Input volts',
  phases: 'Phases',
  outputAmps: 'Output current',
  waitMinutes: 'Discharge time',
};

const textOf = ({ value, unit }: Read): string =>
  `${Array.isArray(value) ? value.join('-') : String(value)}${unit === undefined ? '' : ` ${unit}`}`;

/** The fields of a plate in their order, several values of one kind together. */
export const plateItems = (fields: PlateFields): PlateItem[] =>
  (Object.keys(labels) as (keyof PlateFields)[]).flatMap((key): PlateItem[] => {
    const field = fields[key] as Read | readonly Read[] | undefined;
    if (field === undefined) return [];
    const all = 'value' in field ? [field] : field;
    const other = all.length === 1 ? all[0]?.orElse : undefined;
    return [
      {
        ...{ key, label: labels[key], text: all.map(textOf).join(' / ') },
        confidence: Math.min(...all.map((v) => v.confidence)),
        boxes: all.map((v) => v.box),
        orElse: other === undefined ? null : String(other),
      },
    ];
  });

/** Texts by field, as they were taken or corrected. */
export type TakenTexts = Partial<Record<keyof PlateFields, string>>;

const listed = (text: string | undefined): string[] =>
  (text ?? '').split('/').flatMap((part) => (part.trim() === '' ? [] : [part.trim()]));

/** What the motor's form takes of a plate: of two voltages the higher one, in star, with the lower current. */
export function motorTexts(taken: TakenTexts): Record<string, string> {
  const [power = ''] = listed(taken.power);
  const [figure = '', unit] = power.split(' ');
  const volts = listed(taken.volts);
  const amps = listed(taken.amps);
  const isDual = volts.length >= 2 && amps.length >= 2;
  const [lowVolts = '', highVolts = ''] = volts;
  const [highAmps = '', lowAmps = ''] = amps;
  return Object.fromEntries(
    Object.entries({
      power: figure,
      unit: unit === 'hp' || unit === 'kW' ? unit : '',
      volts: isDual ? highVolts : (volts[0] ?? ''),
      amps: isDual ? lowAmps : (amps[0] ?? ''),
      volts2: isDual ? lowVolts : '',
      amps2: isDual ? highAmps : '',
      hz: listed(taken.hz)[0] ?? '',
      rpm: listed(taken.rpm)[0] ?? '',
      cosPhi: taken.cosPhi ?? '',
      serviceFactor: taken.serviceFactor ?? '',
      poles: taken.poles ?? '',
      insulationClass: taken.insulationClass ?? '',
      serial: taken.serial ?? '',
    }).filter(([, text]) => text !== ''),
  );
}

/** Usual supplies; of a range on a label the first of them that it takes. */
const usualSupplies_V = [400, 230, 480, 690, 575, 120];

function supplyText(range: string | undefined): string {
  const [min, max] = (range ?? '').split('-').map(Number);
  if (min === undefined || max === undefined) return range ?? '';
  return String(usualSupplies_V.find((volts) => volts >= min && volts <= max) ?? max);
}

/** What the drive's form takes of a label. */
export const driveTexts = (taken: TakenTexts): Record<string, string> =>
  Object.fromEntries(
    Object.entries({
      type: taken.type ?? '',
      serial: taken.serial ?? '',
      supply_V: supplyText(taken.inputVolts),
      ratedAmps: listed(taken.outputAmps)[0] ?? '',
      labelWait_min: taken.waitMinutes ?? '',
    }).filter(([, text]) => text !== ''),
  );
