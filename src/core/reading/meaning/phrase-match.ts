import { keysOf } from '../../numerics/arrays';
import { wordsOf, type Word } from './words';

/** How well a text fits one way of saying a thing. */
export interface PhraseFit<Id> {
  id: Id;
  /** 1: the same words; 0: none in common. */
  fit: number;
  /** What in the text spoke for it, as written there. */
  spoke: string[];
}

interface Phrase<Id> {
  id: Id;
  words: readonly string[];
}

/** Ways of saying things, ready to be looked up. */
export interface PhraseBook<Id extends string> {
  phrases: readonly Phrase<Id>[];
  /** By word: which phrases have it. */
  byWord: ReadonlyMap<string, readonly number[]>;
  weight: (word: string) => number;
}

/** Words that parameters of every kind have in their names. */
const weakWords = new Set(
  'function|mode|action|protection|drive|percent|state|count|signal|time|fault|level|unit|enable|output|1|of|motor|too|control|error'.split(
    '|',
  ),
);
/** What a word is worth that no phrase has. */
const unknownWeight = 0.45;
const weakShare = 0.45;

/** Reads a list of phrases, parted by "|" for each id. */
export function phraseBook<Id extends string>(lists: Readonly<Record<Id, string>>): PhraseBook<Id> {
  const phrases = keysOf(lists).flatMap((id) =>
    lists[id]
      .split('|')
      .map((text): Phrase<Id> => ({ id, words: [...new Set(wordsOf(text).map((w) => w.word))] })),
  );
  const byWord = new Map<string, number[]>();
  const idsOf = new Map<string, Set<Id>>();
  phrases.forEach(({ id, words }, index) => {
    for (const word of words) {
      byWord.set(word, [...(byWord.get(word) ?? []), index]);
      idsOf.set(word, (idsOf.get(word) ?? new Set<Id>()).add(id));
    }
  });
  const all = Math.log(1 + Object.keys(lists).length);
  const weights = new Map(
    [...idsOf].map(([word, ids]) => [
      word,
      (Math.log(1 + Object.keys(lists).length / ids.size) / all) * (weakWords.has(word) ? weakShare : 1),
    ]),
  );
  return { phrases, byWord, weight: (word) => weights.get(word) ?? unknownWeight };
}

/** A word of the phrase that the text lacks costs so much of its weight; less where the heading above has it. */
const missingShare = 0.9;
const missingButInContextShare = 0.25;
/** A word of the text that the phrase lacks. */
const extraShare = 0.75;

/**
 * How well a text fits each thing that a book has words for: the best of the thing's phrases counts.
 * @param context words around the text, e.g. of the heading above it: they may stand in for what the text leaves out
 * @returns best first; things that share no word with the text are left out
 */
export function phraseFits<Id extends string>(
  book: PhraseBook<Id>,
  words: readonly Word[],
  context: ReadonlySet<string> = new Set(),
): PhraseFit<Id>[] {
  const text = new Map(words.map(({ word, from }) => [word, from]));
  const total = [...text.keys()].reduce((sum, word) => sum + book.weight(word), 0);
  const touched = new Set([...text.keys()].flatMap((word) => book.byWord.get(word) ?? []));
  const best = new Map<Id, PhraseFit<Id>>();
  for (const index of touched) {
    const { id, words: phrase } = book.phrases[index] ?? { id: undefined, words: [] };
    if (id === undefined) continue;
    let matched = 0;
    let missing = 0;
    for (const word of phrase) {
      const weight = book.weight(word);
      if (text.has(word)) matched += weight;
      else missing += weight * (context.has(word) ? missingButInContextShare : missingShare);
    }
    const fit = matched / (matched + missing + (total - matched) * extraShare);
    if (fit > (best.get(id)?.fit ?? 0))
      best.set(id, { id, fit, spoke: phrase.flatMap((word) => text.get(word) ?? []) });
  }
  return [...best.values()].sort((a, b) => b.fit - a.fit);
}
