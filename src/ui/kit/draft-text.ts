'use client';
import { useState } from 'react';
import { useDraft } from './drafts';

const nothing = {};

/** Fields by themselves, by name. */
export interface DraftTexts {
  /** What stands in a field. */
  of: (name: string) => string;
  set: (name: string, text: string) => void;
  /** Once they were used. */
  clear: () => void;
}

/**
 * Text of some fields by themselves that is kept over stages and reloads until it is used or emptied.
 * @param form their name within the job
 */
export function useDraftTexts(form: string): DraftTexts {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(nothing);
  const set = (name: string, text: string) => setTexts((before) => ({ ...before, [name]: text }));
  const clear = () => setTexts(nothing);
  useDraft({
    form,
    kept: nothing,
    typed: texts,
    dirty: Object.keys(texts).filter((name) => texts[name] !== ''),
    set: (name, value) => set(name, String(value)),
    takeRecorded: clear,
  });
  return { of: (name) => texts[name] ?? '', set, clear };
}

/** The same of one field. */
export function useDraftText(form: string): [text: string, set: (text: string) => void] {
  const { of, set } = useDraftTexts(form);
  return [of('text'), (text) => set('text', text)];
}
