/** Does a file begin as text of two bytes a letter does? */
export const isUtf16 = ([a, b]: Uint8Array): boolean =>
  (a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff);

/**
 * The text of a file, whatever wrote it: by its byte order mark, else as UTF-8 where it is valid UTF-8, else as
 * Windows-1252, which takes any byte.
 */
export function decodedText(bytes: Uint8Array): string {
  if (isUtf16(bytes)) return new TextDecoder(bytes[0] === 0xff ? 'utf-16le' : 'utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
