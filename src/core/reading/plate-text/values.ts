import { weighed } from './digits';
import type { PlateQuantity } from './labels';
import { plausible } from './physics';
import { tokensOf, type Token } from './tokens';
import { boxAround, heightAt, type PlateBox, type PlateWord } from './words';

/** A number of a plate and what it is. */
export interface PlateValue {
  quantity: PlateQuantity;
  digits: string;
  confidence: number;
  box: PlateBox;
  /** How surely it is this quantity, by where its label stands. */
  assigned: number;
  /** The line it is on, from the top. */
  line: number;
}

/** Numbers that stand together, parted by a stroke or a dash. */
interface Group {
  numbers: Token[];
  box: PlateBox;
  line: number;
  /** Its place among the pieces of the line. */
  from: number;
  to: number;
}

const isStroke = (token: Token | undefined): boolean =>
  token?.kind === 'sign' && /^[/–~—-]+$/.test(token.text);

function groupsOf(tokens: readonly Token[], line: number): Group[] {
  const groups: Group[] = [];
  tokens.forEach((token, i) => {
    if (token.kind !== 'number') return;
    const last = groups.at(-1);
    if (last !== undefined && last.to === i - 2 && isStroke(tokens[i - 1])) {
      last.numbers.push(token);
      last.box = boxAround(last.box, token.box);
      last.to = i;
    } else groups.push({ numbers: [token], box: token.box, line, from: i, to: i });
  });
  return groups;
}

/** How plates write what a number is: "7.5 kW", "kW 7.5", or "kW" over it. */
type Style = 'behind' | 'before' | 'above';
const styles: readonly Style[] = ['behind', 'before', 'above'];

/** A label that may be a group's, with its odds in nats by where it stands. */
interface Candidate {
  style: Style;
  quantity: PlateQuantity;
  odds: number;
}

/** Odds lost for each height of a letter that label and number are apart. */
const perHeightBehind = 0.8;
const perHeightBefore = 0.08;
const perHeightAbove = 0.35;
/** Over each further number that shares the label, and over each further line. */
const perSharing = 0.6;
const perLine = 0.25;
/** A nearer label in the same column stands between. */
const behindAnother = 3;
/** A head of columns reaches over so many lines. */
const reach = 8;

const centre = (box: PlateBox): number => (box.x0 + box.x1) / 2;

/** A label that was read with less counts less, in nats for each e-fold. */
const perConfidence = 1.5;
/** No scratch makes a label of so many letters. */
const longLabel = 3;
const trustIn = ({ confidence, text }: Token): number =>
  perConfidence * Math.log(Math.max(text.length >= longLabel ? 0.3 : 0.02, confidence));

/** Along the line to the nearest label, over numbers and signs. */
function labelAlong(
  tokens: readonly Token[],
  group: Group,
  step: 1 | -1,
  height: number,
): Candidate | undefined {
  const style: Style = step === 1 ? 'behind' : 'before';
  const perHeight = step === 1 ? perHeightBehind : perHeightBefore;
  let odds = 0;
  let edge = step === 1 ? group.box.x1 : group.box.x0;
  for (let j = step === 1 ? group.to + 1 : group.from - 1; j >= 0 && j < tokens.length; j += step) {
    const token = tokens[j];
    if (token === undefined || token.kind === 'other') return undefined;
    odds -= (perHeight * Math.max(0, step * ((step === 1 ? token.box.x0 : token.box.x1) - edge))) / height;
    if (token.kind === 'label')
      return token.quantity === undefined
        ? undefined
        : { style, quantity: token.quantity, odds: odds + trustIn(token) };
    if (token.kind === 'number') odds -= perSharing;
    edge = step === 1 ? token.box.x1 : token.box.x0;
  }
  return undefined;
}

/** Labels above, by how well they stand over the number: centre over centre, or left edge over left edge. */
function labelsAbove(lines: readonly (readonly Token[])[], group: Group, height: number): Candidate[] {
  const found: Candidate[] = [];
  for (let line = group.line - 1; line >= Math.max(0, group.line - reach); line -= 1) {
    const nearer = found.length > 0 ? behindAnother : 0;
    for (const token of lines[line] ?? []) {
      if (token.kind !== 'label' || token.quantity === undefined) continue;
      const off = Math.min(
        Math.abs(centre(token.box) - centre(group.box)),
        Math.abs(token.box.x0 - group.box.x0),
      );
      const overlaps = token.box.x0 < group.box.x1 + height && token.box.x1 > group.box.x0 - height;
      if (overlaps)
        found.push({
          style: 'above',
          quantity: token.quantity,
          odds: trustIn(token) - nearer - (perHeightAbove * off) / height - perLine * (group.line - line - 1),
        });
    }
  }
  return found;
}

/** The odds that a number has no label at all. */
const unlabelled_nats = -5;

/** How well numbers of a group can be a quantity, in nats for each. */
const fitOf = (group: Group, quantity: PlateQuantity): number =>
  group.numbers.reduce((sum, { text, confidence }) => {
    const readings = weighed(text, confidence, (value) => plausible(quantity, value));
    return sum + Math.max(...readings.map(({ weight }) => weight));
  }, 0) / group.numbers.length;

const rounds = 6;
/** No style is ruled out: plates mix them. */
const leastShare = 0.04;

/**
 * What each group is. A plate keeps mostly to one style of writing, which is found together with the labels: shares of the
 * styles and shares of the labels by turns (expectation and maximization).
 */
function assigned(
  candidates: readonly (readonly (Candidate & { fit: number })[])[],
): ({ quantity: PlateQuantity; share: number } | null)[] {
  let styleShare: Record<Style, number> = { behind: 1 / 3, before: 1 / 3, above: 1 / 3 };
  const sharesOf = (list: readonly (Candidate & { fit: number })[]): number[] => {
    const weights = list.map(({ style, odds, fit }) => styleShare[style] * Math.exp(odds + fit));
    const total = weights.reduce((a, b) => a + b, Math.exp(unlabelled_nats));
    return weights.map((weight) => weight / total);
  };
  for (let round = 0; round < rounds; round += 1) {
    const sums: Record<Style, number> = { behind: 0, before: 0, above: 0 };
    for (const list of candidates)
      sharesOf(list).forEach((share, i) => {
        const style = list[i]?.style;
        if (style !== undefined) sums[style] += share;
      });
    const total = styles.reduce((sum, style) => sum + sums[style], 1e-9);
    const share = (style: Style): number => Math.max(leastShare, sums[style] / total);
    styleShare = { behind: share('behind'), before: share('before'), above: share('above') };
  }
  return candidates.map((list) => {
    const shares = sharesOf(list);
    const by = new Map<PlateQuantity, number>();
    list.forEach(({ quantity }, i) => by.set(quantity, (by.get(quantity) ?? 0) + (shares[i] ?? 0)));
    const [best] = [...by].sort((a, b) => b[1] - a[1]);
    return best === undefined || best[1] < 0.3 ? null : { quantity: best[0], share: best[1] };
  });
}

/** Labels are never quite certain. */
const mostAssigned = 0.995;
/** No plate has more values; a picture of a text may. */
const mostValues = 60;

/** All numbers of a plate that have a label, with the place each was found at. */
export function valuesOf(lines: readonly (readonly PlateWord[])[]): PlateValue[] {
  const tokens = lines.map(tokensOf);
  const height = Math.max(1, heightAt(lines.flat(), 0.5));
  const groups = tokens.flatMap(groupsOf);
  const candidates = groups.map((group) => {
    const own = tokens[group.line] ?? [];
    const along = [labelAlong(own, group, 1, height), labelAlong(own, group, -1, height)];
    return [...along.flatMap((c) => c ?? []), ...labelsAbove(tokens, group, height)].map((candidate) => ({
      ...candidate,
      fit: fitOf(group, candidate.quantity),
    }));
  });
  const values = assigned(candidates).flatMap((found, index): PlateValue[] => {
    const group = groups[index];
    if (group === undefined || found === null) return [];
    if (found.quantity === 'other') return [];
    // "0-480 V": a range from nought has one value that says anything.
    const told = group.numbers.filter(({ text }) => Number(text) !== 0);
    return told.map(({ text, confidence, box }) => ({
      ...{ quantity: found.quantity, digits: text, confidence, box, line: group.line },
      assigned: Math.min(mostAssigned, found.share),
    }));
  });
  return values.slice(0, mostValues);
}
