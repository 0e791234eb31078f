/** Something that stands against a signature. */
export interface OpenIssue {
  /** Stays the same, so that a person can name it. */
  id: string;
  text: string;
  /** The machine may run with it for a while, with a date and a name. */
  mayWait: boolean;
}
