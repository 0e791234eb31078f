// Common practice, no source: one entry changed for a trial, and settings that move a machine unasked.
import type { Control, Parameter } from '../../equipment/catalogue';
import type { AlarmFamily, ConceptId } from '../../equipment/concepts';
import {
  defaultOf,
  limitsOf,
  meaningOf,
  parameterFor,
  type Rating,
  type Values,
} from '../../equipment/drive-words';
import type { ChainLinkId } from '../run-chain';

/** What a trial needs to know of the drive. */
export interface TrialFacts {
  control: Pick<Control, 'parameters'>;
  rating: Rating;
  values: Values;
}

/** A parameter to change for a moment, to see whether it was the cause. */
export interface Trial {
  parameter: Parameter;
  /** In the parameter's unit; of a choice its number. */
  to: number;
  why: string;
}

interface Idea {
  concept: ConceptId;
  /** A neutral choice, what the factory sets, or a multiple of what it is. */
  to: string | { factory: true } | { times: number };
  why: string;
}

const byLink: Partial<Record<ChainLinkId, readonly Idea[]>> = {
  coast: [
    {
      concept: 'coast.source',
      to: 'terminals',
      why: 'Coast from terminals only: if it runs now, the serial link inhibited it.',
    },
    {
      concept: 'run.serial-control',
      to: 'off',
      why: 'Serial control off: if it runs now, the serial link inhibited it.',
    },
  ],
  place: [
    {
      concept: 'place.selected',
      to: 'remote',
      why: 'The other local/remote selection: is that the one that is wired?',
    },
  ],
  run: [
    {
      concept: 'place.selected',
      to: 'remote',
      why: 'The other local/remote selection: is that the one that is wired?',
    },
  ],
  direction: [
    {
      concept: 'limit.reverse',
      to: 'allowed',
      why: 'Reverse allowed: if it runs now, the direction was the inhibit.',
    },
  ],
  limits: [
    { concept: 'limit.torque', to: { factory: true }, why: 'Torque limit at factory default.' },
    { concept: 'limit.current', to: { factory: true }, why: 'Current limit at factory default.' },
    {
      concept: 'limit.current-amps',
      to: { factory: true },
      why: 'Current limit at factory default.',
    },
  ],
};

const byFamily: Partial<Record<AlarmFamily, readonly Idea[]>> = {
  encoder: [
    {
      concept: 'control.mode',
      to: 'vector',
      why: 'Open loop: if it runs now, feedback was configured but missing.',
    },
    {
      concept: 'feedback.encoder',
      to: 'none',
      why: 'No feedback: if it runs now, feedback was configured but missing.',
    },
  ],
  'overvoltage-decelerating': [
    {
      concept: 'ramp.down',
      to: { times: 2 },
      why: 'Double ramp down: if it stops without a trip, the ramp was too short.',
    },
    {
      concept: 'protect.overvoltage-control',
      to: 'on',
      why: 'Overvoltage control on: extends the ramp automatically.',
    },
  ],
  'overcurrent-accelerating': [
    {
      concept: 'ramp.up',
      to: { times: 2 },
      why: 'Double ramp up: if it accelerates without a trip, the ramp was too short.',
    },
    { concept: 'start.boost', to: { factory: true }, why: 'Torque boost at factory default.' },
  ],
  'overcurrent-decelerating': [
    {
      concept: 'ramp.down',
      to: { times: 2 },
      why: 'Double ramp down: if it stops without a trip, the ramp was too short.',
    },
  ],
};
const aliases: Partial<Record<AlarmFamily, AlarmFamily>> = { overvoltage: 'overvoltage-decelerating' };

function resolved({ control, rating, values }: TrialFacts, { concept, to, why }: Idea): Trial[] {
  const parameter = parameterFor(control, concept);
  const now = parameter === undefined ? undefined : values[parameter.number];
  if (parameter === undefined || now === undefined || parameter.readOnly) return [];
  const region = meaningOf(control, values, 'region') === '60Hz' ? '60Hz' : '50Hz';
  const { min, max } = limitsOf(parameter, rating);
  const wanted =
    typeof to === 'string'
      ? parameter.choices?.find((c) => c.means === to)?.value
      : 'times' in to
        ? Math.min(max, Math.max(min, now * to.times))
        : defaultOf(parameter, rating, region);
  return wanted === undefined || wanted === now ? [] : [{ parameter, to: wanted, why }];
}

/** Which single entry, changed for a moment, would show the cause; only what this type has and is set otherwise. */
export function trialsFor(
  facts: TrialFacts,
  at: { link?: ChainLinkId | null; family?: AlarmFamily },
): Trial[] {
  const { link, family } = at;
  const ideas = [
    ...(link ? (byLink[link] ?? []) : []),
    ...(family === undefined ? [] : (byFamily[aliases[family] ?? family] ?? [])),
  ];
  return ideas.flatMap((idea) => resolved(facts, idea));
}

/** What may move when this entry is written; nobody writes without having read it. */
export const mayMove = (p: Parameter): string =>
  p.stop
    ? 'Accepted only when stopped. With any run command active the machine may start as soon as it is accepted.'
    : 'Effective at once, also while running: the machine may start, stop or change speed.';

/** A parameter that may move the machine by itself, with the warning. */
export interface Unasked {
  parameter: Parameter;
  warning: string;
}

const unasked: readonly {
  concept: ConceptId;
  moves: (value: string | number) => boolean;
  warning: string;
}[] = [
  {
    concept: 'restart.count',
    moves: (n) => typeof n === 'number' && n > 0,
    warning: 'Automatic restart after a trip: the machine moves with nobody near the drive.',
  },
  {
    concept: 'restart.power-on',
    moves: (v) => v === 'on',
    warning: 'The machine starts when power returns with run still active.',
  },
  {
    concept: 'start.flying',
    moves: (v) => v === 'on',
    warning: 'Flying start: a stopped shaft may be turned during the search.',
  },
  {
    concept: 'safe-stop.reset',
    moves: (v) => v === 'restart-by-itself',
    warning: 'The machine restarts automatically when STO closes again.',
  },
];

/** Settings that are on and move a machine with nobody asking for it. */
export const movesUnasked = (control: Pick<Control, 'parameters'>, values: Values): Unasked[] =>
  unasked.flatMap(({ concept, moves, warning }) => {
    const parameter = parameterFor(control, concept);
    const value = meaningOf(control, values, concept);
    return parameter !== undefined && value !== undefined && moves(value) ? [{ parameter, warning }] : [];
  });
