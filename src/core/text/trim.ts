/** A text with single spaces and none at its ends. */
export const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

/** A text without any of these signs at its end. Looked at sign by sign: long runs of them cost no more than their length. */
export function withoutEnd(text: string, signs: string): string {
  let end = text.length;
  while (end > 0 && signs.includes(text.charAt(end - 1))) end -= 1;
  return text.slice(0, end);
}

/** A text without any of these signs at its beginning and end. */
export function withoutEnds(text: string, signs: string): string {
  let from = 0;
  while (from < text.length && signs.includes(text.charAt(from))) from += 1;
  return withoutEnd(text.slice(from), signs);
}
