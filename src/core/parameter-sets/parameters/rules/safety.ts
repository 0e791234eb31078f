// What watches, and what moves unasked. Where no source is named: common practice, no source.
import type { ConceptId } from '../../../equipment/concepts';
import { given, when, type AuditRule, type AuditSeverity } from './rule';

/** A choice that must not be left. */
const left = (
  id: string,
  severity: AuditSeverity,
  about: string,
  concept: ConceptId,
  wrong: string,
  text: string,
): AuditRule => ({
  id,
  severity,
  about,
  concepts: [concept],
  judge: ({ is }) =>
    given([is(concept)], (value) => when(value === wrong, text, `set to “${value.replaceAll('-', ' ')}”`)),
});

/** Supervision that is off, locks, what restarts by itself. */
export const safetyAudits: readonly AuditRule[] = [
  left(
    'overload-off',
    'wrong',
    'motor overload switched off',
    'protect.overload',
    'ignore',
    'The motor has no overload protection.',
  ),
  left(
    'overload-warns',
    'doubt',
    'motor overload that only warns',
    'protect.overload',
    'warn',
    'An overload is reported but does not trip the drive.',
  ),
  left(
    'ground-off',
    'wrong',
    'ground fault switched off',
    'protect.ground-fault',
    'ignore',
    'Earth fault protection is off.',
  ),
  left(
    'output-phase-off',
    'doubt',
    'output phase supervision off',
    'protect.output-phase',
    'ignore',
    'A lost motor phase is not detected: test value.',
  ),
  left(
    'external-off',
    'doubt',
    'external trip switched off',
    'protect.external',
    'ignore',
    'External fault disabled.',
  ),
  {
    id: 'input-phase-off',
    severity: 'wrong',
    about: 'input phase supervision off',
    concepts: ['protect.input-phase'],
    judge: ({ is, choices }) =>
      given([is('protect.input-phase'), choices], (value, choices) =>
        when(
          value === 'ignore' && !choices.singlePhaseFed,
          'Three-phase supply, but phase loss is not detected: the capacitor bank is overloaded.',
          'ignored, three-phase feed',
        ),
      ),
  },
  {
    id: 'input-phase-on',
    severity: 'doubt',
    about: 'input phase supervision on one phase',
    concepts: ['protect.input-phase'],
    judge: ({ is, choices }) =>
      given([is('protect.input-phase'), choices], (value, choices) =>
        when(
          value === 'trip' && choices.singlePhaseFed,
          'Single-phase supply: the drive trips at once. Set to no action and derate the unit.',
          'trips, one-phase feed',
        ),
      ),
  },
  {
    id: 'encoder-off',
    severity: 'wrong',
    about: 'loss of the encoder ignored',
    concepts: ['protect.encoder', 'feedback.encoder'],
    judge: ({ is }) =>
      given([is('protect.encoder'), is('feedback.encoder')], (value, feedback) =>
        when(
          feedback === 'encoder' && value === 'ignore',
          'Encoder feedback with encoder loss ignored: the machine may run away.',
          'encoder chosen, its loss ignored',
        ),
      ),
  },
  left(
    'power-on',
    'doubt',
    'run at power on',
    'restart.power-on',
    'on',
    'The machine may start when power returns.',
  ),
  left(
    'flying',
    'doubt',
    'flying start',
    'start.flying',
    'on',
    'Flying start on: the search may turn the machine.',
  ),
  {
    id: 'restart',
    severity: 'doubt',
    about: 'automatic restarts',
    concepts: ['restart.count'],
    judge: ({ num }) =>
      given([num('restart.count')], (count) =>
        when(count > 0, 'Automatic restart after a trip.', `${count} restarts`),
      ),
  },
  left(
    'safe-stop-restart',
    'wrong',
    'start after STO',
    'safe-stop.reset',
    'restart-by-itself',
    'Automatic restart after STO.',
  ),
  left(
    'locks-open',
    'doubt',
    'parameter lock',
    'lock.parameters',
    'open',
    'Parameters can be changed by anyone at the keypad.',
  ),
  {
    id: 'code-in',
    severity: 'doubt',
    about: 'code still entered',
    concepts: ['lock.code'],
    judge: ({ num, set: { control } }) =>
      given([num('lock.code')], (code) => {
        const lock = control.locks.find((l) => l.code === code);
        return when(
          lock !== undefined,
          'A code is still entered: the parameters behind it are unlocked.',
          lock?.opens ?? '',
        );
      }),
  },
];
