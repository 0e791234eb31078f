import { choicesOf, conceptOf, type ConceptId } from '../../equipment/concepts';
import { choicePhrases } from './choice-phrases';
import { usualDefaults } from './concept-phrases';
import { phraseBook, phraseFits, type PhraseBook } from './phrase-match';
import { wordsOf } from './words';

/** What a manual says of one parameter, as far as its meaning is asked. */
export interface NamedParameter {
  number: string;
  name: string;
  unit?: string | null | undefined;
  min?: number | null | undefined;
  max?: number | null | undefined;
  default?: number | null | undefined;
  choices?: readonly { value: number; name: string }[] | undefined;
  /** The heading that it is under. */
  group?: string | undefined;
}

/** One thing that speaks for or against a meaning, in nats. */
export interface Evidence {
  what: 'unit' | 'choices' | 'range' | 'default';
  nats: number;
}

/** Units as they are written → as the dictionary has them. */
const unitWritings: Readonly<Record<string, string>> = {
  hz: 'Hz',
  hertz: 'Hz',
  khz: 'kHz',
  a: 'A',
  amp: 'A',
  amps: 'A',
  aac: 'A',
  arms: 'A',
  v: 'V',
  vac: 'V',
  vdc: 'V',
  volt: 'V',
  volts: 'V',
  kw: 'kW',
  w: 'W',
  hp: 'hp',
  'kw/hp': 'kW',
  s: 's',
  sec: 's',
  secs: 's',
  seconds: 's',
  second: 's',
  ms: 'ms',
  msec: 'ms',
  min: 'min',
  mins: 'min',
  minutes: 'min',
  h: 'h',
  hr: 'h',
  hrs: 'h',
  hours: 'h',
  '%': '%',
  pct: '%',
  percent: '%',
  Ω: 'Ω',
  ω: 'Ω',
  ohm: 'Ω',
  ohms: 'Ω',
  mohm: 'mΩ',
  mω: 'mΩ',
  rpm: 'rpm',
  'r/min': 'rpm',
  '1/min': 'rpm',
  'min-1': 'rpm',
  'min⁻¹': 'rpm',
  'rev/min': 'rpm',
  ma: 'mA',
  '°c': '°C',
  c: '°C',
  degc: '°C',
  '°f': '°F',
  mh: 'mH',
  ppr: 'lines',
  'p/r': 'lines',
  'pulses/rev': 'lines',
  bps: 'baud',
  baud: 'baud',
  'kbit/s': 'baud',
  kbps: 'baud',
  'bit/s': 'baud',
};

/** A unit as the dictionary writes it; as it is where it is none we know. */
export const unitOf = (written: string): string => {
  const plain = written
    .trim()
    .replace(/^[[(]|[\])]$/g, '')
    .replace(/[Ωω]/g, 'Ω');
  return unitWritings[plain.toLowerCase()] ?? unitWritings[plain] ?? plain;
};

/** Is it the writing of a unit that parameters have? */
export const isUnit = (written: string): boolean =>
  unitWritings[written.trim().replace(/[Ωω]/g, 'Ω').toLowerCase()] !== undefined;

/** Units that may stand for one another in manuals, and how surely not: nats. */
const kinUnits: Readonly<Record<string, number>> = {
  'Hz|rpm': -0.8,
  'Hz|%': -1,
  'rpm|Hz': -1.5,
  'kW|hp': 1,
  'kW|W': 0.6,
  's|ms': 0.4,
  's|min': 0.2,
  'ms|s': 0.4,
  'kHz|Hz': -0.6,
  'Ω|mΩ': 0.8,
  '%|V': -1,
  '%|Hz': -3,
  '%|A': -1.2,
  '|lines': 1,
  '%|s': -0.8,
  '%|mA': -0.5,
  '|%': -1,
};

const unitMatches_nats = 1.3;
const unitMissing_nats = -0.35;
const unitWrong_nats = -5;
/** A unit on what is a choice. */
const unitOnChoice_nats = -4;
const rangeTooWide_nats = -1.2;
const choicesOfFigure_nats = -5;
const defaultUsual_nats = 0.4;
const defaultUnusual_nats = -1.3;

const books = new Map<ConceptId, PhraseBook<string>>();
function choiceBook(id: ConceptId): PhraseBook<string> {
  const known = books.get(id);
  if (known !== undefined) return known;
  const book = phraseBook(Object.fromEntries(choicesOf(id).map((c) => [c, choicePhrases[c] ?? c])));
  books.set(id, book);
  return book;
}

/** The least fit of words that names a choice. */
const leastChoiceFit = 0.55;

interface ChoiceFit {
  id: string;
  fit: number;
}

/** Choices come again, since the inputs of a drive all have one list: what was found out stays for the lists of a few manuals. */
const choiceFits = new Map<string, readonly ChoiceFit[]>();
const mostRemembered = 20_000;

function fitsOfChoice(name: string, id: ConceptId): readonly ChoiceFit[] {
  const key = `${id}\n${name}`;
  const known = choiceFits.get(key);
  if (known !== undefined) return known;
  if (choiceFits.size > mostRemembered) choiceFits.clear();
  const exact = writingsOf(id).get(sameWriting(name));
  const byWords = phraseFits(choiceBook(id), wordsOf(name))
    .filter(({ fit }) => fit >= leastChoiceFit)
    .map(({ id: means, fit }) => ({ id: means, fit }));
  const fits = exact === undefined ? byWords : [{ id: exact, fit: 2 }, ...byWords];
  choiceFits.set(key, fits);
  return fits;
}

const sameWriting = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9%±]+/g, ' ')
    .trim();
const writings = new Map<ConceptId, ReadonlyMap<string, string>>();

/** Ways of saying a choice, letter by letter: they go before the words, which know no order. */
function writingsOf(id: ConceptId): ReadonlyMap<string, string> {
  const known = writings.get(id);
  if (known !== undefined) return known;
  const all = new Map<string, string>();
  for (const choice of choicesOf(id))
    for (const text of (choicePhrases[choice] ?? choice).split('|'))
      if (!all.has(sameWriting(text))) all.set(sameWriting(text), choice);
  writings.set(id, all);
  return all;
}

/** Presets by the bits that select them: whatever the bits are numbered from, they follow one another. */
function withPresetsInOrder(
  choices: readonly { name: string }[],
  means: readonly (string | undefined)[],
): (string | undefined)[] {
  const bits = choices.flatMap(({ name }, i) => {
    const words = wordsOf(name).map(({ word }) => word);
    const digit = /(\d)\D*$/.exec(name)?.[1];
    return digit !== undefined && (words.includes('preset') || /\bbit\b/i.test(name)) ? [{ i, digit }] : [];
  });
  const lowest = Math.min(...bits.map(({ digit }) => Number(digit)));
  return means.map((one, i) => {
    const bit = bits.find((b) => b.i === i);
    const place = bit === undefined ? 0 : Number(bit.digit) - lowest + 1;
    return place >= 1 && place <= 3 ? `preset-${place}` : one;
  });
}

/** "Forward" and "reverse" in one list are two run commands; "reverse" beside "run" is a direction. */
function withRunPairs(means: readonly (string | undefined)[]): (string | undefined)[] {
  const paired = means.includes('run-forward') && !means.includes('run-reverse');
  return means.map((one) => (paired && one === 'reverse' ? 'run-reverse' : one));
}

/**
 * What each choice of a parameter stands for among the neutral choices of a concept.
 * @returns one for each choice, undefined where none fits
 */
export function meansOfChoices(
  choices: readonly { value: number; name: string }[],
  id: ConceptId,
): (string | undefined)[] {
  if (choicesOf(id).length === 0) return choices.map(() => undefined);
  const fits = choices.map(({ name }) => fitsOfChoice(name, id));
  // A neutral choice goes to the name that fits it best; of two names for one thing both have it only when they fit alike.
  const bestOf = new Map<string, number>();
  for (const [first] of fits)
    if (first !== undefined) bestOf.set(first.id, Math.max(bestOf.get(first.id) ?? 0, first.fit));
  const means = fits.map((list) => list.find(({ id: one, fit }) => fit >= (bestOf.get(one) ?? 0) - 1e-9)?.id);
  const isInput = choicesOf(id).includes('preset-1');
  return isInput ? withRunPairs(withPresetsInOrder(choices, means)) : means;
}

function choiceEvidence(parameter: NamedParameter, id: ConceptId): number {
  const choices = parameter.choices ?? [];
  if (choices.length < 2) {
    const { min, max } = parameter;
    const spread = typeof min === 'number' && typeof max === 'number' ? max - min : null;
    return spread !== null && spread > 60 ? rangeTooWide_nats : -0.3;
  }
  const means = meansOfChoices(choices, id);
  const told = means.filter((m) => m !== undefined);
  const share = told.length / choices.length;
  const distinct = new Set(told).size;
  if (distinct === 0) return -2.5;
  // "Off" and "on" say little of what it is that is on.
  const specific = told.some((m) => !['off', 'on', 'no', 'yes', 'none'].includes(m));
  return distinct >= 2 ? 3 * share - 1 + (specific ? 0.5 : -0.8) : 1.5 * share - 1.2;
}

function unitEvidence(written: string | null | undefined, unit: string): number {
  const own = written === null || written === undefined ? '' : unitOf(written);
  if (own === unit) return own === '' ? 0 : unitMatches_nats;
  if (own === '') return unitMissing_nats;
  return kinUnits[`${unit}|${own}`] ?? (unit === '' ? -2.5 : unitWrong_nats);
}

function defaultEvidence(
  { default: given, unit }: NamedParameter,
  id: ConceptId,
  conceptUnit: string,
): number {
  const usual = usualDefaults[id];
  if (usual === undefined || typeof given !== 'number') return 0;
  if (typeof unit === 'string' && unitOf(unit) !== conceptUnit) return 0;
  return given >= usual[0] && given <= usual[1] ? defaultUsual_nats : defaultUnusual_nats;
}

/** What unit, choices, range and default say about a meaning. */
export function evidenceFor(parameter: NamedParameter, id: ConceptId): Evidence[] {
  const { kind } = conceptOf(id);
  const unitGiven = typeof parameter.unit === 'string' && unitOf(parameter.unit) !== '';
  if ('choices' in kind) {
    const onChoice = unitGiven && (parameter.choices ?? []).length < 2 ? unitOnChoice_nats : 0;
    return [
      { what: 'choices', nats: choiceEvidence(parameter, id) },
      // The speed of a serial link is a choice that has a unit.
      { what: 'unit', nats: id === 'serial.speed' && unitOf(parameter.unit ?? '') === 'baud' ? 1 : onChoice },
    ];
  }
  const listed = parameter.choices ?? [];
  const numeric = listed.length >= 2 && listed.every(({ name }) => /\d/.test(name));
  return [
    { what: 'unit', nats: unitEvidence(parameter.unit, kind.unit) },
    { what: 'default', nats: defaultEvidence(parameter, id, kind.unit) },
    ...(listed.length >= 2
      ? [{ what: 'choices' as const, nats: numeric ? choicesOfFigure_nats / 3 : choicesOfFigure_nats }]
      : []),
  ];
}
