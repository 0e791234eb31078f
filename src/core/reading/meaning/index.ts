// What a parameter of an unknown make means, by its name and all that stands beside it.
import type { AlarmFamily, ConceptId } from '../../equipment/concepts';
import { withoutEnd } from '../../text';
import { asConfidence, assigned, type Claim } from './assignment';
import { conceptPhrases } from './concept-phrases';
import { evidenceFor, meansOfChoices, type NamedParameter } from './evidence';
import { familyPhrases } from './family-phrases';
import { otherPhrases } from './other-phrases';
import { phraseBook, phraseFits, type PhraseBook } from './phrase-match';
import { wordsOf, type Word } from './words';

export { isUnit, meansOfChoices, unitOf, type NamedParameter } from './evidence';
export { isKnownWord, wordsOf } from './words';

/** A thing with how surely it is meant, 0 to 1. */
export interface Likely<Id> {
  id: Id;
  confidence: number;
}

/** What a parameter means. */
export interface Meaning {
  number: string;
  /** Null: more likely nothing of the dictionary. */
  concept: Likely<ConceptId> | null;
  /** Others that it could be, best first. */
  alternatives: Likely<ConceptId>[];
  /** Words of its name that spoke for the concept. */
  spoke: string[];
  /** What each of its choices stands for, in their order; undefined: not known. */
  means: (string | undefined)[];
}

/** Words that the workshop confirmed before: a name as written, and what it meant. */
export interface Learnt {
  name: string;
  concept: ConceptId;
}

let concepts: PhraseBook<ConceptId> | undefined;
const conceptBook = (): PhraseBook<ConceptId> => (concepts ??= phraseBook(conceptPhrases));
let others: PhraseBook<string> | undefined;
const otherBook = (): PhraseBook<string> => (others ??= phraseBook(otherPhrases));
let families: PhraseBook<AlarmFamily> | undefined;
const familyBook = (): PhraseBook<AlarmFamily> => (families ??= phraseBook(familyPhrases));

/** Nats of a name: nothing at this fit, more above. */
const evenFit = 0.6;
const natsPerFit = 13;
/** Unit and choices speak for a concept, and for nothing else: it is made up for. */
const otherHandicap_nats = 1.2;
/** A name that fits a concept better than this is the concept's. */
const otherMargin = 0.02;
/** Names that fit less are not asked further. */
const leastFit = 0.34;
/** What the workshop has confirmed of the very name counts as a perfect fit, and more. */
const learnt_nats = 3;
const besides = /\([^()]*\)/g;
const wordSet = (text: string): Set<string> => new Set(wordsOf(text).map(({ word }) => word));
const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/** The part of a number that a group of parameters shares: "P1-" of "P1-03". */
export const groupOf = (number: string): string => withoutEnd(number, '0123456789ABCDEFabcdef');

/** The words of a parameter: those of its name, and those around it that may stand in for them. */
interface ParameterWords {
  name: Word[];
  context: ReadonlySet<string>;
}

function parameterWords({ name, group = '' }: NamedParameter): ParameterWords {
  // What is in brackets explains the name; it does not have to be in ours.
  const inBrackets = wordsOf((name.match(besides) ?? []).join(' '));
  const words = wordsOf(name.replace(besides, ' '));
  const context = new Set([...inBrackets.map(({ word }) => word), ...wordSet(group)]);
  return { name: words.length > 0 ? words : inBrackets, context };
}

function claimsOf(
  parameter: NamedParameter,
  words: ParameterWords,
  learnt: ReadonlyMap<string, ConceptId>,
): (Claim<ConceptId> & { fit: number })[] {
  const known = learnt.get(plain(parameter.name));
  const fits = phraseFits(conceptBook(), words.name, words.context, leastFit)
    .filter(({ id }) => id !== known)
    .slice(0, 14);
  const all = known === undefined ? fits : [{ id: known, fit: 1, spoke: [parameter.name] }, ...fits];
  return all.map(({ id, fit, spoke }) => ({
    ...{ id, fit, spoke },
    nats:
      natsPerFit * (fit - evenFit) +
      evidenceFor(parameter, id).reduce((sum, { nats }) => sum + nats, 0) +
      (id === known ? learnt_nats : 0),
  }));
}

/** How much its name speaks for something that every manual lists and the dictionary does not have. */
function otherNats({ name, context }: ParameterWords, bestClaim: number): number {
  const [best] = phraseFits(otherBook(), name, context);
  if (best === undefined || best.fit < bestClaim - otherMargin) return Number.NEGATIVE_INFINITY;
  return natsPerFit * (best.fit - evenFit) + otherHandicap_nats;
}

/**
 * What the parameters of one manual mean, all together: each concept belongs to one of them at most, and neighbours of
 * one group tend to be about the same thing.
 * @param learnt what the workshop confirmed of names before
 */
export function meaningsOf(parameters: readonly NamedParameter[], learnt: readonly Learnt[] = []): Meaning[] {
  const confirmed = new Map(learnt.map(({ name, concept }) => [plain(name), concept]));
  const rows = assigned(
    parameters.map((parameter) => {
      const words = parameterWords(parameter);
      const claims = claimsOf(parameter, words, confirmed);
      const bestFit = Math.max(0, ...claims.map(({ fit }) => fit));
      const isConfirmed = confirmed.has(plain(parameter.name));
      return {
        group: groupOf(parameter.number),
        other_nats: isConfirmed ? Number.NEGATIVE_INFINITY : otherNats(words, bestFit),
        claims,
      };
    }),
  );
  return rows.map(({ best, others, spoke }, i) => {
    const choices = parameters[i]?.choices ?? [];
    return {
      number: parameters[i]?.number ?? '',
      concept: best,
      alternatives: others,
      spoke,
      means: best === null ? choices.map(() => undefined) : meansOfChoices(choices, best.id),
    };
  });
}

/** Fits of names of faults: even at this, and how fast they grow. */
const familyEvenFit = 0.5;
const natsPerFamilyFit = 11;

/**
 * The family of a fault by its name.
 * @param context more that the manual says of it, e.g. its cause; it only breaks ties
 * @returns the most likely first; empty where no word of the name is known
 */
export function familiesOf(name: string, context = ''): Likely<AlarmFamily>[] {
  const fits = phraseFits(
    familyBook(),
    wordsOf(name.replace(besides, ' ')),
    new Set([...wordSet(context)]),
  ).slice(0, 8);
  const weights = fits.map(({ fit }) => Math.exp(natsPerFamilyFit * (fit - familyEvenFit)));
  const total = weights.reduce((a, b) => a + b, 1);
  return fits.map(({ id }, i) => ({ id, confidence: asConfidence((weights[i] ?? 0) / total) }));
}
