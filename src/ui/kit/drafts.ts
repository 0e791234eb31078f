'use client';
import { createContext, useContext, useEffect, useEffectEvent, useRef, useState } from 'react';

/** What somebody has typed into a form and not saved yet. */
export interface Draft {
  typed: Readonly<Record<string, unknown>>;
  /** What was recorded when they began to type: the version that they edit. */
  basis: Readonly<Record<string, unknown>>;
  /** ms */
  at: number;
}

/** Fields in which something was typed, and something else was recorded meanwhile. */
export interface Clash {
  /** `label`: as it stands at the field. */
  fields: readonly { name: string; label: string; recorded: unknown; typed: unknown }[];
  keepTyped: () => void;
  takeRecorded: () => void;
}

/** Where forms keep their drafts and say that they clash. Nothing here rejects. */
export interface Drafts {
  load: (form: string) => Promise<Draft | null>;
  save: (form: string, draft: Draft) => void;
  clear: (form: string) => void;
  /** @param clash null: no more */
  clash: (form: string, clash: Clash | null) => void;
}

/** The drafts of the page that a form is on; null: nothing is kept, as outside a job. */
export const DraftsContext = createContext<Drafts | null>(null);

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const save_ms = 300;

/** What a field is called on the page; its name where it has no label of its own. */
function labelOf(name: string): string {
  const field = [...document.getElementsByName(name)].find((element) => element instanceof HTMLInputElement);
  return field?.labels?.[0]?.textContent.trim() ?? name;
}

/**
 * Keeps what is typed into a form over reloads and stages, and watches whether something else is recorded meanwhile.
 * @param form its name within the job
 * @param kept what is recorded now
 * @param typed what stands in the fields
 * @param dirty names of the fields in which somebody typed
 * @param set puts a draft back into a field, as if it were typed
 * @param takeRecorded empties the fields of what was typed
 * @returns the fields that clash; a form is not saved as long as there are any
 */
export function useDraft({
  form,
  kept,
  typed,
  dirty,
  set,
  takeRecorded,
}: {
  form: string;
  kept: Readonly<Record<string, unknown>>;
  typed: Readonly<Record<string, unknown>>;
  dirty: readonly string[];
  set: (name: string, value: unknown) => void;
  takeRecorded: () => void;
}): readonly { name: string; recorded: unknown; typed: unknown }[] {
  const drafts = useContext(DraftsContext);
  const [basis, setBasis] = useState<Draft['basis'] | null>(null);
  const [loaded, setLoaded] = useState(drafts === null);
  /** What the device has of it, as text; null: nothing. */
  const saved = useRef<string | null>(null);

  const restore = useEffectEvent((draft: Draft | null) => {
    setLoaded(true);
    if (draft === null) return;
    saved.current = JSON.stringify({ typed: draft.typed, basis: draft.basis });
    const changed = Object.keys(draft.typed).filter((name) => !same(draft.typed[name], draft.basis[name]));
    if (changed.length === 0) return;
    setBasis(draft.basis);
    changed.forEach((name) => set(name, draft.typed[name]));
  });
  useEffect(() => {
    let here = true;
    void drafts?.load(form).then((draft) => {
      if (here) restore(draft);
    });
    return () => {
      here = false;
    };
  }, [drafts, form]);

  // The version that an edit begins from is the one that was recorded with its first key.
  const isDirty = dirty.length > 0;
  if (isDirty && basis === null) setBasis(kept);
  if (!isDirty && basis !== null && loaded) setBasis(null);

  const fields =
    basis === null
      ? []
      : dirty
          .filter((name) => !same(kept[name], basis[name]) && !same(kept[name], typed[name]))
          .map((name) => ({ name, recorded: kept[name], typed: typed[name] }));

  const draft = isDirty && basis !== null ? JSON.stringify({ typed, basis }) : null;
  const write = useEffectEvent((text: string | null) => {
    if (text === saved.current) return;
    saved.current = text;
    if (text === null || basis === null) drafts?.clear(form);
    else drafts?.save(form, { typed, basis, at: Date.now() });
  });
  useEffect(() => {
    if (!loaded) return;
    const timer = setTimeout(() => write(draft), draft === null ? 0 : save_ms);
    return () => clearTimeout(timer);
  }, [draft, loaded]);
  // Gone before the moment was over: to another stage, or with the tab.
  const leave = useEffectEvent(() => {
    if (loaded && draft !== null) write(draft);
  });
  useEffect(() => {
    const hide = () => leave();
    window.addEventListener('pagehide', hide);
    return () => {
      window.removeEventListener('pagehide', hide);
      hide();
    };
  }, []);

  const clashing = fields.length === 0 ? null : JSON.stringify(fields);
  const tell = useEffectEvent((is: boolean) => {
    drafts?.clash(
      form,
      is
        ? {
            fields: fields.map((f) => ({ ...f, label: labelOf(f.name) })),
            keepTyped: () => setBasis(kept),
            takeRecorded,
          }
        : null,
    );
  });
  useEffect(() => {
    tell(clashing !== null);
    return () => tell(false);
  }, [clashing]);
  return fields;
}
