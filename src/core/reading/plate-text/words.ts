/** A word of a photographed plate; y grows downwards. */
export interface PlateWord {
  text: string;
  /** How sure the reader of letters is, 0 to 1. */
  confidence: number;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A box on the photo. */
export interface PlateBox {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** The box of a word. */
export const boxOf = ({ x0, y0, x1, y1 }: PlateBox): PlateBox => ({ x0, y0, x1, y1 });

/** The box around two. */
export const boxAround = (a: PlateBox, b: PlateBox): PlateBox => ({
  x0: Math.min(a.x0, b.x0),
  y0: Math.min(a.y0, b.y0),
  x1: Math.max(a.x1, b.x1),
  y1: Math.max(a.y1, b.y1),
});

/** The words of a plate line by line, from the top; a line's words from the left. */
export function plateLines(words: readonly PlateWord[]): PlateWord[][] {
  const middle = (w: PlateBox): number => (w.y0 + w.y1) / 2;
  const lines: PlateWord[][] = [];
  for (const word of [...words].filter((w) => w.text.trim() !== '').sort((a, b) => middle(a) - middle(b))) {
    const line = lines.at(-1);
    const last = line?.at(-1);
    const near =
      last !== undefined &&
      Math.abs(middle(word) - middle(last)) < 0.45 * Math.max(word.y1 - word.y0, last.y1 - last.y0);
    if (near) line?.push(word);
    else lines.push([word]);
  }
  return lines.map((line) => line.sort((a, b) => a.x0 - b.x0));
}
