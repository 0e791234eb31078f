import type { Found, ManualEntry } from './entry';

/** Letters that a reader of letters takes for digits, and the other way round. Common practice, no source. */
const asDigit: Readonly<Record<string, string>> = {
  ...{ O: '0', o: '0', Q: '0', D: '0', C: '0', I: '1', l: '1', i: '1', '|': '1' },
  ...{ Z: '2', z: '2', S: '5', s: '5', G: '6', B: '8' },
};
const asLetter: Readonly<Record<string, string>> = {
  '0': 'O',
  '1': 'I',
  '2': 'Z',
  '5': 'S',
  '6': 'G',
  '8': 'B',
};

/** Each sign as what it is: digit, letter or itself. */
const signsOf = (number: string): string => number.replace(/[0-9]/g, '0').replace(/[A-Za-z]/g, 'A');

/** The number with its signs as they are in the usual way of writing; null where one cannot be meant so. */
function writtenAs(number: string, signs: string): string | null {
  if (number.length !== signs.length) return null;
  const mended = [...number].map((sign, i) => {
    const wanted = signs[i];
    if (signsOf(sign) === wanted) return sign;
    if (wanted === '0') return asDigit[sign];
    return wanted === 'A' ? asLetter[sign] : undefined;
  });
  return mended.includes(undefined) ? null : mended.join('');
}

/** What single units are taken for, alone in their cells. Seen on scans, no source. */
const asUnit: Readonly<Record<string, string>> = {
  ...{ Q: 'Ω', O: 'Ω', '\\': 'V', '\\/': 'V', '\\2': 'V' },
  ...{ rom: 'rpm', pm: 'rpm', He: 'Hz', Hi: 'Hz' },
};

/** A way of writing is usual when so many times more numbers have it. */
const usualBy = 3;

/**
 * What was found on scanned pages, with misread signs put right: letters and digits of parameter numbers where the other numbers
 * are written otherwise ("AO-10" among "A0-11", "A0-12"; a number that another parameter has already stays as it was read),
 * and units that are none.
 */
export function withMendedSigns(found: Found): Found {
  const counts = new Map<string, number>();
  for (const { number } of found.entries) counts.set(signsOf(number), (counts.get(signsOf(number)) ?? 0) + 1);
  const taken = new Set(found.entries.map(({ number }) => number));
  const mended = (entry: ManualEntry): ManualEntry => {
    const own = counts.get(signsOf(entry.number)) ?? 0;
    const [better] = [...counts]
      .filter(([, count]) => count >= usualBy * own)
      .sort((a, b) => b[1] - a[1])
      .flatMap(([signs]) => writtenAs(entry.number, signs) ?? []);
    if (better === undefined || taken.has(better)) return entry;
    taken.add(better);
    return { ...entry, number: better };
  };
  const withUnit = (entry: ManualEntry): ManualEntry =>
    entry.unit !== null && Object.hasOwn(asUnit, entry.unit)
      ? { ...entry, unit: asUnit[entry.unit] ?? entry.unit }
      : entry;
  return { ...found, entries: found.entries.map((entry) => withUnit(mended(entry))) };
}
