import { isStated, linesOf, motorTerminals, type Stage } from '../../equipment/power-stage';

/** Which range of the meter proves a point. */
export const quantities = ['dc', 'ac'] as const;
/** Which range of the meter proves a point. */
export type Quantity = (typeof quantities)[number];

/**
 * Where the unit is while it is proven dead: in its plant, or on the bench with no lead on any terminal. `unplugged` is the bench
 * of earlier entries, which were proven on AC too; nobody states it any more.
 */
export const proofPlaces = ['installed', 'unplugged', 'bare'] as const;
/** Where the unit is while it is proven dead. */
export type ProofPlace = (typeof proofPlaces)[number];

/** One pair of points of the dead proof. */
export interface ProofPoint {
  id: string;
  a: string;
  b: string;
  where: string;
  quantities: readonly Quantity[];
  /** A reading of its own; the others may be recorded together, as all below a volt. */
  alone: boolean;
}

const pairsOf = (names: readonly string[]): [string, string][] =>
  names.flatMap((a, i) => names.slice(i + 1).map((b): [string, string] => [a, b]));

type Pair = [a: string, b: string];
const idOf = ([a, b]: Pair): string => (b === 'PE' ? `${a}-earth` : `${a}-${b}`);

const dc: readonly Quantity[] = ['dc'];
const ac: readonly Quantity[] = ['ac'];
const both = quantities;

/** A point with a reading of its own. */
const one = (id: string, [a, b]: Pair, where: string, which: readonly Quantity[] = dc): ProofPoint => ({
  ...{ id, a, b, where },
  ...{ quantities: which, alone: true },
});
/** Points of a kind, which may be recorded together. */
const pairs = (where: string, which: readonly Quantity[], all: readonly Pair[], before = ''): ProofPoint[] =>
  all.map(([a, b]) => ({
    ...{ id: `${before}${idOf([a, b])}`, a, b, where },
    ...{ quantities: which, alone: false },
  }));

/** At the terminals of the DC bus, on both sides of every link and fuse: an open one leaves the probed terminal at 0 V and the bank full. */
function busPoints(stage: Stage): ProofPoint[] {
  const beyond = (part: 'link' | 'fuse', id: string, terminal: string, where: string): ProofPoint[] => {
    if (!isStated(stage, part))
      return [one(id, [terminal, 'DC-'], `${where}, if fitted; otherwise measure the bus again`)];
    return stage[part] === 'none' ? [] : [one(id, [terminal, 'DC-'], where)];
  };
  return [
    one('bank', ['DC+', 'DC-'], 'at the capacitor bank terminals', both),
    ...beyond('link', 'rectifier-side', 'DC+R', 'rectifier side of the link or choke'),
    ...beyond('fuse', 'inverter-side', 'DC+I', 'inverter side of the fuse'),
    one('plus-earth', ['DC+', 'PE'], 'bus plus to earth'),
    one('minus-earth', ['DC-', 'PE'], 'bus minus to earth'),
    ...(stage.brake || !isStated(stage, 'brake')
      ? pairs(
          `brake terminal to bus minus${isStated(stage, 'brake') ? '' : ', if fitted; otherwise measure the bus again'}`,
          dc,
          [['BR', 'DC-']],
        )
      : []),
  ];
}

const toEarth = (names: readonly string[]): Pair[] => names.map((name): Pair => [name, 'PE']);

/**
 * Where a drive is proven dead: bus, lines and motor terminals, among themselves and to earth; in its plant also the supply side
 * of the line fuses, and whatever comes to its control and relay terminals from elsewhere. (Common practice, no source.)
 */
export function proofPoints(stage: Stage, place: ProofPlace = 'installed'): ProofPoint[] {
  const lines = linesOf(stage);
  return [
    ...busPoints(stage),
    ...pairs('line to line', both, pairsOf(lines)),
    ...pairs('line to earth', both, toEarth(lines)),
    ...pairs('motor pair', both, pairsOf(motorTerminals)),
    ...pairs('motor terminal to earth', both, toEarth(motorTerminals)),
    ...(place !== 'installed'
      ? []
      : [
          ...pairs('supply side of the line fuses', ac, pairsOf(lines), 'supply-'),
          ...pairs('supply side of the line fuses, to earth', ac, toEarth(lines), 'supply-'),
          one(
            'control-earth',
            ['control and relay terminals', 'PE'],
            'each of them to earth, the highest',
            both,
          ),
        ]),
  ];
}

/** The bank read once more: a bank recovers by itself. */
export const againId = 'bank-again';
/** Not before this long after the first reading, s. */
export const againAfter_s = 60;

/** One reading to take: a pair of points and what the meter is set to. */
export interface ProofStep {
  key: string;
  point: ProofPoint;
  quantity: Quantity;
}

/** Which ranges of the meter a proof uses: nothing feeds AC into a unit without a lead; what its parts hold is DC. */
export const quantitiesAt = (place: ProofPlace): readonly Quantity[] => (place === 'bare' ? dc : both);

/** The key of a proof step: its point and quantity. */
export const stepKey = (pointId: string, quantity: Quantity): string => `${pointId} ${quantity}`;

/** Was this step asked for before proofs had AC on the bank, motor and brake terminals to earth, and foreign voltage? */
export const isFormerStep = ({ key }: ProofStep): boolean =>
  key !== 'bank ac' && !/^(BR|supply-|control-|[UVW]-earth)/.test(key);

/** A point in words: "L1 to L2, line to line". */
export const pointWords = ({ a, b, where }: ProofPoint): string => `${a} to ${b}, ${where}`;

/** The readings in the order hands take them: the meter on DC all the way down, then on AC, then the bank again. */
export function proofSteps(stage: Stage, place: ProofPlace = 'installed'): ProofStep[] {
  // On the bench every terminal lies open: of the bus, too, what was measured pair by pair may be recorded together; the bank never.
  const all = proofPoints(stage, place).map((point) =>
    place === 'bare' && point.id !== 'bank' ? { ...point, alone: false } : point,
  );
  const of = (quantity: Quantity) =>
    all
      .filter((p) => p.quantities.includes(quantity))
      .map((point): ProofStep => ({ key: stepKey(point.id, quantity), point, quantity }));
  const again = one(againId, ['DC+', 'DC-'], 'capacitor bank again, after one minute');
  return [...quantitiesAt(place).flatMap(of), { key: stepKey(againId, 'dc'), point: again, quantity: 'dc' }];
}
