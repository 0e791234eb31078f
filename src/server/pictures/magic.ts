/** Kinds of pictures that are taken. */
export type PictureKind = 'jpeg' | 'png' | 'webp' | 'heif';

const heifBrands = ['heic', 'heix', 'heim', 'heis', 'hevc', 'hevx', 'mif1', 'msf1', 'avif'];

/**
 * What a file is by its first bytes; null: nothing that is taken. Names and media types are what a sender says.
 * JPEG (ITU-T T.81), PNG (ISO/IEC 15948), WebP in RIFF, HEIF (ISO/IEC 23008-12) by its brand; the bytes are from memory.
 */
export function pictureKind(bytes: Uint8Array): PictureKind | null {
  const text = (from: number, to: number) => Buffer.from(bytes.subarray(from, to)).toString('latin1');
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return 'jpeg';
  if (text(0, 8) === '\x89PNG\r\n\x1a\n') return 'png';
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return 'webp';
  return text(4, 8) === 'ftyp' && heifBrands.includes(text(8, 12)) ? 'heif' : null;
}
