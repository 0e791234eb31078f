// Common practice, no source.
import { row, unknown, type FitRule } from './rule';
import type { FitUnit } from './unit';

/** What a controller is set to for one type, and must be set to anew for another. */
export const networkQuestions: readonly { id: string; asks: string; changes: string }[] = [
  { id: 'address', asks: 'Node address', changes: 'Give the new unit the same address' },
  {
    id: 'watchdog',
    asks: 'Watchdog: time-out and reaction',
    changes: 'Set the same time and the same reaction',
  },
  {
    id: 'words',
    asks: 'Control and status words: bit assignment',
    changes: 'Adapt control and status words in the controller to the new type',
  },
  {
    id: 'scaling',
    asks: 'Scaling of reference and actual value',
    changes: 'Adapt scaling in the controller to the new type',
  },
  {
    id: 'master',
    asks: 'Who may change the controller, and when',
    changes: 'They must be present during the outage',
  },
];

const names = (u: FitUnit): string => {
  const list = u.control?.mounting?.networks;
  return list === undefined ? unknown : list.length === 0 ? 'none' : list.map((n) => n.name).join(', ');
};

/** Network, firmware and what the control system must know. */
export const networkRules: readonly FitRule[] = [
  {
    id: 'network',
    name: 'Network',
    says: ({ old, next, asked }) => {
      if (asked.network === null) return null;
      const { name } = asked.network;
      const list = next.control?.mounting?.networks;
      if (list === undefined)
        return row('ask', names(old), names(next), `Support of ${name} not in the catalogue.`);
      const there = list.find((n) => n.name === name);
      if (there === undefined)
        return row('does-not', names(old), names(next), `${name} not supported.`, {
          action: { kind: 'buy', text: `A converter for ${name}, or a type that supports it` },
        });
      return there.option === null
        ? row('fits', names(old), names(next), `${name} built in.`)
        : row('adapts', names(old), names(next), `${name} with an option board.`, {
            action: { kind: 'buy', text: there.option },
          });
    },
  },
  ...networkQuestions.map(({ id, asks, changes }): FitRule => ({
    id: `network-${id}`,
    name: asks,
    says: ({ old, next, asked }) => {
      if (asked.network === null) return null;
      const answer = asked.network.answers[id];
      const same = old.maker === next.maker && old.control === next.control;
      if (answer === undefined || answer === '')
        return row('ask', unknown, '', 'Clarify before deciding.', {
          action: { kind: 'ask', text: `${asks}? Ask the person responsible for the controller` },
        });
      return same
        ? row('fits', answer, answer, 'Same type: unchanged.')
        : row('adapts', answer, '', 'The controller must be changed too.', {
            action: { kind: 'change', text: changes },
          });
    },
  })),
];
