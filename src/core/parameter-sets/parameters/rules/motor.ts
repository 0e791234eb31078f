// The motor's plate against the set. Where no source is named: common practice, no source.
import type { ConceptId } from '../../../equipment/concepts';
import { kilowatts, polesFrom } from '../../../equipment/plate';
import { given, when, type AuditRule, type AuditFacts } from './rule';

/** A plate figure may differ from the entry by this share before it is another figure. */
const same = 0.01;

const againstPlate = (
  id: string,
  about: string,
  concept: ConceptId,
  unit: string,
  of: (plate: NonNullable<AuditFacts['plate']>) => number | undefined,
): AuditRule => ({
  id,
  severity: 'wrong',
  about,
  concepts: [concept],
  judge: ({ plate, num }) =>
    given([num(concept), plate === undefined ? undefined : of(plate)], (entered, wanted) =>
      when(
        Math.abs(entered - wanted) > same * wanted,
        `${about.charAt(0).toUpperCase()}${about.slice(1)} does not match the nameplate.`,
        `${entered} ${unit} entered, ${Number(wanted.toFixed(3))} ${unit} on the nameplate`,
      ),
    ),
});

/** Slip outside of this is a wrong figure. */
const mostSlip = 0.12;
const fluxTolerance = 0.05;

/** The motor's plate against the set. */
export const motorAudits: readonly AuditRule[] = [
  againstPlate('plate-power', 'motor power', 'motor.power', 'kW', (p) => kilowatts(p.power)),
  againstPlate('plate-volts', 'motor voltage', 'motor.voltage', 'V', (p) => p.volts),
  againstPlate('plate-amps', 'motor current', 'motor.current', 'A', (p) => p.amps),
  againstPlate('plate-hertz', 'motor frequency', 'motor.frequency', 'Hz', (p) => p.hz),
  againstPlate('plate-rpm', 'motor speed', 'motor.speed', 'rpm', (p) => p.rpm),
  againstPlate('plate-cosphi', 'power factor', 'motor.cosphi', '', (p) => p.cosPhi),
  {
    id: 'region-plate',
    severity: 'wrong',
    about: 'region',
    concepts: ['region'],
    judge: ({ plate, is }) => {
      const region = is('region');
      if (region === undefined || plate === undefined) return undefined;
      const hz = region === '60Hz' ? 60 : 50;
      return when(
        (plate.hz === 50 || plate.hz === 60) && plate.hz !== hz,
        '50/60 Hz default set does not match the motor: the next reset changes motor voltage and frequency.',
        `${hz} Hz default set, ${plate.hz} Hz on the nameplate`,
      );
    },
  },
  {
    id: 'flux',
    severity: 'wrong',
    about: 'volts per hertz',
    concepts: ['motor.voltage', 'motor.frequency'],
    judge: ({ plate, num }) => {
      const volts = num('motor.voltage');
      const hz = num('motor.frequency');
      if (plate === undefined || volts === undefined || hz === undefined || hz === 0) return undefined;
      const off = volts / hz / (plate.volts / plate.hz) - 1;
      return when(
        Math.abs(off) > fluxTolerance,
        off < 0
          ? 'Motor under-fluxed: low torque, overheats under load.'
          : 'Motor over-fluxed: saturates and overheats.',
        `${volts} V ÷ ${hz} Hz = ${(volts / hz).toFixed(2)} V/Hz, the nameplate requires ${(plate.volts / plate.hz).toFixed(2)}`,
      );
    },
  },
  {
    id: 'slip',
    severity: 'wrong',
    about: 'motor speed against frequency',
    concepts: ['motor.speed', 'motor.frequency'],
    judge: ({ num }) => {
      const rpm = num('motor.speed');
      const hz = num('motor.frequency');
      if (rpm === undefined || hz === undefined || rpm === 0) return undefined;
      const poles = polesFrom(hz, rpm);
      const synchronous = (120 * hz) / poles;
      const slip = 1 - rpm / synchronous;
      return when(
        slip > mostSlip || slip < -0.002,
        'Motor speed and frequency contradict each other.',
        `${poles} poles: ${synchronous.toFixed(0)} rpm synchronous, slip ${(100 * slip).toFixed(1)} %`,
      );
    },
  },
  {
    id: 'ident-stale',
    severity: 'wrong',
    about: 'identification',
    concepts: ['motor.ident-state', 'motor.ident'],
    judge: ({ is }) =>
      given([is('motor.ident-state')], (state) =>
        when(state === 'stale' || state === 'failed', 'Autotune invalid; repeat.', `state “${state}”`),
      ),
  },
  {
    id: 'ident-missing',
    severity: 'doubt',
    about: 'autotune for vector control',
    concepts: ['motor.ident-state', 'control.mode'],
    judge: ({ is }) =>
      given([is('motor.ident-state'), is('control.mode')], (state, mode) =>
        when(
          state === 'not-done' && mode !== 'v-hz',
          'Vector control without autotune: torque and current are inaccurate.',
          `control mode ${mode}, autotune not done`,
        ),
      ),
  },
  {
    id: 'ident-copied',
    severity: 'wrong',
    about: 'copied autotune results',
    concepts: ['motor.stator-resistance'],
    judge: ({ num, otherMotors_ohm }) =>
      given([num('motor.stator-resistance'), otherMotors_ohm], (ohm, otherMotors_ohm) =>
        when(
          ohm !== 0 && otherMotors_ohm.includes(ohm),
          'Stator resistance identical to another motor: copied. Repeat autotune here.',
          `${ohm} Ω in both`,
        ),
      ),
  },
  {
    id: 'mode-feedback',
    severity: 'wrong',
    about: 'control mode and encoder',
    concepts: ['control.mode', 'feedback.encoder'],
    judge: ({ is }) =>
      given([is('control.mode'), is('feedback.encoder')], (mode, feedback) =>
        when(
          mode === 'vector-encoder' && feedback === 'none',
          'Closed-loop control, but no encoder selected: the drive trips or runs away.',
          `control mode ${mode}, feedback ${feedback}`,
        ),
      ),
  },
  {
    id: 'encoder-missing',
    severity: 'wrong',
    about: 'encoder that is not fitted',
    concepts: ['feedback.encoder'],
    judge: ({ is, choices }) =>
      given([is('feedback.encoder'), choices], (feedback, choices) =>
        when(
          feedback === 'encoder' && !choices.encoder,
          'Encoder selected, but none fitted: the drive trips on encoder loss.',
          'feedback encoder, none fitted',
        ),
      ),
  },
];
