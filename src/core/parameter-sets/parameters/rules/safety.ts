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
    given([is(concept)], (value) => when(value === wrong, text, `it is “${value.replaceAll('-', ' ')}”`)),
});

/** Supervision that is off, locks, what restarts by itself. */
export const safetyAudits: readonly AuditRule[] = [
  left(
    'overload-off',
    'wrong',
    'motor overload switched off',
    'protect.overload',
    'ignore',
    'Nothing stops a motor that burns.',
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
    'A fault to earth is not acted on.',
  ),
  left(
    'output-phase-off',
    'doubt',
    'output phase supervision off',
    'protect.output-phase',
    'ignore',
    'A lost motor phase is not noticed: a test value.',
  ),
  left(
    'external-off',
    'doubt',
    'external trip switched off',
    'protect.external',
    'ignore',
    'What trips from outside is not acted on.',
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
          'Fed from three phases and the loss of one is not noticed: the bank is overloaded until it fails.',
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
          'Fed from one phase: it trips at once. No action, and the unit derated.',
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
          'The speed comes from an encoder and its loss is ignored: the machine runs away.',
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
    'The machine may start when the power comes back.',
  ),
  left(
    'flying',
    'doubt',
    'flying start',
    'start.flying',
    'on',
    'It catches a turning motor: the shaft may turn the machine first.',
  ),
  {
    id: 'restart',
    severity: 'doubt',
    about: 'automatic restarts',
    concepts: ['restart.count'],
    judge: ({ num }) =>
      given([num('restart.count')], (count) =>
        when(count > 0, 'After a trip it starts again by itself.', `${count} restarts`),
      ),
  },
  left(
    'safe-stop-restart',
    'wrong',
    'start after STO',
    'safe-stop.reset',
    'restart-by-itself',
    'After STO it starts again by itself.',
  ),
  left(
    'locks-open',
    'doubt',
    'parameter lock',
    'lock.parameters',
    'open',
    'Anybody at the keypad can change it.',
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
