import type { TermsProfile } from './profile';
import { awgOf, temperature, torque, writeQuantity } from './units';

/** International terms and the ones of the United States, longest first; the first letter's case is kept. */
const usTerms: readonly (readonly [RegExp, string])[] = [
  [/\bprotective earth\b/gi, 'equipment ground'],
  [/\bprotective conductor/gi, 'equipment grounding conductor'],
  [/\b(?:rated motor current|motor rated current)(?: \(FLA\))?/gi, 'FLA'],
  [/\bunearthed\b/gi, 'ungrounded'],
  [/\bearth(?=(?:ed|ing|s)?\b)/gi, 'ground'],
  [/\bstar(?=[ /-]|\b)/gi, 'wye'],
];

const capitalAs = (pattern: string, word: string): string =>
  /^\p{Lu}/u.test(pattern) ? word.charAt(0).toUpperCase() + word.slice(1) : word;

/** A value or a range before a unit; the sign may be a hyphen, as numbers are written by computers. */
const number = String.raw`(?<![\d.])[-−]?\d+(?:\.\d+)?`;
const range = String.raw`(${number})(?:(\s?–\s?|\.\.| to )(${number}))?\s`;
const temperatures = new RegExp(String.raw`(\bper )?${range}°C`, 'gu');
const torques = new RegExp(`${range}N·m`, 'gu');
const areas = /(?<![\d.])(\d+(?:\.\d+)?)\smm²/gu;

const valueOf = (text: string): number => Number(text.replace('−', '-'));

/** A minus sign as it is printed. */
const printed = (text: string): string => text.replace(/^-/, '−');

function temperatureBeside(
  all: string,
  per: string | undefined,
  low: string,
  dash: string | undefined,
  high: string | undefined,
): string {
  // Of a difference only the size of a degree changes.
  if (per !== undefined)
    return `${all} (${temperature.writeUs(temperature.toUs(valueOf(low)) - temperature.toUs(0))} °F)`;
  const us = (text: string) => printed(temperature.writeUs(temperature.toUs(valueOf(text))));
  return `${all} (${us(low)}${high === undefined ? '' : `${dash ?? ''}${us(high)}`} °F)`;
}

function torqueFirst(all: string, low: string, dash: string | undefined, high: string | undefined): string {
  if (high === undefined) return writeQuantity(torque, valueOf(low), true, low);
  const us = (text: string) => torque.writeUs(torque.toUs(valueOf(text)));
  return `${us(low)}${dash ?? ''}${us(high)} lb·in (${all})`;
}

function areaFirst(all: string, area: string): string {
  const awg = awgOf(Number(area));
  return awg === null ? all : `${awg} (${all})`;
}

/** Is a calculation shown in it? It stays in the units it was done in. */
const isCalculation = (text: string): boolean => /[=×÷]/.test(text);

function usText(text: string): string {
  const worded = usTerms.reduce((t, [term, us]) => t.replace(term, (found) => capitalAs(found, us)), text);
  if (isCalculation(text)) return worded;
  return worded
    .replace(temperatures, temperatureBeside)
    .replace(torques, torqueFirst)
    .replace(areas, areaFirst);
}

/** Nothing else of a text can differ: most texts are passed on at this price. */
const mayDiffer = /earth|star|protective|rated|°C|N·m|mm²/i;

/**
 * Puts a text of ours into a profile's terms and units. All texts are written with international terms and SI units.
 * What is between “ and ” was typed by somebody, and stays.
 * @param text the text, whole: a value and its unit together
 * @param profile whose terms and units
 * @returns the text; itself where nothing of it differs
 */
export function inTerms(text: string, profile: TermsProfile): string {
  if (profile === 'international' || !mayDiffer.test(text)) return text;
  const [ours = '', ...quotes] = text.split('“');
  return quotes.reduce((said, quote) => {
    const end = quote.indexOf('”') + 1;
    return `${said}“${quote.slice(0, end)}${usText(quote.slice(end))}`;
  }, usText(ours));
}

const isText = (node: unknown): node is string | number =>
  typeof node === 'string' || typeof node === 'number';
const showsNothing = (node: unknown): boolean =>
  node === null || node === undefined || typeof node === 'boolean';

/** Texts side by side are one text: a value may be beside its unit. All others keep their places. */
function joined(nodes: readonly unknown[]): unknown[] {
  const out: unknown[] = [];
  let run: number | null = null;
  nodes.forEach((node, i) => {
    if (!isText(node)) {
      if (!showsNothing(node)) run = null;
      out.push(node);
    } else if (run === null) {
      run = i;
      out.push(String(node));
    } else {
      out[run] = `${String(out[run])}${node}`;
      out.push(null);
    }
  });
  return out;
}

/**
 * Puts what a component was given to draw into a profile's terms and units.
 * @param nodes a text, an element, or a list of such; elements see to their own texts
 * @param profile whose terms and units
 * @returns the same, with its texts changed
 */
export function nodesInTerms<Nodes>(nodes: Nodes, profile: TermsProfile): Nodes {
  const put = (node: unknown): unknown =>
    typeof node === 'string' ? inTerms(node, profile) : Array.isArray(node) ? joined(node).map(put) : node;
  // A text stays a text and a list a list.
  return profile === 'international' ? nodes : (put(nodes) as Nodes);
}
