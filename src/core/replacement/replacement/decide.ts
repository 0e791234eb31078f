// Common practice, no source: what a shop weighs, as expected cost. The figures are the person's.
import { recordOf } from '../../numerics/arrays';
import { choiceIds, choiceNames, type ChoiceId } from './choices';

/** A figure as it is known: from, to; null: nobody said. */
export type Range = readonly [number, number] | null;

/** What each choice costs and takes. */
export const choiceFigures = ['price', 'work_h', 'lead_h', 'stop_h', 'holds_percent'] as const;
/** A figure of one choice. */
export type ChoiceFigure = (typeof choiceFigures)[number];
/** What all choices share. */
export const commonFigures = ['stopPerHour', 'workPerHour', 'bankAge_years'] as const;
/** A figure that all choices share. */
export type CommonFigure = (typeof commonFigures)[number];

/** Names and units of the figures. */
export const figureNames: Readonly<Record<ChoiceFigure | CommonFigure, { name: string; unit: string }>> = {
  price: { name: 'parts or unit', unit: 'money' },
  work_h: { name: 'hours of work', unit: 'h' },
  lead_h: { name: 'delivery time, hours', unit: 'h' },
  stop_h: { name: 'downtime, hours', unit: 'h' },
  holds_percent: { name: 'chance of success', unit: '%' },
  stopPerHour: { name: 'cost of an hour of downtime', unit: 'money' },
  workPerHour: { name: 'cost of an hour of work', unit: 'money' },
  bankAge_years: { name: 'age of the capacitors', unit: 'years' },
};

/** What is known of the choices; a blank figure is null. */
export interface Situation {
  common: Readonly<Record<CommonFigure, Range>>;
  choices: Readonly<Record<ChoiceId, Readonly<Record<ChoiceFigure, Range>>>>;
  /** Cannot be had or makes no sense here, with the reason. */
  out: Partial<Record<ChoiceId, string>>;
  /** Does the machine stand while one waits? With a bypass, or as long as the old unit still runs, it does not. */
  standsMeanwhile: boolean;
  discontinued: boolean;
}

/** Where nobody said: so wide that a choice which stands all over it does not need the figure. */
export const assumed: Readonly<Record<ChoiceFigure | CommonFigure, readonly [number, number]>> = {
  price: [50, 5000],
  work_h: [1, 16],
  lead_h: [0, 240],
  stop_h: [0.5, 8],
  holds_percent: [50, 99],
  stopPerHour: [0, 1000],
  workPerHour: [40, 120],
  bankAge_years: [0, 15],
};

/** A bank lasts about this long before it counts against keeping it; each year beyond costs the same share again. */
const bankLasts_years = 8;
const perYearBeyond = 0.05;

/** A figure of a choice (`repair.price`) or of all (`stopPerHour`). */
export type FigureId = CommonFigure | `${ChoiceId}.${ChoiceFigure}`;
type Point = Readonly<Record<FigureId, number>>;

/** A choice with its expected cost and downtime. */
export interface Costed {
  id: ChoiceId;
  /** Expected money: least, in the middle of everything, most. */
  cost: { low: number; mid: number; high: number };
  /** Hours that the machine stands, in the middle. */
  stop_h: number;
  /** The sum behind the middle. */
  sum: string[];
  /** Why it cannot be; null: it can. */
  out: string | null;
}

/** A figure on which the choice depends, and where it turns. */
export interface Sensitive {
  figure: FigureId;
  name: string;
  /** Nobody said, or said a range. */
  known: 'blank' | 'range';
  /** From this value on another choice is cheaper. */
  turnsAt: number;
  unit: string;
  /** On which side: `above` or `below` the middle. */
  when: 'above' | 'below';
  then: ChoiceId;
}

/** What each choice is expected to cost, which is the least, and on which figures that depends. */
export interface Decision {
  choices: Costed[];
  /** The one with the least expected cost in the middle; null where none can be. */
  best: ChoiceId | null;
  /** Figures on which it hangs, the blank ones first, the nearest turn first. */
  matters: Sensitive[];
  /** Blank figures that do not change it, whatever they are. */
  indifferent: string[];
}

const mid = ([a, b]: readonly [number, number]): number => (a + b) / 2;

type FigureParts = { choice: null; of: CommonFigure } | { choice: ChoiceId; of: ChoiceFigure };

/** What a figure's id is made of. */
const partsById: ReadonlyMap<FigureId, FigureParts> = new Map<FigureId, FigureParts>([
  ...commonFigures.map((of): [FigureId, FigureParts] => [of, { choice: null, of }]),
  ...choiceIds.flatMap((choice) =>
    choiceFigures.map((of): [FigureId, FigureParts] => [`${choice}.${of}`, { choice, of }]),
  ),
]);

/** @throws RangeError for an id that is none */
const partsOf = (figure: FigureId): FigureParts => {
  const parts = partsById.get(figure);
  if (parts === undefined) throw new RangeError(`unknown value ${figure}`);
  return parts;
};

const nameOf = (figure: FigureId): string => {
  const { choice, of } = partsOf(figure);
  const { name } = figureNames[of];
  return choice === null ? name : `${choiceNames[choice].toLowerCase()}: ${name}`;
};
const unitOf = (figure: FigureId): string => figureNames[partsOf(figure).of].unit;

const rangeOf = ({ common, choices }: Situation, figure: FigureId): Range => {
  const parts = partsOf(figure);
  return parts.choice === null ? common[parts.of] : choices[parts.choice][parts.of];
};

const figuresOf = (possible: readonly ChoiceId[]): FigureId[] => [
  ...commonFigures,
  ...possible.flatMap((c) => choiceFigures.map((f): FigureId => `${c}.${f}`)),
];

/** What keeping the old bank costs in chance: only where the old unit stays. */
const held = (id: ChoiceId, at: Point): number => {
  const beyond = id === 'repair' || id === 'settings' ? Math.max(0, at.bankAge_years - bankLasts_years) : 0;
  return Math.max(0, (at[`${id}.holds_percent`] / 100) * (1 - perYearBeyond * beyond));
};

/** Money and hours of a choice if it holds. */
function plain(id: ChoiceId, at: Point, stands: boolean): { money: number; stop_h: number } {
  const stop_h = at[`${id}.stop_h`] + (stands ? at[`${id}.lead_h`] : 0);
  return {
    stop_h,
    money: at[`${id}.price`] + at[`${id}.work_h`] * at.workPerHour + stop_h * at.stopPerHour,
  };
}

/** A choice that does not hold is followed by the surest of the others. */
const fallback = (id: ChoiceId, possible: readonly ChoiceId[], at: Point): ChoiceId | null =>
  [...possible]
    .filter((other) => other !== id && other !== 'settings')
    .sort((a, b) => held(b, at) - held(a, at))[0] ?? null;

/** Expected money and hours of a choice at a point. */
function expected(id: ChoiceId, possible: readonly ChoiceId[], at: Point, stands: boolean) {
  const own = plain(id, at, stands);
  const next = fallback(id, possible, at);
  const fails = 1 - held(id, at);
  // Without another way it is done once more.
  const again = plain(next ?? id, at, stands);
  return {
    own,
    next,
    fails,
    again,
    money: own.money + fails * again.money,
    stop_h: own.stop_h + fails * again.stop_h,
  };
}

const pointAt = (figures: readonly FigureId[], value: (figure: FigureId) => number): Point =>
  recordOf(figures, value);

const cheapest = (possible: readonly ChoiceId[], at: Point, stands: boolean): ChoiceId | null =>
  possible.reduce<{ id: ChoiceId; money: number } | null>((best, id) => {
    const { money } = expected(id, possible, at, stands);
    return best === null || money < best.money - 1e-9 ? { id, money } : best;
  }, null)?.id ?? null;

const round = (n: number): string => String(Number(n.toFixed(n < 10 ? 1 : 0)));

/** Steps in which a range is walked to find where another choice is cheaper; then halved. */
const steps = 40;

/** Where along its range a figure turns the choice, on each side of the middle. */
function turnsOf(
  figure: FigureId,
  range: readonly [number, number],
  middle: Point,
  best: ChoiceId,
  possible: readonly ChoiceId[],
  stands: boolean,
): Pick<Sensitive, 'turnsAt' | 'when' | 'then'>[] {
  const winner = (value: number): ChoiceId =>
    cheapest(possible, { ...middle, [figure]: value }, stands) ?? best;
  const from = middle[figure];
  return (['above', 'below'] as const).flatMap((when) => {
    const end = when === 'above' ? range[1] : range[0];
    let good = from;
    for (let i = 1; i <= steps; i += 1) {
      const value = from + ((end - from) * i) / steps;
      if (winner(value) === best) {
        good = value;
        continue;
      }
      let bad = value;
      for (let k = 0; k < 30; k += 1) {
        const half = (good + bad) / 2;
        if (winner(half) === best) good = half;
        else bad = half;
      }
      return [{ turnsAt: bad, when, then: winner(bad) }];
    }
    return [];
  });
}

/**
 * Expected cost and stop of each choice, which is the least, and on which figures that hangs. Blank figures run over a wide
 * range; one that does not change the choice anywhere in it need not be found out.
 */
export function decide(situation: Situation): Decision {
  const { out, standsMeanwhile: stands } = situation;
  const possible = choiceIds.filter((id) => out[id] === undefined);
  const figures = figuresOf(choiceIds);
  const known = (f: FigureId): readonly [number, number] => rangeOf(situation, f) ?? assumed[partsOf(f).of];
  const middle = pointAt(figures, (f) => mid(known(f)));
  // A chance that is high makes it cheap, everything else dear.
  const worst = pointAt(figures, (f) => (f.endsWith('holds_percent') ? known(f)[0] : known(f)[1]));
  const best_ = pointAt(figures, (f) => (f.endsWith('holds_percent') ? known(f)[1] : known(f)[0]));
  const choices = choiceIds.map((id): Costed => {
    const m = expected(id, possible, middle, stands);
    const { own, again } = m;
    const waits = stands ? ` + ${round(middle[`${id}.lead_h`])} h waiting` : '';
    return {
      id,
      cost: {
        low: expected(id, possible, best_, stands).money,
        mid: m.money,
        high: expected(id, possible, worst, stands).money,
      },
      stop_h: m.stop_h,
      sum: [
        `${round(middle[`${id}.price`])} + ${round(middle[`${id}.work_h`])} h × ${round(middle.workPerHour)} + (${round(middle[`${id}.stop_h`])} h${waits}) × ${round(middle.stopPerHour)} = ${round(own.money)}`,
        `fails in ${round(100 * m.fails)} of 100 cases${m.next === null ? ': once more' : `, then ${choiceNames[m.next].toLowerCase()}`}: ${m.fails.toFixed(2)} × ${round(again.money)} = ${round(m.fails * again.money)}`,
        `together ${round(m.money)}`,
      ],
      out: out[id] ?? null,
    };
  });
  const best = cheapest(possible, middle, stands);
  if (best === null || possible.length < 2) return { choices, best, matters: [], indifferent: [] };
  const open = figuresOf(possible).flatMap((figure) => {
    const range = rangeOf(situation, figure);
    if (range !== null && range[1] - range[0] < 1e-9) return [];
    return [
      { figure, known: range === null ? ('blank' as const) : ('range' as const), range: known(figure) },
    ];
  });
  const tried = open.map((o) => ({
    ...o,
    turns: turnsOf(o.figure, o.range, middle, best, possible, stands),
  }));
  const nearness = (s: Sensitive): number => {
    const [a, b] = known(s.figure);
    return Math.abs(s.turnsAt - middle[s.figure]) / Math.max(1e-9, b - a);
  };
  return {
    choices,
    best,
    matters: tried
      .flatMap(({ figure, known: how, turns }) =>
        turns.map((t): Sensitive => ({
          figure,
          name: nameOf(figure),
          unit: unitOf(figure),
          known: how,
          ...t,
        })),
      )
      .sort((a, b) => (a.known === b.known ? nearness(a) - nearness(b) : a.known === 'blank' ? -1 : 1)),
    indifferent: tried
      .filter((t) => t.known === 'blank' && t.turns.length === 0)
      .map((t) => nameOf(t.figure)),
  };
}
