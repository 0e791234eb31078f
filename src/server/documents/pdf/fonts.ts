import { join } from 'node:path';
import { Font } from '@react-pdf/renderer';

const fontFile = (family: string, weight: string, name: string): string =>
  join(process.cwd(), 'node_modules', '@expo-google-fonts', family, weight, name);

// Full fonts, not the subsets for the screen: a missing sign would be printed as a wrong one.
const files: Readonly<Record<string, readonly { src: string; fontWeight: number }[]>> = {
  Barlow: [
    { src: fontFile('barlow', '400Regular', 'Barlow_400Regular.ttf'), fontWeight: 400 },
    { src: fontFile('barlow', '600SemiBold', 'Barlow_600SemiBold.ttf'), fontWeight: 600 },
  ],
  Inter: [
    { src: fontFile('inter', '400Regular', 'Inter_400Regular.ttf'), fontWeight: 400 },
    { src: fontFile('inter', '600SemiBold', 'Inter_600SemiBold.ttf'), fontWeight: 600 },
  ],
};
for (const [family, fonts] of Object.entries(files)) Font.register({ family, fonts: [...fonts] });
Font.registerHyphenationCallback((word) => [word]);

/** The face of every document, and the one that has the letters it lacks: Greek, Cyrillic, arrows, marks. */
export const face = ['Barlow', 'Inter'];

/** Letters that were looked up: a report asks for the same hundred a hundred thousand times. */
const known = new Map<string, boolean>();

/** What is asked of a font that is open. */
interface OpenFont {
  hasGlyphForCodePoint: (codePoint: number) => boolean;
}

/**
 * Opens the fonts. The renderer would print what none of them has in a standard face, with a wrong letter.
 * @returns whether a letter can be printed
 */
export async function openFonts(): Promise<(letter: string) => boolean> {
  const descriptors = face.map((fontFamily) => ({ fontFamily, fontWeight: 400 }));
  await Promise.all(descriptors.map((d) => Font.load(d)));
  const fonts = descriptors.map((d) => (Font.getFont(d) as { data: OpenFont | null } | undefined)?.data);
  return (letter) => {
    const before = known.get(letter);
    if (before !== undefined) return before;
    const code = letter.codePointAt(0) ?? 0;
    const has = fonts.some((font) => font?.hasGlyphForCodePoint(code) === true);
    known.set(letter, has);
    return has;
  };
}
