import type * as z from 'zod';

/** One headless computation. Input is validated by `input`; `run` gets only what passed. */
export interface Verb {
  name: string;
  summary: string;
  input: z.ZodType;
  output: z.ZodType;
  run: (input: unknown) => unknown;
}

/** Binds a function to its schemas; the cast is sound because `run` is only called on parsed input. */
export const verb = <I extends z.ZodType, O extends z.ZodType>(definition: {
  name: string;
  summary: string;
  input: I;
  output: O;
  run: (input: z.output<I>) => z.input<O>;
}): Verb => ({ ...definition, run: (input) => definition.run(input as z.output<I>) });

/** One thing that is wrong with an input: where, what was given, what is allowed. */
export interface Problem {
  path: string;
  given: unknown;
  allowed: string;
}

/** The body of every refusal, on stdout and over HTTP alike. */
export interface VerbRefusal {
  id?: unknown;
  error: { code: 'bad-input' | 'not-json' | 'unknown-verb' | 'our-fault' | 'busy'; problems: Problem[] };
}

/** An input that its schema takes and the computation cannot: answered as any other refusal. */
export class RefusedInput extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map((p) => `${p.path}: ${p.allowed}`).join('; '));
  }
}
