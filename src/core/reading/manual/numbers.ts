import { oneLine, withoutEnd, withoutEnds } from '../../text';

const scheme =
  /^(?:[A-Za-z]{1,3}[.\-_ ]?)?(?:0x)?\d[0-9A-Fa-f]{0,4}(?:\s?[.\-:/]\s?[0-9A-Fa-f]{1,4}){0,3}[a-z]?(?:\.?h)?$/;

/** A parameter's number without what manuals hang on it: stars, brackets, a trailing point. */
export const tidyNumber = (text: string): string =>
  withoutEnd(withoutEnds(oneLine(text), '[]()'), '*†‡•●○◆')
    .replace(/ ?([.\-:/]) ?/g, '$1')
    .replace(/[.:]$/, '')
    .replace(/^([A-Za-z]{1,3}) (?=\d)/, '$1')
    .replace(/[‐‑‒–—−]/g, '-')
    .trim();

/** Could it be the number of a parameter, e.g. "P1-03", "F0.01", "0x2010:04", "12"? */
export const isParameterNumber = (text: string): boolean => {
  const plain = tidyNumber(text);
  return (
    plain.length <= 12 &&
    /\d/.test(plain) &&
    scheme.test(plain) &&
    !/^\d+(?:\.\d+)?(?:Hz|A|V|s|h)$/.test(plain)
  );
};

/** Could it be the code of a fault, e.g. "E.OC1", "F005", "OH", "14"? */
export const isFaultCode = (text: string): boolean => {
  const plain = text.trim();
  return (
    plain.length <= 10 &&
    /^[A-Za-z0-9][A-Za-z0-9.\-_:/]*$/.test(plain) &&
    (/\d/.test(plain) || (/[A-Z]/.test(plain) && !/[a-z]{4}/.test(plain) && plain.length <= 8)) &&
    !/^(?:no|code|name|fault|page|note|table)$/i.test(plain)
  );
};

/** How a number is written, digits and letters as one sign each: "P1-03" is "A0-0". */
export const shapeOf = (number: string): string =>
  number
    .replace(/0x/i, 'x')
    .replace(/(?<=:)[0-9A-F]+/gi, '0')
    .replace(/[0-9]+/g, '0')
    .replace(/[A-Za-z]+/g, 'A');
