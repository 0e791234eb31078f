import { oneLine } from '../../text';
import { isUnit, unitOf } from '../meaning';

/** A range as a manual writes it. */
export interface ReadRange {
  min: number | null;
  max: number | null;
  unit: string | null;
}

/** Of a text of single spaces: a number, thousands apart by a space or an apostrophe. */
const number = String.raw`[-+−]? ?\d+(?:[ '’]\d{3}(?!\d))*(?:[.,]\d+)?`;
const between = String.raw` ?(?:\.{2,4}|…|–|—|~|～|÷|to|up to|bis|-(?=[ \d+])) ?`;
const unitPattern = String.raw`(?:%|°C|[mµ]?H|[kKmM]?Hz|k?Ω|m?Ω|[oO]hms?|k?W|hp|HP|m?A|k?V|m?s|sec|min|h|rpm|r\/min|1\/min|min-1|min⁻¹|ppr|kbit\/s|baud|bps)`;
const rangePattern = new RegExp(
  String.raw`^[\[(]? ?(?<min>${number})(?: ?(?<u1>${unitPattern}))?${between}(?<max>${number})(?: ?(?<u2>[%°A-Za-zΩµ/⁻¹]{1,8}[0-9]?))?`,
);

/**
 * A number as it is printed: decimals by point or comma, thousands by space or apostrophe.
 * @returns null where the text is anything else
 */
export function numberOf(text: string): number | null {
  const plain = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/^([-+]) /, '$1')
    .replace(/(?<=\d)[ '’](?=\d{3}(?!\d))/g, '');
  const single = /^[-+]?\d+(?:[.,]\d+)?$/.exec(plain);
  if (single !== null) {
    const value = Number(plain.replace(',', '.'));
    return Number.isFinite(value) ? value : null;
  }
  return /^[-+]?\d{1,3}(?:,\d{3})+(?:\.\d+)?$/.test(plain) ? Number(plain.replace(/,/g, '')) : null;
}

/** A range at the beginning of a text, e.g. "0.0 … 400.0 Hz"; null where there is none. */
export function rangeOf(text: string): ReadRange | null {
  const found = rangePattern.exec(oneLine(text));
  if (found?.groups === undefined) return null;
  const { min = '', max = '', u1, u2 } = found.groups;
  const written = [u2, u1].find((u) => u !== undefined && isUnit(u)) ?? null;
  const read = { min: numberOf(min), max: numberOf(max) };
  if (read.min === null || read.max === null) return null;
  return { ...read, unit: written === null ? null : unitOf(written) };
}

/** The lower end of a range whose upper end is words, e.g. "0.1 A to rated current"; and the other way round. */
export function halfRangeOf(text: string): ReadRange | null {
  const parts = oneLine(text).split(/(?:\.{2,4}|…|–|—|~|÷|\bto\b)/);
  if (parts.length !== 2) return null;
  const [low, high] = parts.map(valueOf);
  if ((low === null || low === undefined) && (high === null || high === undefined)) return null;
  return { min: low?.value ?? null, max: high?.value ?? null, unit: low?.unit ?? high?.unit ?? null };
}

const valuePattern = new RegExp(String.raw`^[\[(]? ?(${number})(?: ?([%°A-Za-zΩµ/⁻¹-]{0,8}))`);

/** A number with its unit, e.g. "50.0 Hz" or "0 (terminals)"; null where the text begins otherwise. */
export function valueOf(text: string): { value: number; unit: string | null } | null {
  const found = valuePattern.exec(oneLine(text));
  if (found === null) return null;
  const value = numberOf(found[1] ?? '');
  if (value === null) return null;
  const written = found[2] ?? '';
  return { value, unit: written !== '' && isUnit(written) ? unitOf(written) : null };
}

/** A unit by itself, or in brackets at the end of a name; null where it is no unit we know. */
export function unitAlone(text: string): string | null {
  const plain = text
    .trim()
    .replace(/^[[(]|[\])]$/g, '')
    .trim();
  return plain !== '' && !/^[-–—]+$/.test(plain) && isUnit(plain) ? unitOf(plain) : null;
}
