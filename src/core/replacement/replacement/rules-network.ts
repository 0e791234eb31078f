// Common practice, no source.
import { row, unknown, type FitRule } from './rule';
import type { FitUnit } from './unit';

/** What a controller is set to for one type, and must be set to anew for another. */
export const networkQuestions: readonly { id: string; asks: string; changes: string }[] = [
  { id: 'address', asks: 'Node address', changes: 'Give the new unit the same address' },
  {
    id: 'watchdog',
    asks: 'Watchdog: after how many seconds, and what then',
    changes: 'Set the same time and the same reaction',
  },
  {
    id: 'words',
    asks: 'Control and status words: which bits',
    changes: 'The controller must build its words for the new type',
  },
  {
    id: 'scaling',
    asks: 'Scaling of reference and actual value',
    changes: 'The controller must scale for the new type',
  },
  {
    id: 'master',
    asks: 'Who may change the controller, and when',
    changes: 'They must be there at the stop',
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
        return row('ask', names(old), names(next), `Does it speak ${name}? Not in the catalogue.`);
      const there = list.find((n) => n.name === name);
      if (there === undefined)
        return row('does-not', names(old), names(next), `It does not speak ${name}.`, {
          action: { kind: 'buy', text: `A converter for ${name}, or a type that speaks it` },
        });
      return there.option === null
        ? row('fits', names(old), names(next), `It speaks ${name} by itself.`)
        : row('adapts', names(old), names(next), `It speaks ${name} with a board.`, {
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
        return row('ask', unknown, '', 'To be asked before anything is decided.', {
          action: { kind: 'ask', text: `${asks}? Ask whoever keeps the controller` },
        });
      return same
        ? row('fits', answer, answer, 'The same type: it stays.')
        : row('adapts', answer, '', 'The controller belongs to the swap.', {
            action: { kind: 'change', text: changes },
          });
    },
  })),
];
