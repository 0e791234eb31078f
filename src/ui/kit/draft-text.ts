'use client';
import { useState } from 'react';
import { useDraft } from './drafts';

const nothing = { text: '' };

/**
 * Text of a field by itself that is kept over stages and reloads until it is used or emptied.
 * @param form its name within the job
 */
export function useDraftText(form: string): [text: string, set: (text: string) => void] {
  const [text, setText] = useState('');
  useDraft({
    form,
    kept: nothing,
    typed: { text },
    dirty: text === '' ? [] : ['text'],
    set: (_, value) => setText(String(value)),
    takeRecorded: () => setText(''),
  });
  return [text, setText];
}
