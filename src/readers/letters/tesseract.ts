import type { PlateWord } from '@/core/reading/plate-text';
import { greyMapOf, type GreyPicture } from './picture';
import type { LetterReader } from './read-letters';

/** What of Tesseract is used here: the browser and Node start it differently. */
export interface TesseractWorker {
  setParameters: (parameters: Record<string, string>) => Promise<unknown>;
  recognize: (
    image: Uint8Array<ArrayBuffer>,
    options: object,
    output: { blocks: boolean; text: boolean },
  ) => Promise<{ data: { blocks: TesseractBlock[] | null } }>;
}

interface TesseractBlock {
  paragraphs: {
    lines: {
      words: {
        text: string;
        confidence: number;
        bbox: { x0: number; y0: number; x1: number; y1: number };
      }[];
    }[];
  }[];
}

/** Tesseract's ways to look at a picture. */
const modes = {
  line: { tessedit_pageseg_mode: '7', tessedit_char_whitelist: '' },
  letter: { tessedit_pageseg_mode: '10', tessedit_char_whitelist: '' },
  digits: { tessedit_pageseg_mode: '8', tessedit_char_whitelist: '0123456789.,/-' },
} as const;

/** A reader of letters by Tesseract; the mode is set only when it changes, which costs more than a short line. */
export function tesseractReader(worker: TesseractWorker): LetterReader {
  let set: string | null = null;
  return async (picture: GreyPicture, what): Promise<PlateWord[]> => {
    if (set !== what) await worker.setParameters(modes[what]);
    set = what;
    const { data } = await worker.recognize(
      new Uint8Array(greyMapOf(picture)),
      {},
      { blocks: true, text: false },
    );
    return (data.blocks ?? [])
      .flatMap((block) => block.paragraphs)
      .flatMap((paragraph) => paragraph.lines)
      .flatMap((line) => line.words)
      .map(({ text, confidence, bbox }) => ({ text, confidence: confidence / 100, ...bbox }));
  };
}
