// Common practice, no source, where no standard is named.
import { fitOf } from '../../equipment/supply';
import { row, unknown, type FitRule } from './rule';
import type { UnitRequirements, FitUnit } from './unit';

const amps = (a: number): string => `${String(Number(a.toFixed(1)))} A`;

/** Made for three phases, to be fed from one, and nobody knows what it gives then. */
const isUnknownOnOnePhase = (unit: FitUnit, { supply }: UnitRequirements): boolean =>
  unit.phases === 3 && supply.phases === 1 && unit.control?.fitting.onePhase === undefined;

/** Share of its rated amps that a unit gives in this place; null: its manual must say. */
function derating(unit: FitUnit, asked: UnitRequirements): { share: number; sum: string } | null {
  if (isUnknownOnOnePhase(unit, asked)) return null;
  const supply_V = unit.supply_V ?? asked.supply.volts;
  if (unit.control === null || supply_V === null) return { share: 1, sum: 'derating not known' };
  const { derating: share } = fitOf(
    {
      type: { ...unit, supply_V },
      supply: { ...asked.supply, volts: asked.supply.volts ?? supply_V },
      motor: { amps: 0, singlePhase: false },
      ambient_C: asked.ambient_C ?? 25,
      altitude_m: asked.altitude_m ?? 0,
      carrier_kHz: asked.carrier_kHz ?? 1,
      sideBySide: asked.sideBySide,
      storedYears: 0,
      onePhase: null,
      cable: null,
      motors: 1,
    },
    unit.control.fitting,
  );
  return { share, sum: share === 1 ? 'no derating here' : `× ${share.toFixed(2)} for this installation` };
}

/** What it carries at a duty; one that is made for heavy duty alone carries the same at normal duty. */
const dutyOf = (unit: FitUnit, name: 'normal' | 'heavy') => {
  const duties = unit.control?.mounting?.duty;
  const heavy = duties?.find((d) => d.name === 'heavy');
  return name === 'heavy' ? heavy : (duties?.find((d) => d.name === 'normal') ?? heavy);
};

/** Amps that a unit gives here at a duty, with the sum. */
function gives(
  unit: FitUnit,
  asked: UnitRequirements,
  name: 'normal' | 'heavy',
): { amps: number; sum: string } | null {
  const share = dutyOf(unit, name)?.share;
  if (share === undefined) return null;
  const place = derating(unit, asked);
  if (place === null) return null;
  const total = unit.ratedAmps * share * place.share;
  return {
    amps: total,
    sum: `${amps(unit.ratedAmps)} × ${share.toFixed(2)} (${name} duty), ${place.sum} = ${amps(total)}`,
  };
}

const ohms = (unit: FitUnit): number | null =>
  unit.control?.mounting?.brake_ohm?.find((b) => b.type === unit.type)?.ohm ?? null;

const voltsOf = ({ supply_V }: FitUnit): string =>
  supply_V === null ? 'not known' : `${String(supply_V)} V`;

/** Volts, amps, overload, brake. */
export const powerRules: readonly FitRule[] = [
  {
    id: 'volts',
    name: 'Supply voltage',
    says: ({ old, next, asked }) => {
      const [left, right] = [voltsOf(old), voltsOf(next)];
      if (asked.supply.volts === null || next.supply_V === null)
        return row('ask', left, right, 'Measure the supply, and read the nameplate of the new unit.');
      const off = asked.supply.volts / next.supply_V - 1;
      const sum = `${String(asked.supply.volts)} V ÷ ${String(next.supply_V)} V = ${(100 * (1 + off)).toFixed(0)} %, ±10 % allowed (IEC 61800-2, from memory)`;
      return Math.abs(off) <= 0.1
        ? row('fits', left, right, 'Matches the supply.', { sum })
        : row('does-not', left, right, 'Made for another supply voltage.', { sum });
    },
  },
  {
    id: 'phases',
    name: 'Phases',
    says: ({ old, next, asked }) => {
      const [left, right] = [String(old.phases), String(next.phases)];
      if (next.phases === asked.supply.phases) return row('fits', left, right, 'As the supply.');
      if (isUnknownOnOnePhase(next, asked))
        return row(
          'ask',
          left,
          right,
          'Three-phase unit on a single-phase supply: see its manual for the derating.',
        );
      return next.phases === 3
        ? row(
            'adapts',
            left,
            right,
            'Three-phase unit on a single-phase supply: current as stated in its manual.',
            {
              action: { kind: 'change', text: 'Input phase supervision off, derated; with a note' },
            },
          )
        : row('adapts', left, right, 'Single-phase unit: L–N or L–L, per nameplate.', {
            action: {
              kind: 'change',
              text: 'Two supply conductors instead of three; fuses by its table',
            },
          });
    },
  },
  ...(['heavy', 'normal'] as const).map((name): FitRule => ({
    id: `amps-${name}`,
    name: `Amps, ${name} duty`,
    says: ({ old, next, asked }) => {
      const [was, will] = [gives(old, asked, name), gives(next, asked, name)];
      const [left, right] = [was, will].map((g) => (g === null ? unknown : amps(g.amps)));
      if (asked.duty !== null && asked.duty !== name) return null;
      const wanted = asked.motorAmps ?? was?.amps ?? null;
      // Its nameplate is what it gives at best, at whichever duty.
      if (will === null && wanted !== null && next.ratedAmps < wanted)
        return row(
          'does-not',
          left ?? unknown,
          amps(next.ratedAmps),
          `${amps(wanted)} required: ${amps(wanted - next.ratedAmps)} short of its nameplate, before any derating.`,
          { sum: `${amps(next.ratedAmps)} < ${amps(wanted)}` },
        );
      if (will === null)
        return row(
          'ask',
          left ?? unknown,
          right ?? unknown,
          `Current at ${name} duty not in the catalogue.`,
          {
            action: { kind: 'ask', text: `Amps of the ${next.type} at ${name} duty` },
          },
        );
      if (wanted === null)
        return row('ask', left ?? unknown, right ?? unknown, 'Motor current not known.', {
          sum: will.sum,
        });
      const words = `${amps(wanted)} ${asked.motorAmps === null ? 'rated by the old unit' : 'on the motor nameplate'}`;
      if (will.amps >= wanted)
        return row('fits', left ?? unknown, right ?? unknown, `${words}.`, { sum: will.sum });
      const short = `${words}: ${amps(wanted - will.amps)} short.`;
      // Whether it is heavy duty was not said: normal duty alone may do.
      return asked.duty === null && name === 'heavy'
        ? row(
            'ask',
            left ?? unknown,
            right ?? unknown,
            `${short} Is the load heavy duty (hoist, crusher, full load at standstill)?`,
            {
              sum: will.sum,
              action: { kind: 'ask', text: 'Heavy or normal duty?' },
            },
          )
        : row('does-not', left ?? unknown, right ?? unknown, short, {
            sum: will.sum,
            action: { kind: 'buy', text: 'The next size up' },
          });
    },
  })),
  {
    id: 'overload',
    name: 'Overload',
    says: ({ old, next, asked }) => {
      const name = asked.duty ?? 'heavy';
      const [was, will] = [dutyOf(old, name), dutyOf(next, name)];
      const said = (d: typeof was): string =>
        d === undefined ? unknown : `${String(d.overload_percent)} % for ${String(d.seconds)} s`;
      if (will === undefined || was === undefined)
        return row('ask', said(was), said(will), 'Not in the catalogue.');
      // Amps for a while are what starts the load, not percent of something.
      const [a, b] = [
        (old.ratedAmps * was.share * was.overload_percent) / 100,
        (next.ratedAmps * will.share * will.overload_percent) / 100,
      ];
      const sum = `${amps(old.ratedAmps)} × ${was.share.toFixed(2)} × ${String(was.overload_percent)} % = ${amps(a)}; ${amps(next.ratedAmps)} × ${will.share.toFixed(2)} × ${String(will.overload_percent)} % = ${amps(b)}`;
      const needs =
        asked.motorAmps === null ? a : Math.min(a, asked.motorAmps * (name === 'heavy' ? 1.5 : 1.1));
      return b + 1e-9 >= needs
        ? row('fits', said(was), said(will), `${amps(b)} short-time.`, { sum })
        : row(
            'adapts',
            said(was),
            said(will),
            `${amps(b)} short-time, ${amps(needs)} required: slower start of the load.`,
            {
              sum,
              action: { kind: 'change', text: 'Longer ramp up; watch the first starts under load' },
            },
          );
    },
  },
  {
    id: 'brake',
    name: 'Brake chopper',
    says: ({ old, next, asked }) => {
      const said = (u: FitUnit): string => {
        const least = ohms(u);
        return u.brake ? `yes${least === null ? '' : `, from ${String(least)} Ω`}` : 'no';
      };
      const wanted = asked.brakes ?? (old.brake && asked.brakeResistor_ohm !== null);
      if (next.control === null && !next.brake)
        return wanted
          ? row('ask', said(old), unknown, 'Brake chopper not known.', {
              action: { kind: 'ask', text: 'Brake chopper of the new unit, and its minimum resistance' },
            })
          : null;
      if (!next.brake)
        return wanted
          ? row('does-not', said(old), said(next), 'Overhauling load, but no brake chopper.', {
              action: { kind: 'buy', text: 'A separate brake chopper, or a type with one' },
            })
          : row('fits', said(old), said(next), 'Not needed.');
      const least = ohms(next);
      if (asked.brakeResistor_ohm === null)
        return wanted
          ? row('ask', said(old), said(next), 'Brake resistor value not known.', {
              action: { kind: 'ask', text: 'Ohms and watts of the brake resistor, from its nameplate' },
            })
          : old.brake && asked.brakes === null
            ? row('ask', said(old), said(next), 'Is a brake resistor fitted?', {
                action: { kind: 'ask', text: 'Brake resistor: fitted or not, its ohms and watts' },
              })
            : row('fits', said(old), said(next), 'Available if needed.');
      if (least === null)
        return row('ask', said(old), said(next), 'Minimum resistance not in the catalogue.');
      const sum = `${String(asked.brakeResistor_ohm)} Ω fitted, ${String(least)} Ω at least`;
      return asked.brakeResistor_ohm >= least
        ? row('fits', said(old), said(next), 'The brake resistor can stay.', { sum })
        : row('does-not', said(old), said(next), 'Brake resistor below the minimum of the chopper.', {
            sum,
            action: { kind: 'buy', text: `A brake resistor of at least ${String(least)} Ω` },
          });
    },
  },
];
