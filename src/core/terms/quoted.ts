/** What somebody typed, within a text of ours: it stays as it was typed, whatever terms the text is read in. */
export const quoted = (typed: string): string => `“${typed}”`;

/** The same after a colon; nothing where nothing was typed. */
export const remark = (typed: string | undefined): string =>
  typed === undefined || typed === '' ? '' : `: ${quoted(typed)}`;
