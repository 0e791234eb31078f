import { keysOf, valueAt } from '../../numerics/arrays';
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
  /** What its words are worth together. */
  worth: number;
}

/** Ways of saying things, ready to be looked up. */
export interface PhraseBook<Id extends string> {
  phrases: readonly Phrase<Id>[];
  /** By word: which phrases have it. */
  byWord: ReadonlyMap<string, readonly number[]>;
  weight: (word: string) => number;
  /** Room to add up in, all zeros between two questions. */
  scratch: Float64Array;
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
  const written = keysOf(lists).flatMap((id) =>
    lists[id].split('|').map((text) => ({ id, words: [...new Set(wordsOf(text).map((w) => w.word))] })),
  );
  const byWord = new Map<string, number[]>();
  const idsOf = new Map<string, Set<Id>>();
  written.forEach(({ id, words }, index) => {
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
  const weight = (word: string): number => weights.get(word) ?? (/^\d+$/.test(word) ? 1 : unknownWeight);
  const phrases = written.map((phrase) => ({
    ...phrase,
    worth: phrase.words.reduce((sum, word) => sum + weight(word), 0),
  }));
  return { phrases, byWord, weight, scratch: new Float64Array(phrases.length) };
}

/** A word of the phrase that the text lacks costs so much of its weight; less where the heading above has it. */
const missingShare = 0.9;
const missingButInContextShare = 0.25;
/** A word of the text that the phrase lacks. */
const extraShare = 0.75;

/**
 * How well a text fits each thing that a book has words for: the best of the thing's phrases counts.
 * @param context words around the text, e.g. of the heading above it: they may stand in for what the text leaves out
 * @param least fits below this are left out
 * @returns best first; things that share no word with the text are left out
 */
export function phraseFits<Id extends string>(
  book: PhraseBook<Id>,
  words: readonly Word[],
  context: ReadonlySet<string> = new Set(),
  least = 0,
): PhraseFit<Id>[] {
  const text = new Map(words.map(({ word, from }) => [word, from]));
  const { scratch } = book;
  const touched: number[] = [];
  let total = 0;
  for (const word of text.keys()) {
    const weight = book.weight(word);
    total += weight;
    for (const index of book.byWord.get(word) ?? []) {
      const before = valueAt(scratch, index);
      if (before === 0) touched.push(index);
      scratch[index] = before + weight;
    }
  }
  // What the heading has in place of the text costs less.
  const spared = new Map<number, number>();
  for (const word of context) {
    if (text.has(word)) continue;
    const saving = book.weight(word) * (missingShare - missingButInContextShare);
    for (const index of book.byWord.get(word) ?? [])
      if (valueAt(scratch, index) > 0) spared.set(index, (spared.get(index) ?? 0) + saving);
  }
  const best = new Map<Id, { fit: number; phrase: Phrase<Id> }>();
  for (const index of touched) {
    const weight = valueAt(scratch, index);
    scratch[index] = 0;
    const phrase = book.phrases[index];
    if (phrase === undefined) continue;
    const missing = (phrase.worth - weight) * missingShare - (spared.get(index) ?? 0);
    const fit = weight / (weight + missing + (total - weight) * extraShare);
    if (fit >= least && fit > (best.get(phrase.id)?.fit ?? 0)) best.set(phrase.id, { fit, phrase });
  }
  return [...best]
    .map(([id, { fit, phrase }]) => ({
      id,
      fit,
      spoke: phrase.words.flatMap((word) => text.get(word) ?? []),
    }))
    .sort((a, b) => b.fit - a.fit);
}
