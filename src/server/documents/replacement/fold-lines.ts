/** A line of a calendar has so many octets at most, its end not counted (RFC 5545, 3.1). */
const longest = 75;

const octetsOf = (text: string): number => Buffer.byteLength(text, 'utf8');

/** One content line in pieces; every one but the first begins with a space. */
function foldLine(line: string): string {
  const pieces: string[] = [];
  let piece = '';
  let octets = 0;
  for (const sign of line) {
    const more = octetsOf(sign);
    if (octets + more > longest) {
      pieces.push(piece);
      [piece, octets] = [' ', 1];
    }
    piece += sign;
    octets += more;
  }
  return [...pieces, piece].join('\r\n');
}

/** Folds the lines of a calendar by octets: `ics` counts signs, and a letter beyond ASCII has several. */
export const foldLines = (calendar: string): string =>
  calendar
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')
    .map(foldLine)
    .join('\r\n');
