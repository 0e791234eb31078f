/** A positive figure as people write it (comma or point), or null. */
export function numberFrom(text: string): number | null {
  const tidy = text.trim().replace(',', '.');
  if (!/^\d*\.?\d+\.?$/.test(tidy)) return null;
  const value = Number(tidy);
  return value > 0 ? value : null;
}
