// Protection, limits, ramps. Where no source is named: common practice, no source.
import { isLifting } from '../../../equipment/application';
import { given, when, type AuditRule, type AuditFacts } from './rule';

const percent = (value: number): string => `${Number(value.toFixed(1))} %`;

/** The overload setting in amps, from whichever form the type has. */
function overload_A({ num, set: { rating } }: AuditFacts): number | undefined {
  const amps = num('protect.overload-amps');
  const share = num('protect.overload-percent');
  return amps ?? (share === undefined ? undefined : (share / 100) * rating.ratedAmps);
}
function limit_A({ num, set: { rating } }: AuditFacts): number | undefined {
  const amps = num('limit.current-amps');
  const share = num('limit.current');
  return amps ?? (share === undefined ? undefined : (share / 100) * rating.ratedAmps);
}

/** A figure against another one of the set. */
const above = (
  id: string,
  severity: AuditRule['severity'],
  about: string,
  [high, low]: readonly [AuditRule['concepts'][number], AuditRule['concepts'][number]],
  text: string,
  unit: string,
): AuditRule => ({
  id,
  severity,
  about,
  concepts: [high, low],
  judge: ({ num }) =>
    given([num(high), num(low)], (a, b) => when(a > b, text, `${a} ${unit} against ${b} ${unit}`)),
});

/** Protection, limits, ramps. */
export const limitAudits: readonly AuditRule[] = [
  {
    id: 'overload-plate',
    severity: 'wrong',
    about: 'motor overload and rated motor current',
    concepts: ['protect.overload-amps', 'protect.overload-percent'],
    judge: (facts) =>
      given([overload_A(facts), facts.plate], (set, plate) =>
        when(
          set > 1.03 * plate.amps,
          'Overload set above FLA: the motor is not protected.',
          `${set.toFixed(1)} A set, ${plate.amps} A on the nameplate`,
        ),
      ),
  },
  {
    id: 'overload-low',
    severity: 'doubt',
    about: 'motor overload far below rated motor current',
    concepts: ['protect.overload-amps', 'protect.overload-percent'],
    judge: (facts) =>
      given([overload_A(facts), facts.plate], (set, plate) =>
        when(
          set < 0.85 * plate.amps,
          'The overload trips before the motor reaches its load.',
          `${set.toFixed(1)} A set, ${plate.amps} A on the nameplate`,
        ),
      ),
  },
  {
    id: 'overload-rating',
    severity: 'wrong',
    about: 'motor overload and drive rating',
    concepts: ['protect.overload-amps'],
    judge: ({ num, set: { rating } }) =>
      given([num('protect.overload-amps')], (amps) =>
        when(
          amps > rating.ratedAmps,
          'Overload set above the drive rating: the motor is larger than the drive.',
          `${amps} A against ${rating.ratedAmps} A rated`,
        ),
      ),
  },
  {
    id: 'limit-low',
    severity: 'doubt',
    about: 'current limit below rated motor current',
    concepts: ['limit.current', 'limit.current-amps'],
    judge: (facts) =>
      given([limit_A(facts), facts.plate], (limit, plate) =>
        when(
          limit < plate.amps,
          'Current limit below rated motor current: the motor cannot reach its torque and stalls.',
          `${limit.toFixed(1)} A against ${plate.amps} A`,
        ),
      ),
  },
  {
    id: 'limit-load',
    severity: 'doubt',
    about: 'current limit and load',
    concepts: ['limit.current', 'limit.current-amps'],
    judge: (facts) => {
      const limit = limit_A(facts);
      const { plate, choices } = facts;
      if (limit === undefined || plate === undefined || choices === undefined) return undefined;
      const most = choices.load === 'fan-or-pump' ? 1.1 : 1.5;
      return when(
        limit > most * plate.amps * 1.03,
        'Current limit above the usual value for this load.',
        `${limit.toFixed(1)} A, ${percent((100 * limit) / plate.amps)} of rated, ${percent(100 * most)} is usual`,
      );
    },
  },
  above(
    'min-above-max',
    'wrong',
    'minimum above maximum frequency',
    ['limit.minimum-frequency', 'limit.maximum-frequency'],
    'Minimum frequency above maximum frequency.',
    'Hz',
  ),
  above(
    'max-above-base',
    'doubt',
    'maximum frequency above rated motor frequency',
    ['limit.maximum-frequency', 'motor.frequency'],
    'The motor may run above rated speed: bearings, balance and load must allow it; torque decreases.',
    'Hz',
  ),
  above(
    'max-below-base',
    'info',
    'maximum frequency below rated motor frequency',
    ['motor.frequency', 'limit.maximum-frequency'],
    'The motor never reaches rated speed.',
    'Hz',
  ),
  above(
    'skip-order',
    'wrong',
    'skip band',
    ['limit.skip-from', 'limit.skip-to'],
    'Skip limits reversed.',
    'Hz',
  ),
  {
    id: 'preset-above-max',
    severity: 'doubt',
    about: 'presets above maximum frequency',
    concepts: ['preset.1', 'preset.2', 'preset.3', 'preset.4', 'preset.5', 'preset.6', 'preset.7'],
    judge: ({ num }) => {
      const most = num('limit.maximum-frequency');
      const presets = ([1, 2, 3, 4, 5, 6, 7] as const).flatMap((n) => num(`preset.${n}`) ?? []);
      return most === undefined || presets.length === 0
        ? undefined
        : when(
            presets.some((p) => p > most),
            'A preset is above maximum frequency: the drive runs at the limit instead.',
            `${presets.filter((p) => p > most).join(', ')} Hz above ${most} Hz`,
          );
    },
  },
  {
    id: 'minimum-turns',
    severity: 'info',
    about: 'lowest frequency',
    concepts: ['limit.minimum-frequency'],
    judge: ({ num }) =>
      given([num('limit.minimum-frequency')], (least) =>
        when(least > 0, 'The motor turns at once when run is given.', `lowest frequency ${least} Hz`),
      ),
  },
  {
    id: 'ramp-up-short',
    severity: 'doubt',
    about: 'ramp up and inertia',
    concepts: ['ramp.up'],
    judge: ({ num, shortest }) => {
      const up = num('ramp.up');
      const least = shortest?.up_s;
      return up === undefined || least === undefined || least === null
        ? undefined
        : when(
            up < least,
            'Ramp up too short for the current limit.',
            `${up} s, ${least.toFixed(1)} s needed`,
          );
    },
  },
  {
    id: 'ramp-down-short',
    severity: 'doubt',
    about: 'ramp down and inertia',
    concepts: ['ramp.down', 'brake.chopper'],
    judge: ({ num, shortest }) => {
      const down = num('ramp.down');
      const least = shortest?.down_s;
      return down === undefined || least === undefined || least === null
        ? undefined
        : when(
            down < least,
            'Ramp down too short: will trip on overvoltage.',
            `${down} s, ${least.toFixed(1)} s needed`,
          );
    },
  },
  {
    id: 'chopper-missing',
    severity: 'wrong',
    about: 'chopper without a resistor',
    concepts: ['brake.chopper'],
    judge: ({ is, choices }) =>
      given([is('brake.chopper'), choices], (chopper, choices) =>
        when(
          chopper === 'on' && !choices.brakeResistor,
          'The chopper is on and no brake resistor fitted.',
          'chopper on',
        ),
      ),
  },
  {
    id: 'chopper-off',
    severity: 'doubt',
    about: 'resistor without a chopper',
    concepts: ['brake.chopper'],
    judge: ({ is, choices }) =>
      given([is('brake.chopper'), choices], (chopper, choices) =>
        when(
          chopper === 'off' && choices.brakeResistor,
          'A resistor is fitted and the chopper is off: it has no effect.',
          'chopper off',
        ),
      ),
  },
  {
    id: 'chopper-control',
    severity: 'doubt',
    about: 'chopper and overvoltage control',
    concepts: ['brake.chopper', 'protect.overvoltage-control'],
    judge: ({ is }) =>
      given([is('brake.chopper'), is('protect.overvoltage-control')], (chopper, control) =>
        when(
          chopper === 'on' && control === 'on',
          'Overvoltage control stretches the ramp before the chopper works: switch it off where brake resistor fitted.',
          'both are on',
        ),
      ),
  },
  {
    id: 'stop-lets-go',
    severity: 'wrong',
    about: 'stop mode with an overhauling load',
    concepts: ['stop.mode'],
    judge: ({ is, choices }) =>
      given([is('stop.mode'), choices], (stop, choices) =>
        when(
          isLifting(choices.load) && !choices.brakeProven && (stop === 'coast' || stop === 'dc-injection'),
          'Overhauling load would be released by this stop mode: coast and DC injection are refused until a mechanical brake is proven to close.',
          `stop mode ${stop}`,
        ),
      ),
  },
  {
    id: 'carrier-derating',
    severity: 'doubt',
    about: 'carrier frequency and derating',
    concepts: ['switching.frequency'],
    judge: ({ num, carrier_kHz }) =>
      given([num('switching.frequency'), carrier_kHz], (carrier, carrier_kHz) =>
        when(
          carrier > carrier_kHz,
          'Carrier frequency above the value used for derating.',
          `${carrier} kHz against ${carrier_kHz} kHz`,
        ),
      ),
  },
];
