// Device configuration files (CiA 306): an object a section, values as raw words. The sections and keys are from memory.
import ini from 'ini';
import type { Control, Parameter } from '../../equipment/catalogue';
import { limitsOf, rawOf, valueOf } from '../../equipment/drive-words';
import { entryFor } from './entry';
import type { SetOut } from './write';

const objectNumber = /^([0-9a-f]{4}):([0-9a-f]{2})$/i;

/** Data types of CiA 301, from memory: INTEGER16, UNSIGNED8, UNSIGNED16 and UNSIGNED32. */
const types = { signed: '0x0003', byte: '0x0005', unsigned: '0x0006', long: '0x0007' } as const;
/** Kinds of objects, from memory: VAR and RECORD. */
const kinds = { one: '0x7', record: '0x9' } as const;

const isSigned = ({ min }: Parameter): boolean => typeof min === 'number' && min < 0;
/** Raw as the signed figure it stands for. */
const figureOf = (p: Parameter, value: number): number => {
  const raw = rawOf(p, value);
  return isSigned(p) && raw > 0x7fff ? raw - 0x10000 : raw;
};

const subOf = ({ number }: Parameter): number => Number.parseInt(objectNumber.exec(number)?.[2] ?? '0', 16);

/** Subindex 0 of a record: the highest one there is. */
const highestSub = (highest: number): Record<string, string> => ({
  ParameterName: 'Highest sub-index supported',
  ObjectType: kinds.one,
  DataType: types.byte,
  AccessType: 'const',
  DefaultValue: String(highest),
  PDOMapping: '0',
});

const mandatoryVar = (ParameterName: string, DataType: string): Record<string, string> => ({
  ...{ ParameterName, ObjectType: kinds.one, DataType, AccessType: 'ro', PDOMapping: '0' },
});

/** Device type, error register and identity: every node has them, and a set says nothing of their values. */
const mandatory: Record<string, Record<string, string>> = {
  '1000': mandatoryVar('Device type', types.long),
  '1001': mandatoryVar('Error register', types.byte),
  '1018': { ParameterName: 'Identity object', ObjectType: kinds.record, SubNumber: '5' },
  '1018sub0': highestSub(4),
  '1018sub1': mandatoryVar('Vendor-ID', types.long),
  '1018sub2': mandatoryVar('Product code', types.long),
  '1018sub3': mandatoryVar('Revision number', types.long),
  '1018sub4': mandatoryVar('Serial number', types.long),
};

/** Has this type entries that are objects with an index and a subindex? */
export const hasObjects = ({ parameters }: Pick<Control, 'parameters'>): boolean =>
  parameters.every((p) => objectNumber.test(p.number));

/**
 * A set as a device configuration file.
 * @param control of a type whose entries are objects; others have no place in such a file
 */
export function setAsDcf(
  { name, typeId, rating, values, strangers }: SetOut,
  { parameters }: Pick<Control, 'parameters'>,
): string {
  const byIndex = new Map<string, Parameter[]>();
  for (const p of parameters) {
    const index = objectNumber.exec(p.number)?.[1]?.toUpperCase();
    if (index !== undefined) byIndex.set(index, [...(byIndex.get(index) ?? []), p]);
  }
  const indexes = [...byIndex.keys()].sort();
  const objects = indexes.flatMap((index): [string, Record<string, string>][] => {
    const subs = byIndex.get(index) ?? [];
    return [
      [
        index,
        { ParameterName: `Group ${index}`, ObjectType: kinds.record, SubNumber: String(subs.length + 1) },
      ],
      [`${index}sub0`, highestSub(Math.max(...subs.map(subOf)))],
      ...subs.map((p): [string, Record<string, string>] => {
        const { min, max } = limitsOf(p, rating);
        const value = values[p.number];
        return [
          `${index}sub${subOf(p).toString(16).toUpperCase()}`,
          {
            ParameterName: p.name,
            ObjectType: kinds.one,
            DataType: isSigned(p) ? types.signed : types.unsigned,
            AccessType: p.readOnly ? 'ro' : 'rw',
            ...(Number.isFinite(min) ? { LowLimit: String(figureOf(p, min)) } : {}),
            ...(Number.isFinite(max) ? { HighLimit: String(figureOf(p, max)) } : {}),
            PDOMapping: '0',
            ...(value === undefined ? {} : { ParameterValue: String(figureOf(p, value)) }),
          },
        ];
      }),
    ];
  });
  const list = (items: readonly string[]) => ({
    SupportedObjects: String(items.length),
    ...Object.fromEntries(items.map((index, i) => [String(i + 1), `0x${index}`])),
  });
  const comments = [name, ...strangers.map((s) => `${s.number}=${s.text.replace(/\s+/g, ' ')}`)];
  return ini.stringify({
    FileInfo: {
      FileName: `${typeId}.dcf`,
      FileVersion: '1',
      FileRevision: '0',
      EDSVersion: '4.0',
      Description: name,
      LastEDS: `${typeId}.eds`,
    },
    DeviceInfo: {
      VendorName: '',
      VendorNumber: '0x0',
      ProductName: typeId,
      ProductNumber: '0x0',
      RevisionNumber: '0x0',
      OrderCode: '',
    },
    // The standard spells it so. Which node the set is for is not known: 1, as a new unit has it.
    DeviceComissioning: { NodeID: '1', NodeName: name, Baudrate: '125', NetNumber: '0' },
    Comments: {
      Lines: String(comments.length),
      ...Object.fromEntries(comments.map((line, i) => [`Line${i + 1}`, line])),
    },
    MandatoryObjects: list(['1000', '1001', '1018']),
    ...mandatory,
    OptionalObjects: list([]),
    ManufacturerObjects: list(indexes),
    ...Object.fromEntries(objects),
  });
}

/** A figure of such a file: decimal or hexadecimal; null where it depends on the node or is none. */
function numberOf(text: string): number | null {
  const tidy = text.trim();
  if (!/^-?(0x[0-9a-f]+|\d+)$/i.test(tidy)) return null;
  return tidy.startsWith('-') ? -Number(tidy.slice(1)) : Number(tidy);
}

/** Does a word of 16 bits hold it? A signed one may be written as the raw word, too. */
const isWord = (p: Parameter, figure: number): boolean =>
  figure <= 0xffff && figure >= (isSigned(p) ? -0x8000 : 0);

/** Kinds of objects whose subindex 0 counts the others: ARRAY and RECORD. */
const counted = new Set([0x8, 0x9]);

const isSection = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;

/**
 * Objects of a device configuration file or electronic data sheet as pairs of number and text; of a data sheet
 * the defaults.
 * @returns the sections that were no objects are left out; nothing of an object is
 */
export function pairsOfDcf(
  text: string,
  control: Pick<Control, 'parameters'>,
): { pairs: { line: number; number: string; text: string; refused?: string }[]; about: { typeId?: string } } {
  const lines = text.split(/\r?\n/);
  const sections: Record<string, unknown> = ini.parse(text);
  const pairs = Object.entries(sections).flatMap(([title, section]) => {
    const at = /^([0-9a-f]{4})(?:sub([0-9a-f]{1,2}))?$/i.exec(title);
    if (at === null || !isSection(section)) return [];
    const keys = new Map(Object.entries(section).map(([k, v]) => [k.toLowerCase(), String(v)]));
    const given = keys.get('parametervalue') ?? keys.get('defaultvalue');
    if (given === undefined || given === '') return [];
    const record = sections[at[1] ?? ''];
    const kind = isSection(record) ? Number(record['ObjectType']) : NaN;
    if (Number.parseInt(at[2] ?? '', 16) === 0 && counted.has(kind)) return [];
    const sub = (at[2] ?? '0').padStart(2, '0').toUpperCase();
    const number = `${(at[1] ?? '').toUpperCase()}:${sub}`;
    const p = entryFor(control, number);
    const figure = numberOf(given);
    const wrong = p !== undefined && figure !== null && !isWord(p, figure);
    const value = p === undefined || figure === null || wrong ? given : String(valueOf(p, figure & 0xffff));
    const line = lines.findIndex((l) => l.trim().toLowerCase() === `[${title.toLowerCase()}]`) + 1;
    return [
      {
        line,
        number,
        text: value,
        ...(wrong ? { refused: `${given} does not fit into its word of 16 bits` } : {}),
      },
    ];
  });
  const device = sections['DeviceInfo'];
  const product = isSection(device) ? device['ProductName'] : undefined;
  return { pairs, about: typeof product === 'string' && product !== '' ? { typeId: product } : {} };
}
