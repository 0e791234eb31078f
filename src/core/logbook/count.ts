const plural = (what: string): string =>
  /[^aeiou]y$/.test(what) ? `${what.slice(0, -1)}ies` : /(s|x|ch|sh)$/.test(what) ? `${what}es` : `${what}s`;

/** "1 figure", "3 figures", "2 entries". */
export const countOf = (count: number, what: string): string =>
  `${count} ${count === 1 ? what : plural(what)}`;
