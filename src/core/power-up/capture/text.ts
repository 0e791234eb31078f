/** Text however it was saved: a byte order mark is followed, else it is UTF-8, else Windows-1252. */
export function decoded(bytes: Uint8Array): string {
  const [a, b] = bytes;
  const named = a === 0xff && b === 0xfe ? 'utf-16le' : a === 0xfe && b === 0xff ? 'utf-16be' : 'utf-8';
  try {
    return new TextDecoder(named, { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
