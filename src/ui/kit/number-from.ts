/** A figure as people write it (comma or point, also below zero), or null. */
export function figureFrom(text: string): number | null {
  const tidy = text.trim().replace(',', '.').replace(/^[−–]/, '-');
  return /^-?(?:\d+(?:\.\d*)?|\.\d+)$/.test(tidy) ? Number(tidy) : null;
}

/** A positive figure, or null. */
export function numberFrom(text: string): number | null {
  const value = figureFrom(text);
  return value !== null && value > 0 ? value : null;
}
