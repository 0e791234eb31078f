import {
  fullPlan,
  positionsOf,
  probeKey,
  type Fault,
  type Meter,
  type Probe,
  type Stage,
} from '../power-stage';
import { circumstancesOf } from './circumstances';
import { groundOf } from './ground';
import { share } from './model';
import { solution, type Hypothesis, type Tables } from './solve';
import { normalisers, pairWeight, variantsOf, type Variant } from './variants';

export const nameOfFaults = (faults: readonly { component: string; mode: string }[]): string =>
  faults
    .map((f) => `${f.component} ${f.mode}`)
    .sort()
    .join(' + ');

const hypothesis = (
  circumstance: number,
  faults: readonly Fault[],
  prior: number,
  without: readonly Hypothesis[],
  twin: Hypothesis | null = null,
): Hypothesis => ({
  circumstance,
  faults,
  name: nameOfFaults(faults),
  logPrior: Math.log(prior),
  without,
  twin,
  solved: [],
  reaches: null,
});

const isGross = ({ mode }: Fault): boolean => mode === 'short' || mode === 'open';

/**
 * Every hypothesis about a stage, not yet solved: sound, each fault, each pair of faults, and the same
 * (up to one fault) under every circumstance. Priors add up to one but for what is left out.
 * @param familyShift_V where the linearisation stands
 */
export function tablesFor(
  stage: Stage,
  meter: Meter,
  { familyShift_V = {} }: { familyShift_V?: Readonly<Record<string, number>> } = {},
): Tables {
  const variants = variantsOf(stage, meter);
  const circumstances = circumstancesOf(stage);
  const norm = normalisers(variants);
  const usual = circumstances[0]?.prior ?? 1;
  const sound = hypothesis(0, [], usual * share.sound, []);
  const single = (v: Variant) => hypothesis(0, [v.fault], usual * norm.one * v.weight, [sound]);
  const faulty = variants.map(single);
  const pairs = variants.flatMap((a, i) =>
    variants.slice(i + 1).flatMap((b, j) => {
      const weight = pairWeight(a, b);
      if (weight === 0) return [];
      const [withoutA, withoutB] = [faulty[i + 1 + j] as Hypothesis, faulty[i] as Hypothesis];
      return [hypothesis(0, [a.fault, b.fault], usual * norm.two * weight, [withoutA, withoutB])];
    }),
  );
  const trapped = circumstances.flatMap((circumstance, c) => {
    if (circumstance.code === null) return [];
    if (circumstance.mirrored)
      return [sound, ...faulty].map((twin) =>
        hypothesis(c, twin.faults, (Math.exp(twin.logPrior) / usual) * circumstance.prior, [], twin),
      );
    const base = hypothesis(c, [], circumstance.prior * share.sound, []);
    const has = new Set(positionsOf(circumstance.stage));
    return [
      base,
      ...variants
        .filter((v) => isGross(v.fault) && has.has(v.fault.component))
        .map((v) => hypothesis(c, [v.fault], circumstance.prior * norm.one * v.weight, [base])),
    ];
  });
  const probes: Probe[] = fullPlan(stage).map(({ red, black }) => ({ red, black }));
  return {
    stage,
    meter,
    familyShift_V,
    variants,
    circumstances,
    grounds: circumstances.map((c) => groundOf(c, familyShift_V)),
    probes,
    rows: new Map(probes.map((p, row) => [probeKey(p), row])),
    singles: [sound, ...faulty],
    trapped,
    pairs,
    more: new Map(),
    others: new Map(),
    polished: new Map(),
    counts: { solved: 0, shared: 0 },
    last: null,
  };
}

/** A hypothesis with one more fault; null where it has a fault of that part already. */
export function withFault(tables: Tables, h: Hypothesis, variant: Variant): Hypothesis | null {
  const { fault } = variant;
  if (h.faults.some((f) => f.component === fault.component)) return null;
  const key = `${h.circumstance} ${keyOfSizes([...h.faults, fault])}`;
  const known = lookup(tables).get(key);
  if (known !== undefined) return known;
  const faults = [...h.faults, fault];
  const norm = tables.variants.reduce((sum, v) => sum + v.weight, 0);
  const without = faults.map((_, i) =>
    i === faults.length - 1 ? h : (withFault(tables, withoutFault(tables, h, i), variant) as Hypothesis),
  );
  const prior = (Math.exp(h.logPrior) * share.three * variant.weight) / norm / share.two;
  const made = hypothesis(h.circumstance, faults, prior, without);
  lookup(tables).set(key, made);
  return made;
}

const keyOfSizes = (faults: readonly Fault[]): string =>
  faults
    .map((f) => `${f.component} ${f.mode} ${f.ohm ?? ''}`)
    .sort()
    .join(' + ');

/** Every hypothesis by its faults; the prepared ones are entered when it is first asked. */
function lookup(tables: Tables): Map<string, Hypothesis> {
  if (tables.more.size === 0)
    for (const h of [...tables.singles, ...tables.trapped, ...tables.pairs])
      tables.more.set(`${h.circumstance} ${keyOfSizes(h.faults)}`, h);
  return tables.more;
}

function withoutFault(tables: Tables, h: Hypothesis, i: number): Hypothesis {
  const smaller = h.without[i];
  if (smaller !== undefined) return smaller;
  const key = `${h.circumstance} ${keyOfSizes(h.faults.filter((_, k) => k !== i))}`;
  const known = lookup(tables).get(key);
  if (known === undefined) throw new RangeError(`no hypothesis ${key}`);
  return known;
}

/**
 * Solves ahead what readings will ask for, some hypotheses at a time.
 * @returns how much is done, 0 to 1, after each slice
 */
export function* prepare(tables: Tables, slice = 40): Generator<number> {
  const all = [...tables.singles, ...tables.trapped, ...tables.pairs];
  for (const [i, h] of all.entries()) {
    for (let row = 0; row < tables.probes.length; row += 1) solution(tables, h, row);
    if (i % slice === slice - 1) yield (i + 1) / all.length;
  }
  yield 1;
}
