/** One thing that is wrong with what was sent. */
export interface ApiProblem {
  path: string;
  allowed: string;
  /** Where it is in a file that was sent. */
  file?: string;
  line?: number;
  given?: string;
}

/** The one shape of every refusal. */
export interface ApiError {
  error: string;
  problems: readonly ApiProblem[];
  /** Of a write to a drive: is it certain that nothing was written? */
  certain?: boolean;
}
