'use client';
import { useMemo, useState } from 'react';
import type { Clash, Drafts } from '../kit/drafts';
import { draftStore } from './browser-ports';

/** A form whose fields clash with what was recorded meanwhile. */
export interface FormClash extends Clash {
  form: string;
}

/** Drafts of the forms of a job, by the person who types; and the forms that clash. */
export function useFormDrafts(
  jobId: string,
  personId: string,
): { drafts: Drafts; clashes: readonly FormClash[] } {
  const [clashes, setClashes] = useState<readonly FormClash[]>([]);
  const drafts = useMemo((): Drafts => {
    const store = draftStore();
    const keyOf = (form: string): string => `${jobId} ${personId} ${form}`;
    return {
      load: (form) => store.load(keyOf(form)).catch(() => null),
      // Where nothing can be stored the fields still have it; entries say that the device cannot store.
      save: (form, draft) => void store.save(keyOf(form), draft).catch(() => undefined),
      clear: (form) => void store.clear(keyOf(form)).catch(() => undefined),
      clash: (form, clash) =>
        setClashes((before) => [
          ...before.filter((c) => c.form !== form),
          ...(clash === null ? [] : [{ ...clash, form }]),
        ]),
    };
  }, [jobId, personId]);
  return { drafts, clashes };
}
