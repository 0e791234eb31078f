// Electronic data sheets and device configuration files (CiA 306). The sections and keys are from memory.
import ini from 'ini';
import type { Found, ManualEntry } from './entry';

/** What a value of an object may be at most, by its data type (CiA 301, from memory); null: not a number we list. */
const spans: Readonly<Record<number, readonly [min: number, max: number]>> = {
  0x01: [0, 1],
  0x02: [-0x80, 0x7f],
  0x03: [-0x8000, 0x7fff],
  0x04: [-0x80000000, 0x7fffffff],
  0x05: [0, 0xff],
  0x06: [0, 0xffff],
  0x07: [0, 0xffffffff],
};

const isSection = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;

/** A whole number, decimal or hexadecimal; null where it depends on the node or is none. */
function wholeNumber(text: string | undefined): number | null {
  const plain = (text ?? '').trim();
  return /^-?(?:0x[0-9a-f]{1,8}|\d{1,10})$/i.test(plain)
    ? Number(plain.replace('-', '')) * (plain.startsWith('-') ? -1 : 1)
    : null;
}

/** Is this text such a file? */
export const isDataSheet = (text: string): boolean =>
  /^\[(?:FileInfo|DeviceInfo|MandatoryObjects|Comments)\]/im.test(text) && /^ParameterName ?=/im.test(text);

/** Objects below this are of the communication, not of the drive: CiA 301 begins the maker's at 2000 hex. */
const firstOfMaker = 0x2000;

/** Reads the objects of a data sheet; those of the communication profile and the counters of records are left out. */
export function readDataSheet(text: string): Found {
  const sections: Record<string, unknown> = ini.parse(text);
  const entries = Object.entries(sections).flatMap(([title, section]): ManualEntry[] => {
    const at = /^([0-9a-f]{4})(?:sub([0-9a-f]{1,2}))?$/i.exec(title);
    if (at === null || !isSection(section)) return [];
    const keys = new Map(Object.entries(section).map(([k, v]) => [k.toLowerCase(), String(v)]));
    const index = Number.parseInt(at[1] ?? '', 16);
    const sub = at[2] === undefined ? null : Number.parseInt(at[2], 16);
    const kind = wholeNumber(keys.get('objecttype')) ?? 7;
    const type = wholeNumber(keys.get('datatype'));
    const name = keys.get('parametername') ?? '';
    if (index < firstOfMaker || kind !== 7 || type === null || sub === 0 || name === '') return [];
    const span = spans[type];
    const parent = sections[at[1] ?? ''];
    const group = sub !== null && isSection(parent) ? String(parent['ParameterName'] ?? '') : '';
    return [
      {
        number: `${(at[1] ?? '').toUpperCase()}:${(at[2] ?? '0').padStart(2, '0').toUpperCase()}`,
        name,
        unit: null,
        min: wholeNumber(keys.get('lowlimit')) ?? span?.[0] ?? null,
        max: wholeNumber(keys.get('highlimit')) ?? span?.[1] ?? null,
        default: wholeNumber(keys.get('defaultvalue')),
        choices: [],
        rangeText: null,
        defaultText: null,
        register: null,
        group: group === '' ? null : group,
        page: 1,
        box: null,
      },
    ];
  });
  return { entries, alarms: [], unread: [] };
}
