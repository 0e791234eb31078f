'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import type { FormEvent } from 'react';
import {
  useForm,
  useWatch,
  type FieldPathByValue,
  type FieldValues,
  type Path,
  type PathValue,
  type UseFormRegisterReturn,
} from 'react-hook-form';
import type * as z from 'zod';
import { useDraft } from './drafts';

/** A form as its fields and its button see it. */
export interface TypedForm<Typed extends FieldValues, Read> {
  /** What stands in the fields. */
  typed: Typed;
  /** What is read of it; null while a field cannot be read. */
  read: Read | null;
  /** It was pressed, and something could not be read. */
  refused: boolean;
  /** Properties of a text field, its error among them. */
  text: (name: Path<Typed>) => UseFormRegisterReturn & { error: string | undefined };
  /** Properties of a choice or a list. */
  pick: <N extends Path<Typed>>(
    name: N,
  ) => {
    value: PathValue<Typed, N>;
    onChange: (value: PathValue<Typed, N>) => void;
    error: string | undefined;
  };
  /** Properties of a field that takes a quantity in either unit. */
  quantity: (name: FieldPathByValue<Typed, string>) => {
    text: string;
    set: (text: string) => void;
    error: string | undefined;
  };
  /** Properties of a tick. */
  tick: (name: FieldPathByValue<Typed, boolean>) => {
    checked: boolean;
    onChange: (checked: boolean) => void;
  };
  set: <N extends Path<Typed>>(name: N, value: PathValue<Typed, N>) => void;
  /**
   * Submits: `keep` gets what was read; what cannot be read is said at its field, which gets the focus. Afterwards
   * the fields stand as they are, or as `next` says.
   */
  submit: (keep: (read: Read) => void, next?: Typed) => (event: FormEvent) => void;
}

/** Has anything of a field, or of its list, been typed? */
const isTouched = (dirty: unknown): boolean =>
  dirty === true ||
  (typeof dirty === 'object' &&
    dirty !== null &&
    Object.values(dirty).some((inner: unknown) => isTouched(inner)));

/**
 * A form that is typed as text and read by a schema. It follows what was kept before, also when that changes while the form is
 * open: fields that somebody is typing in stay as they are. What is typed and not saved is kept as a draft of the job; where
 * something else was recorded meanwhile, both are shown, and nothing is saved before somebody decides.
 *
 * @param name Of the form, within the job: its draft goes by it.
 * @param schema Reads all fields together; its messages are shown at the fields.
 * @param kept The fields as they stand before anything is typed.
 */
export function useTypedForm<Typed extends FieldValues, Read>(
  name: string,
  schema: z.ZodType<Read, Typed>,
  kept: Typed,
): TypedForm<Typed, Read> {
  const { control, formState, register, setValue, getValues, getFieldState, handleSubmit, reset } = useForm<
    Typed,
    unknown,
    Read
  >({
    resolver: zodResolver(schema),
    mode: 'onChange',
    values: kept,
    resetOptions: { keepDirtyValues: true },
  });
  // Watched whole, so that the form is drawn anew with each key; `getValues` has what was watched.
  useWatch({ control });
  const typed = getValues();
  const asked = schema.safeParse(typed);
  const errorOf = (name: Path<Typed>) => getFieldState(name, formState).error?.message;
  const set = <N extends Path<Typed>>(name: N, value: PathValue<Typed, N>) =>
    setValue(name, value, { shouldDirty: true, shouldValidate: true });
  const dirty = Object.entries(formState.dirtyFields).flatMap(([field, is]) =>
    isTouched(is) ? [field] : [],
  );
  const clashes = useDraft({
    form: name,
    kept,
    typed,
    dirty,
    // Names come back out of a draft of this form.
    set: (field, value) => set(field as Path<Typed>, value as PathValue<Typed, Path<Typed>>),
    takeRecorded: () => reset(kept, { keepDirtyValues: false }),
  });
  return {
    typed,
    read: asked.success ? asked.data : null,
    refused: formState.isSubmitted && !asked.success,
    text: (name) => ({ ...register(name), error: errorOf(name) }),
    pick: (name) => ({
      value: getValues(name),
      onChange: (value) => set(name, value),
      error: errorOf(name),
    }),
    quantity: (name) => ({
      text: getValues(name),
      // A name of this kind stands for a text; the compiler cannot conclude that backwards.
      set: (text) => set(name, text as PathValue<Typed, typeof name>),
      error: errorOf(name),
    }),
    tick: (name) => ({
      checked: getValues(name),
      // A name of this kind stands for a truth; the compiler cannot conclude that backwards.
      onChange: (checked) => set(name, checked as PathValue<Typed, typeof name>),
    }),
    set,
    submit: (keep, next) => (event) =>
      void handleSubmit((read) => {
        if (clashes.length > 0) return;
        // What is kept now is no longer typed over what was kept before.
        reset(next ?? getValues(), { keepDirtyValues: false });
        keep(read);
      })(event),
  };
}
