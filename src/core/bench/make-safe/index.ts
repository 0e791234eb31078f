// Making a drive safe: energy sources, the points of the dead proof, and the limits.
import { linesOf, motorTerminals, type Stage } from '../../equipment/power-stage';

/** Sources of energy that are listed on every job (common practice, no source). */
export const sourceKinds = [
  'mains',
  'bypass',
  'common-dc-bus',
  'foreign-24v',
  'ups',
  'brake-supply',
  'motor-heater',
  'mains-on-relays',
  'driven-motor',
  'load',
] as const;
/** A kind of energy source that a drive may still have. */
export type SourceKind = (typeof sourceKinds)[number];

/** Names of the energy sources, and what isolates each. */
export const sourceWords: Readonly<Record<SourceKind, { name: string; hint: string }>> = {
  mains: { name: 'Mains supply', hint: 'the drive’s own isolator, locked and tagged' },
  bypass: { name: 'Bypass', hint: 'feeds the motor side while the drive is off' },
  'common-dc-bus': { name: 'Common DC bus', hint: 'other drives may feed this bank' },
  'foreign-24v': { name: 'Foreign 24 V', hint: 'control supply from another panel' },
  ups: { name: 'UPS', hint: 'keeps control circuits live' },
  'brake-supply': { name: 'Brake supply', hint: 'rectifier of the holding brake' },
  'motor-heater': { name: 'Motor heater', hint: 'live in the motor’s box while it stands' },
  'mains-on-relays': {
    name: 'Mains on relay contacts',
    hint: 'signals at line voltage on the control strip',
  },
  'driven-motor': { name: 'Motor turned by its load', hint: 'a turning motor generates, magnets always' },
  load: { name: 'Load, springs, pressure', hint: 'lowered or blocked; brake or pawl holding' },
};

/** A source is safe when it is not there or was isolated; "not sure" is an answer, but not a safe one. */
export const sourceStates = ['absent', 'isolated', 'not-sure', 'live'] as const;
/** Whether a source is isolated, absent or still live. */
export type SourceState = (typeof sourceStates)[number];

/** A source of energy with its state, and how it was isolated. */
export interface EnergySource {
  kind: SourceKind;
  state: SourceState;
  how?: string | undefined;
}

/** Sources that still stand in the way; a kind not answered at all does too. */
export const unsafeSources = (sources: readonly EnergySource[]): SourceKind[] =>
  sourceKinds.filter((kind) => {
    const state = sources.find((s) => s.kind === kind)?.state;
    return state !== 'absent' && state !== 'isolated';
  });

/** Which range of the meter proves a point. */
export type Quantity = 'dc' | 'ac';

/** One pair of points of the dead proof. */
export interface ProofPoint {
  id: string;
  a: string;
  b: string;
  where: string;
  quantities: readonly Quantity[];
}

const pairsOf = (names: readonly string[]): [string, string][] =>
  names.flatMap((a, i) => names.slice(i + 1).map((b): [string, string] => [a, b]));

/**
 * Where this drive is proven dead: at the bank's own terminals, on both sides of every link and
 * fuse (an open one leaves the probed terminal at 0 V and the bank full), to earth, lines, motor.
 */
export function proofPoints(stage: Stage): ProofPoint[] {
  const dc: readonly Quantity[] = ['dc'];
  const both: readonly Quantity[] = ['dc', 'ac'];
  const lines = linesOf(stage);
  return [
    { id: 'bank', a: 'DC+', b: 'DC-', where: 'at the bank’s own terminals', quantities: dc },
    ...(stage.link === 'none'
      ? []
      : [{ id: 'rectifier-side', a: 'DC+R', b: 'DC-', where: 'rectifier side of the link', quantities: dc }]),
    ...(stage.fuse === 'none'
      ? []
      : [{ id: 'inverter-side', a: 'DC+I', b: 'DC-', where: 'inverter side of the fuse', quantities: dc }]),
    { id: 'plus-earth', a: 'DC+', b: 'PE', where: 'bus plus to earth', quantities: dc },
    { id: 'minus-earth', a: 'DC-', b: 'PE', where: 'bus minus to earth', quantities: dc },
    ...pairsOf(lines).map(([a, b]) => ({ id: `${a}-${b}`, a, b, where: 'line to line', quantities: both })),
    ...lines.map((a) => ({ id: `${a}-earth`, a, b: 'PE', where: 'line to earth', quantities: both })),
    ...pairsOf(motorTerminals).map(([a, b]) => ({
      id: `${a}-${b}`,
      a,
      b,
      where: 'motor pair',
      quantities: both,
    })),
  ];
}

/** The bank read once more: a bank recovers by itself. */
export const againId = 'bank-again';
/** Not before this long after the first figure, s. */
export const againAfter_s = 60;

/** One figure to take: a pair of points and what the meter is set to. */
export interface ProofStep {
  key: string;
  point: ProofPoint;
  quantity: Quantity;
}

/** The key of a proof step: its point and quantity. */
export const stepKey = (pointId: string, quantity: Quantity): string => `${pointId} ${quantity}`;

/** The figures in the order hands take them: the meter on DC all the way down, then on AC, then the bank again. */
export function proofSteps(stage: Stage): ProofStep[] {
  const points = proofPoints(stage);
  const of = (quantity: Quantity) =>
    points
      .filter((p) => p.quantities.includes(quantity))
      .map((point): ProofStep => ({ key: stepKey(point.id, quantity), point, quantity }));
  const [bank] = points;
  const again: ProofStep[] =
    bank === undefined
      ? []
      : [
          {
            key: stepKey(againId, 'dc'),
            point: { ...bank, id: againId, where: 'bank again, a minute later' },
            quantity: 'dc',
          },
        ];
  return [...of('dc'), ...of('ac'), ...again];
}

/** Above `hands_V` no hand goes in; above `test_V` no diode or ohms test. A site may set less, never more. */
export interface Limits {
  hands_V: number;
  test_V: number;
}

/** Common practice, no source: 50 V DC for hands in dry places, 5 V for a meter's diode range. */
export const greatestLimits: Limits = { hands_V: 50, test_V: 5 };

/** After this long without an entry by the person at the drive the proof lapses, s. */
export const absence_s = 30 * 60;
