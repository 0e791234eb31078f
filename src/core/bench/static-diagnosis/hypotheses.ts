import {
  fullPlan,
  positionsOf,
  probeKey,
  type Fault,
  type Meter,
  type Probe,
  type Stage,
} from '../../equipment/power-stage';
import { answer } from './answers';
import { circumstancesOf, isUnstatedPart, type Circumstance } from './circumstances';
import { column, faultableNetwork } from './faultable-network';
import { share } from './model';
import { normalisers, pairWeight, variantsOf, type Variant } from './variants';
import type { Hypothesis, Tables } from './tables';
import { item, present } from '../../numerics/arrays';

/** A name for a set of faults, whatever their order and size. */
export const nameOfFaults = (faults: readonly { component: string; mode: string }[]): string =>
  faults
    .map((f) => `${f.component} ${f.mode}`)
    .sort()
    .join(' + ');

/** The columns that a fault of this kind leaves open. */
const openOf = ({ component, mode }: Fault): number[] =>
  mode === 'leaky' ? [column.leak(component)] : mode === 'degraded' ? [column.device(component)] : [];

function hypothesis({
  circumstance = 0,
  fits = false,
  faults,
  variants,
  prior,
  without,
  twin = null,
}: {
  circumstance?: number;
  /** The circumstance has a size of its own that is fitted. */
  fits?: boolean;
  faults: readonly Fault[];
  variants: readonly number[];
  prior: number;
  without: readonly Hypothesis[];
  twin?: Hypothesis | null;
}): Hypothesis {
  return {
    number: -1,
    circumstance,
    faults,
    variants,
    open: [...faults.flatMap(openOf), ...(fits ? [column.circumstance] : [])],
    name: nameOfFaults(faults),
    logPrior: Math.log(prior),
    without,
    twin,
    solved: [],
    reaches: null,
  };
}

const keyOf = (circumstance: number, variants: readonly number[]): string =>
  `${circumstance}:${variants.join()}`;

const isGross = ({ mode }: Fault): boolean => mode === 'short' || mode === 'open';

/** Faults of parts that the unit may have though nobody has stated them; beside another fault they are not tried. */
function unstatedVariants(stage: Stage, circumstances: readonly Circumstance[], meter: Meter): Variant[] {
  const stated = new Set(positionsOf(stage));
  const unstated = new Map(
    circumstances
      .flatMap((c) => variantsOf(c.stage, meter))
      .filter(({ fault }) => isUnstatedPart(stage, fault.component) && !stated.has(fault.component))
      .map((v) => [`${v.fault.component} ${v.fault.mode}`, { ...v, weightBeside: 0, weightTogether: 0 }]),
  );
  return [...unstated.values()];
}

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
  const own = variantsOf(stage, meter);
  const circumstances = circumstancesOf(stage);
  const variants = [...own, ...unstatedVariants(stage, circumstances, meter)];
  const norm = normalisers(own);
  const usual = circumstances[0]?.prior ?? 1;
  const sound = hypothesis({ faults: [], variants: [], prior: usual * share.sound, without: [] });
  const faulty = own.map((v, i) =>
    hypothesis({ faults: [v.fault], variants: [i], prior: usual * norm.one * v.weight, without: [sound] }),
  );
  const pairs = faulty.flatMap((one, i) =>
    faulty.slice(i + 1).flatMap((other, d) => {
      const j = i + 1 + d;
      const weight = pairWeight(item(variants, i), item(variants, j));
      if (weight === 0) return [];
      const faults = [...one.faults, ...other.faults];
      const prior = usual * norm.two * weight;
      return [hypothesis({ faults, variants: [i, j], prior, without: [other, one] })];
    }),
  );
  const trapped = circumstances.flatMap((trap, circumstance) => {
    if (trap.code === null) return [];
    if (trap.mirrored)
      return [sound, ...faulty].map((twin) => mirrored(twin, circumstance, trap.prior / usual));
    const fits = trap.busVolts !== 0 || trap.brakeResistor_ohm !== null;
    const common = { circumstance, fits };
    const base = hypothesis({
      ...common,
      faults: [],
      variants: [],
      prior: trap.prior * share.sound,
      without: [],
    });
    const has = new Set(positionsOf(trap.stage));
    return [
      base,
      ...variants.flatMap(({ fault, weight }, i) =>
        isGross(fault) && has.has(fault.component)
          ? [
              hypothesis({
                ...common,
                faults: [fault],
                variants: [i],
                prior: trap.prior * norm.one * weight,
                without: [base],
              }),
            ]
          : [],
      ),
    ];
  });
  const all = [sound, ...faulty, ...trapped, ...pairs];
  all.forEach((h, number) => (h.number = number));
  const probes: Probe[] = fullPlan(stage).map(({ red, black }) => ({ red, black }));
  return {
    stage,
    meter,
    familyShift_V,
    variants,
    circumstances,
    faultableNetworks: circumstances.map((c) => faultableNetwork(c, familyShift_V)),
    probes,
    rows: new Map(probes.map((p, row) => [probeKey(p), row])),
    mirrors: [],
    all,
    logPriors: all.map((h) => h.logPrior),
    singles: [sound, ...faulty].map((h) => h.number),
    enumerated: all.map((h) => h.number),
    known: new Map(all.map((h) => [keyOf(h.circumstance, h.variants), h])),
    answers: [],
    others: new Map(),
    relinearised: new Map(),
    last: null,
  };
}

/** What a hypothesis becomes when red and black are the other way round. */
const mirrored = (twin: Hypothesis, circumstance: number, share: number): Hypothesis =>
  hypothesis({
    circumstance,
    faults: twin.faults,
    variants: twin.variants,
    prior: Math.exp(twin.logPrior) * share,
    without: [],
    twin,
  });

/**
 * A hypothesis with one more fault; null where it has a fault of that part already.
 * @param variant number of the fault among the tables' variants
 */
export function withFault(tables: Tables, h: Hypothesis, variant: number): Hypothesis | null {
  const { fault, weight } = item(tables.variants, variant);
  if (h.faults.some((f) => f.component === fault.component)) return null;
  const variants = [...h.variants, variant].sort((a, b) => a - b);
  const key = keyOf(h.circumstance, variants);
  const known = tables.known.get(key);
  if (known !== undefined) return known;
  const make = (): Hypothesis => {
    if (h.twin !== null) return mirrored(grown(tables, h.twin, variant), h.circumstance, 1);
    const norm = tables.variants.reduce((sum, v) => sum + v.weight, 0);
    return hypothesis({
      circumstance: h.circumstance,
      fits: h.open.includes(column.circumstance),
      faults: variants.map((i) => item(tables.variants, i).fault),
      variants,
      prior: (Math.exp(h.logPrior) * share.three * weight) / norm / share.two,
      without: variants.map((left) =>
        left === variant ? h : grown(tables, smaller(tables, h, left), variant),
      ),
    });
  };
  const made = make();
  made.number = tables.all.push(made) - 1;
  tables.logPriors.push(made.logPrior);
  tables.known.set(key, made);
  return made;
}

/** The same without one of its faults: made with it, so it is there. */
const smaller = (tables: Tables, h: Hypothesis, left: number): Hypothesis =>
  present(
    tables.known.get(
      keyOf(
        h.circumstance,
        h.variants.filter((v) => v !== left),
      ),
    ),
  );

/** The same with one fault more, of a part that has none in it. */
const grown = (tables: Tables, h: Hypothesis, variant: number): Hypothesis =>
  present(withFault(tables, h, variant));

/**
 * Solves ahead what readings will ask for, some hypotheses at a time.
 * @returns how much is done, 0 to 1, after each slice
 */
export function* prepare(tables: Tables, slice = 40): Generator<number> {
  const { all, enumerated } = tables;
  for (const i of enumerated) {
    const h = item(all, i);
    for (let row = 0; row < tables.probes.length; row += 1) answer(tables, h, row);
    if (i % slice === slice - 1) yield (i + 1) / enumerated.length;
  }
  yield 1;
}
