import { distance } from 'fastest-levenshtein';
import type { PlateText } from './texts';
import { boxOf, type PlateBox } from './words';

/** A bar code or matrix code of a photo, as it was read: its own check has passed. */
export interface PlateCode extends PlateBox {
  /** Identifiers of GS1 and of ISO/IEC 15434 in brackets, as they are printed under a code. */
  text: string;
}

/** What codes of a label say that tools ask for. */
export interface CodeFields {
  serial?: PlateText;
  type?: PlateText;
}

type Key = keyof CodeFields;

/** Application identifiers of GS1 and data identifiers of ISO/IEC 15418, from memory. */
const identifiers: readonly (readonly [Key, RegExp])[] = [
  ['serial', /\((?:21|S)\)([^(]+)/],
  ['type', /\((?:240|241|1P|30P)\)([^(]+)/],
];

/** What makers write before a value in a matrix code: common practice, no source. */
const labels: readonly (readonly [Key, RegExp])[] = [
  ['serial', /^(?:s\/?n|ser(?:ial)?[ _-]?(?:no|nr|number)?\.?)(?: ?[:=#] ?| )(\S.*)$/i],
  [
    'type',
    /^(?:typ|type|model|mod|p\/?n|part[ _-]?(?:no|number)?\.?|cat[ _-]?(?:no)?\.?|article)(?: ?[:=#] ?| )(\S.*)$/i,
  ],
];

/** A code has passed its own check: what it names is as good as certain. */
const namedConfidence = 0.98;
/** Codes of one label that contradict each other. */
const contradicted = 0.6;
/** The only code of a label is a serial number more often than not. */
const alone = 0.7;
/** A code that nearly says what the letters do: of this unit, or of a part of it. */
const nearly = 0.85;
/** So many characters of a text that was read may differ from a code that means the same. */
const nearEnough = 2;

const plain = /^[A-Z0-9][A-Z0-9/.-]{3,29}$/i;

/** An article number of GS1 (8, 12, 13 or 14 digits), by its check digit: it names a product, not a unit. */
function isArticle(text: string): boolean {
  if (!/^(?:\d{8}|\d{12,14})$/.test(text)) return false;
  const digits = [...text].reverse().map(Number);
  const sum = digits.reduce((total, digit, i) => total + digit * (i % 2 === 1 ? 3 : 1), 0);
  return sum % 10 === 0;
}

/** What a code names by identifier or label. */
function named({ text }: PlateCode): [Key, string][] {
  const identified = identifiers.flatMap(([key, pattern]): [Key, string][] => {
    const value = pattern.exec(text)?.[1]?.trim();
    return value === undefined || value === '' ? [] : [[key, value]];
  });
  if (identified.length > 0) return identified;
  const parts = text.split(/[\n\r;,|&?\u001d\u001e]/).map((part) => part.trim().replace(/\s+/g, ' '));
  return labels.flatMap(([key, pattern]) =>
    parts.flatMap((part): [Key, string][] => {
      const value = pattern.exec(part)?.[1]?.trim();
      return value === undefined ? [] : [[key, value]];
    }),
  );
}

const isNear = (text: string, read: PlateText | undefined): boolean =>
  read !== undefined &&
  text.length > 2 * nearEnough &&
  distance(text.toUpperCase(), read.value.toUpperCase()) <= nearEnough;

/** One value of what codes name; less sure where they contradict each other. */
function oneOf(found: readonly PlateText[]): PlateText | undefined {
  const [first, ...rest] = found;
  if (first === undefined) return undefined;
  return rest.every(({ value }) => value === first.value) ? first : { ...first, confidence: contradicted };
}

const textOf = (code: PlateCode, value: string): PlateText => ({
  ...{ value, confidence: namedConfidence },
  box: boxOf(code),
});

/**
 * Serial number and type as the codes of a label say them.
 * @param read the same as letters were read: a code that nearly agrees puts them right
 * @returns only what the codes add
 */
export function codeFields(codes: readonly PlateCode[], read: CodeFields): CodeFields {
  const said = codes.map((code) => ({ code, names: named(code) }));
  const others = said.flatMap(({ code, names }) =>
    names.length === 0 && plain.test(code.text) ? [textOf(code, code.text)] : [],
  );
  const [only, ...more] = others.filter(({ value }) => /\d/.test(value) && !isArticle(value));
  const isSerial =
    only !== undefined && more.length === 0 && read.serial === undefined && !isNear(only.value, read.type);
  const of = (key: Key): PlateText | undefined =>
    oneOf(
      said.flatMap(({ code, names }) =>
        names.filter(([name]) => name === key).map(([, value]) => textOf(code, value)),
      ),
    ) ??
    oneOf(
      others
        .filter(({ value }) => isNear(value, read[key]))
        .map((text) => (text.value === read[key]?.value ? text : { ...text, confidence: nearly })),
    );
  const serial = of('serial') ?? (isSerial ? { ...only, confidence: alone } : undefined);
  const type = of('type');
  return { ...(serial === undefined ? {} : { serial }), ...(type === undefined ? {} : { type }) };
}
