import { withoutEnds } from '../../text';

/** Letters that readers take digits for. */
const lookAlike: Readonly<Record<string, string>> = {
  O: '0',
  o: '0',
  Q: '0',
  D: '0',
  I: '1',
  l: '1',
  i: '1',
  '|': '1',
  Z: '2',
  z: '2',
  S: '5',
  s: '5',
  B: '8',
  G: '6',
  b: '6',
  T: '7',
  g: '9',
  q: '9',
};

/** Digits that are taken for one another, and how often: shares of misread digits, from memory. */
const confused: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '0': { '8': 0.3, '6': 0.25, '9': 0.15, '3': 0.05 },
  '1': { '7': 0.5, '4': 0.15 },
  '2': { '7': 0.3, '3': 0.15 },
  '3': { '8': 0.45, '5': 0.2, '2': 0.1, '9': 0.1 },
  '4': { '1': 0.25, '9': 0.25, '6': 0.1 },
  '5': { '6': 0.35, '3': 0.25, '8': 0.2, '9': 0.1 },
  '6': { '8': 0.35, '5': 0.25, '0': 0.25 },
  '7': { '1': 0.5, '2': 0.2 },
  '8': { '3': 0.35, '6': 0.25, '0': 0.25, '9': 0.1, '5': 0.1 },
  '9': { '0': 0.2, '8': 0.25, '4': 0.2, '3': 0.1, '5': 0.1 },
};

/** What was read as a number, with what it may be instead. */
export interface Reading {
  value: number;
  text: string;
  /** Chance that the plate says this, before anything else is known. */
  prior: number;
  /** Not as read: a digit, or the decimal sign, was put right. */
  corrected: boolean;
}

/** The digits of a word that is a number but for letters that look like digits; null where it is none. */
export function asNumber(text: string): string | null {
  const plain = withoutEnds(text.replace(/,/g, '.'), '.');
  const digits = [...plain].map((sign) => (/[\d.]/.test(sign) ? sign : (lookAlike[sign] ?? '?'))).join('');
  const letters = [...plain].filter((sign) => !/[\d.]/.test(sign)).length;
  if (!/^\d{1,5}(?:\.\d{1,3})?$/.test(digits) || letters > 0.5 * plain.length || letters === plain.length)
    return null;
  return digits;
}

/** A worn sign may be any other one; this share of what is misread. */
const anyDigit = 0.03;
/** The decimal sign is lost or seen where none is: this share of the chance that something is misread. */
const lostPoint = 0.12;
/** A digit is seen twice, or where there is a scratch: this share. */
const digitTooMany = 0.06;
const leastConfidence = 0.35;
const mostConfidence = 0.995;

/**
 * What a number may be: as read, with one digit otherwise, with its decimal sign lost.
 * @param confidence of the reader of letters
 */
export function readingsOf(digits: string, confidence: number): Reading[] {
  const sure = Math.min(mostConfidence, Math.max(leastConfidence, confidence));
  const wrong = 1 - sure;
  const places = [...digits].filter((sign) => sign !== '.').length;
  const options = new Map<string, number>([[digits, sure]]);
  const add = (text: string, chance: number): void => {
    options.set(text, (options.get(text) ?? 0) + chance);
  };
  [...digits].forEach((sign, i) => {
    if (sign === '.') return;
    for (const other of '0123456789') {
      if (other === sign) continue;
      const share = Math.max(confused[sign]?.[other] ?? 0, anyDigit);
      add(digits.slice(0, i) + other + digits.slice(i + 1), ((wrong * (1 - lostPoint)) / places) * share);
    }
  });
  if (digits.includes('.')) add(digits.replace('.', ''), wrong * lostPoint);
  else
    for (let i = 1; i < digits.length; i += 1)
      add(`${digits.slice(0, i)}.${digits.slice(i)}`, (wrong * lostPoint) / (digits.length - 1));
  if (/^0\d/.test(digits)) add(`0.${digits.slice(1)}`, wrong * lostPoint);
  if (places > 1)
    [...digits].forEach((sign, i) => {
      if (sign !== '.') add(digits.slice(0, i) + digits.slice(i + 1), (wrong * digitTooMany) / places);
    });
  // Nothing on a plate is nought.
  const possible = [...options].filter(([text]) => Number(text) > 0);
  const total = possible.reduce((sum, [, chance]) => sum + chance, 0);
  return possible.map(([text, chance]) => ({
    text,
    value: Number(text),
    prior: chance / total,
    corrected: text !== digits,
  }));
}

/** The readings of a number with their weights in nats: their chance, and how well each value would fit. */
export const weighed = (
  digits: string,
  confidence: number,
  fit: (value: number) => number,
): { reading: Reading; weight: number }[] =>
  readingsOf(digits, confidence).map((reading) => ({
    reading,
    weight: Math.log(reading.prior) + fit(reading.value),
  }));
