import type { LoadKind, StartUpChoices } from '@/core/equipment/application';
import type { Rating } from '@/core/equipment/drive-words';
import type { Plate } from '@/core/equipment/plate';
import type { BusLevels } from '@/core/equipment/power-stage';
import { machineCase, type InertiaKnown, type LoadCurve, type RampCase } from '@/core/commissioning/ramp';
import { figureFrom, numberFrom } from '../../kit/number-from';

/** What was chosen and typed about the machine: kept as typed, read when a case is drawn. */
export interface RampAsked {
  up_s: number;
  down_s: number;
  curve: LoadCurve;
  /** Of a load that hangs. */
  way: 'up' | 'down';
  inertiaBy: 'class' | 'figure' | 'coast';
  load: string;
  inertia: string;
  coast: string;
  ohm: string;
  rounding: string;
  cycle: string;
}

const curveOf = (load: LoadKind): LoadCurve =>
  load === 'fan-or-pump' ? 'square' : load === 'hoist' || load === 'winch' ? 'hoisting' : 'constant';

/** What is drawn before anything is typed. */
export const firstAsked = (choices: StartUpChoices, inertia_kgm2: number | null): RampAsked => ({
  up_s: choices.up_s ?? 6,
  down_s: choices.down_s ?? 8,
  curve: curveOf(choices.load),
  way: 'up',
  inertiaBy: inertia_kgm2 === null ? 'class' : 'figure',
  load: '60',
  inertia: inertia_kgm2 === null ? '' : String(inertia_kgm2),
  coast: '',
  ohm: '60',
  rounding: '0',
  cycle: '60',
});

/** Inertia of the machine in multiples of the motor's, by kind (common practice, no source). */
const classOf: Readonly<Record<LoadKind, number>> = {
  'fan-or-pump': 3,
  conveyor: 4,
  'piston-pump': 1,
  hoist: 1,
  winch: 2,
  other: 2,
};

const asIfEmpty = 'drawn with the default';
/** Why a figure cannot be taken; undefined: it can, or nothing was typed. */
export const wrong = (text: string): string | undefined =>
  text.trim() === '' || numberFrom(text) !== null ? undefined : `A value above zero; ${asIfEmpty}`;
/** The same for a share of something: zero is one, and the whole may be the most. */
export const wrongShare = (text: string, most_percent: number): string | undefined => {
  const value = figureFrom(text);
  return text.trim() === '' || (value !== null && value >= 0 && value <= most_percent)
    ? undefined
    : `From 0 to ${most_percent} %; ${asIfEmpty}`;
};
const share = (text: string, most_percent: number): number =>
  wrongShare(text, most_percent) === undefined ? (figureFrom(text) ?? 0) / 100 : 0;
export const mostLoad_percent = 300;

/** As long as no figure was typed, the kind of machine says how much turns. */
const inertiaKnown = ({ inertiaBy, inertia, coast }: RampAsked, load: LoadKind): InertiaKnown => {
  const kgm2 = numberFrom(inertia);
  const seconds = numberFrom(coast);
  if (inertiaBy === 'figure' && kgm2 !== null) return { as: 'figure', kgm2 };
  if (inertiaBy === 'coast' && seconds !== null) return { as: 'coast-down', seconds };
  return { as: 'multiple', ofMotor: classOf[load] };
};

/** Seconds between two stops, for the brake resistor. */
export const cycleSeconds = (asked: RampAsked): number => numberFrom(asked.cycle) ?? 60;

/** The case to be drawn of what was asked, the plates and the choices of the start-up. */
export const caseAsked = (
  asked: RampAsked,
  machine: {
    plate: Plate;
    rating: Rating;
    levels: BusLevels;
    capacitance_uF: number;
    choices: StartUpChoices;
  },
): RampCase => {
  const { plate, rating, levels, capacitance_uF, choices } = machine;
  const lowered = asked.curve === 'hoisting' && asked.way === 'down';
  return machineCase({
    plate,
    supply_V: rating.supply_V,
    levels,
    capacitance_F: capacitance_uF * 1e-6,
    curve: asked.curve,
    loadShare: (lowered ? -1 : 1) * share(asked.load, mostLoad_percent),
    inertia: inertiaKnown(asked, choices.load),
    limit: choices.load === 'fan-or-pump' ? 1.1 : 1.5,
    brake_ohm: choices.brakeResistor ? (numberFrom(asked.ohm) ?? 60) : null,
    up_s: asked.up_s,
    down_s: asked.down_s,
    rounding: share(asked.rounding, 100),
  });
};
