// A rating plate or a drive's label, from its words with their places.
import { codeFields, type PlateCode } from './codes';
import type { PlateQuantity } from './labels';
import { driveSides, type DriveSides } from './drive';
import { solved, type SolvedValue } from './solve';
import { textBy, textUnder, type PlateText } from './texts';
import { valuesOf } from './values';
import { boxAround, plateLines, type PlateBox, type PlateWord } from './words';

export type { PlateCode } from './codes';
export type { PlateBox, PlateWord } from './words';

/** A value of a plate. */
export interface Field<Value> {
  value: Value;
  confidence: number;
  box: PlateBox;
}
/** A number as it was put right, and what else it may be. */
export interface NumberField extends Field<number> {
  /** What the letters said, where physics says otherwise. */
  asRead?: string;
  orElse?: number;
}
/** Power with the unit of the plate. */
export interface PowerField extends NumberField {
  unit: 'kW' | 'hp';
}

/** What is on a plate; a field that is not on it is left out. */
export interface PlateFields {
  power?: PowerField[];
  volts?: NumberField[];
  amps?: NumberField[];
  hz?: NumberField[];
  rpm?: NumberField[];
  cosPhi?: NumberField;
  serviceFactor?: NumberField;
  poles?: NumberField;
  insulationClass?: Field<string>;
  connection?: Field<string>;
  serial?: Field<string>;
  type?: Field<string>;
  inputVolts?: Field<[number, number]>;
  phases?: Field<number>;
  outputAmps?: NumberField[];
  waitMinutes?: NumberField;
}

/** A plate or label as it was read. */
export interface PlateReading {
  kind: 'motor' | 'drive' | 'unknown';
  fields: PlateFields;
  findings: { code: 'corrected' | 'two-ways' | 'nothing-read'; text: string }[];
}

const fieldOf = ({ value, confidence, box, asRead, orElse }: SolvedValue): NumberField => ({
  ...{ value, confidence, box },
  ...(Number(asRead) === value ? {} : { asRead }),
  ...(orElse === null ? {} : { orElse }),
});

/** Values of one quantity in their order, each once: the same value over several ratings is one field. */
function listOf(values: readonly SolvedValue[], quantity: PlateQuantity): NumberField[] {
  const seen = new Map<number, NumberField>();
  for (const value of values) {
    const known = seen.get(value.value);
    if (value.quantity === quantity && (known === undefined || known.confidence < value.confidence))
      seen.set(value.value, fieldOf(value));
  }
  return [...seen.values()];
}

const filled = <Value>(list: Value[]): Value[] | undefined => (list.length === 0 ? undefined : list);
const first = (list: readonly NumberField[]): NumberField | undefined => list[0];

/** Leaves out what a plate does not have. */
const withoutGaps = (fields: { [Key in keyof PlateFields]: PlateFields[Key] | undefined }): PlateFields =>
  Object.fromEntries(Object.entries<unknown>(fields).filter(([, value]) => value !== undefined));

const driveWords =
  /\b(?:input|output|in|out)\b ?:?|\b(?:inverter|converter|frequency converter|drive|vfd)\b/i;
/** Input and output of a drive have the same units: which is which is said by line or column. */
function sidesOf(sides: DriveSides): Pick<PlateFields, 'inputVolts' | 'outputAmps'> {
  const [one] = sides.inputVolts;
  const numbers = sides.inputVolts.map((v) => v.value);
  const outputAmps = listOf(sides.outputAmps, 'amps');
  return {
    ...(one === undefined
      ? {}
      : {
          inputVolts: {
            value: [Math.min(...numbers), Math.max(...numbers)],
            confidence: Math.min(...sides.inputVolts.map((v) => v.confidence)),
            box: sides.inputVolts.map((v) => v.box).reduce(boxAround),
          },
        }),
    ...(outputAmps.length === 0 ? {} : { outputAmps }),
  };
}

const asNumberField = (text: PlateText | undefined): NumberField | undefined =>
  text === undefined || !/^\d+$/.test(text.value) ? undefined : { ...text, value: Number(text.value) };

/** Serial numbers and types have digits. */
const codePattern = /^([A-Z0-9/.-]{0,20}\d[A-Z0-9/.-]{0,20})$/i;

/** Below this a value is asked, not taken. */
const askedBelow = 0.9;

function findingsOf(values: readonly SolvedValue[]): PlateReading['findings'] {
  if (values.length === 0)
    return [
      {
        code: 'nothing-read',
        text: 'No value of a rating plate was found in this picture. Take it again closer, straight and without glare.',
      },
    ];
  return [
    ...values
      .filter((v) => Number(v.asRead) !== v.value)
      .map((v) => ({
        code: 'corrected' as const,
        text: `Read as ${v.asRead}; ${v.value} fits the other values.`,
      })),
    ...values
      .filter((v) => v.orElse !== null && v.confidence < askedBelow)
      .map((v) => ({
        code: 'two-ways' as const,
        text: `${v.value} or ${String(v.orElse)}? Both fit: look at the plate.`,
      })),
  ];
}

/** A plate of which less than this share of the words was read well is too worn for anything to be taken unseen. */
const leastReadWell = 0.68;
const readWell = 0.8;
const trustOfWorn = 0.9;

function trustIn(lines: readonly (readonly PlateWord[])[]): number {
  const words = lines.flat();
  const share = words.filter((w) => w.confidence >= readWell).length / Math.max(1, words.length);
  return share < leastReadWell ? trustOfWorn : 1;
}

/**
 * Reads a plate from its words.
 * @param words of the photo, in any order, with the confidence of the reader of letters
 * @param codes bar codes and matrix codes of the photo
 */
export const readPlate = (words: readonly PlateWord[], codes: readonly PlateCode[] = []): PlateReading =>
  withCodes(readWords(words), codes);

/** A reading with what the codes of the photo say; their boxes are in the same points. */
export function withCodes(
  { kind, fields, findings }: PlateReading,
  codes: readonly PlateCode[],
): PlateReading {
  const coded = codeFields(codes, fields);
  return {
    kind,
    fields: { ...fields, ...coded },
    findings:
      Object.keys(coded).length === 0 ? findings : findings.filter(({ code }) => code !== 'nothing-read'),
  };
}

function readWords(words: readonly PlateWord[]): PlateReading {
  const lines = plateLines(words);
  const whole = lines.map((line) => line.map((w) => w.text).join(' ')).join('\n');
  const isDrive = driveWords.test(whole) && !/cos|r\/min|rpm|min-1/i.test(whole);
  const trust = trustIn(lines);
  const found = valuesOf(lines).map((value) => ({ ...value, assigned: value.assigned * trust }));
  const sides = isDrive ? driveSides(lines, found) : null;
  const values = sides === null ? solved(found) : [...sides.inputVolts, ...sides.outputAmps, ...sides.others];
  const list = (quantity: PlateQuantity): NumberField[] => listOf(values, quantity);
  const power = [
    ...list('power-kW').map((field): PowerField => ({ ...field, unit: 'kW' })),
    ...list('power-hp').map((field): PowerField => ({ ...field, unit: 'hp' })),
  ];
  const isMotor = !isDrive && (list('rpm').length > 0 || list('cosPhi').length > 0);
  const fields = withoutGaps({
    power: filled(power),
    volts: filled(isDrive ? [] : list('volts')),
    amps: filled(isDrive ? [] : list('amps')),
    hz: filled(list('hz')),
    rpm: filled(list('rpm')),
    cosPhi: first(list('cosPhi')),
    serviceFactor: first(list('serviceFactor')),
    poles: first(list('poles')),
    insulationClass:
      textBy(lines, /(?:ins(?:ul)?|isol|th)\.? ?(?:cl(?:ass)?)?[.,: ]*(?:\d{3} ?\(?)?([ABEFH])\b/i) ??
      textUnder(lines, /(?:ins(?:ul)?|isol|th)\.? ?(?:cl(?:ass)?)?\.?/i, /^\W?([ABEFH])\W?$/),
    connection: textBy(lines, /(Δ ?\/ ?[YλΥ]|[DY] ?\/ ?[DY]|\bdelta\b|\bstar\b|Δ|\bYY\b)/i),
    serial:
      textBy(
        lines,
        /(?:\bser(?:ial)?\b\.? ?(?:no|nr|number)?\.?|s\/n|\bn[°ºrx]\.?|\bno\.)[ :]*([A-Z0-9][A-Z0-9/-]{3,})/i,
      ) ?? textUnder(lines, /\bse[rn]i?[an]?l?\b\.? ?(?:no|nr|number)?\.?/i, codePattern),
    type:
      textBy(lines, /(?:\btype|\btyp|\bmodel|\bmod\.|cat\.? ?no\.?)[ :]*(?!ser)([A-Z0-9][A-Z0-9/.-]{1,})/i) ??
      textUnder(lines, /\b(?:type|typ|model)\b/i, codePattern),
    phases: asNumberField(
      textBy(lines, /\b([13]) ?(?:~|ph\b|phase|PH\b)/i) ?? textBy(lines, /(?:ph(?:ase)?s?\.?)[ :]*([13])\b/i),
    ),
    waitMinutes:
      asNumberField(textBy(lines, /wait[^\d]{0,40}(\d{1,2}) ?min/i)) ??
      asNumberField(textBy(lines, /(\d{1,2}) ?min(?:utes?)?\b/i)),
    ...(sides === null ? {} : sidesOf(sides)),
  });
  return { kind: isDrive ? 'drive' : isMotor ? 'motor' : 'unknown', fields, findings: findingsOf(values) };
}
