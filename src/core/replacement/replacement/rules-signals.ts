// Common practice, no source.
import { row, unknown, type FitRule } from './rule';
import type { UnitRequirements, FitUnit } from './unit';

const counted = (n: number | undefined): string => (n === undefined ? unknown : String(n));

/** Terminals of a sort: enough for what is wired, or not. */
const enough = (
  id: string,
  name: string,
  have: (unit: FitUnit) => number | undefined,
  need: (wired: NonNullable<UnitRequirements['wired']>) => number,
): FitRule => ({
  id,
  name,
  says: ({ old, next, asked }) => {
    const has = have(next);
    const wanted = asked.wired === null ? have(old) : need(asked.wired);
    const by = asked.wired === null ? 'Old unit' : 'Wired';
    const [left, right] = [counted(have(old)), counted(has)];
    if (has === undefined || wanted === undefined)
      return row('ask', left, right, 'Not in the catalogue: see the manual.', {
        action: { kind: 'ask', text: `${name}: how many does the ${next.type} have?` },
      });
    return has >= wanted
      ? row('fits', left, right, `${by}: ${String(wanted)}.`)
      : row('does-not', left, right, `${by}: ${String(wanted)}; the new unit has ${String(has)}.`, {
          action: {
            kind: 'buy',
            text: `${String(wanted - has)} more: ${name.toLowerCase()} by an option or a relay`,
          },
        });
  },
});

/** Safe torque off, inputs, outputs, speed feedback. */
export const signalRules: readonly FitRule[] = [
  {
    id: 'safe-stop',
    name: 'STO',
    says: ({ old, next, asked }) => {
      const said = (u: FitUnit): string =>
        u.control === null ? unknown : u.control.safeStop === null ? 'none' : 'two channels';
      if (next.control === null) return row('ask', said(old), said(next), 'Not in the catalogue.');
      const used = asked.wired?.safe ?? (old.control !== null && old.control.safeStop !== null);
      if (next.control.safeStop === null)
        return used
          ? row(
              'does-not',
              said(old),
              said(next),
              'No STO on the new unit for the STO of the machine. A qualified person must decide.',
            )
          : row('fits', said(old), said(next), 'Not used.');
      return used
        ? row('fits', said(old), said(next), 'Both channels can be wired; prove the function afterwards.', {
            action: { kind: 'change', text: 'Remove factory jumpers when STO is wired' },
          })
        : row('adapts', said(old), said(next), 'Not wired: factory jumpers stay.', {
            action: {
              kind: 'ask',
              text: 'A qualified person decides whether the machine needs STO',
            },
          });
    },
  },
  enough(
    'digital',
    'Digital inputs',
    (u) => u.control?.inputs.length,
    (w) => w.digital,
  ),
  enough(
    'analog',
    'Analog inputs',
    (u) => u.control?.analogInputs.length,
    (w) => w.analog,
  ),
  enough(
    'analog-out',
    'Analog output',
    (u) => (u.control === null ? undefined : u.control.analogOutput === null ? 0 : 1),
    (w) => w.analogOut,
  ),
  enough(
    'relays',
    'Relays',
    (u) => u.control?.relays.length,
    (w) => w.relays,
  ),
  {
    id: 'signal-selector',
    name: 'Volts or current',
    says: ({ old, next }) => {
      const by = (u: FitUnit): string =>
        u.control === null
          ? unknown
          : u.control.analogInputs.some((a) => a.jumper !== undefined)
            ? 'by a jumper'
            : 'by parameter';
      if (old.control === null || next.control === null || by(old) === by(next)) return null;
      return row('adapts', by(old), by(next), 'Signal type is selected differently.', {
        action: {
          kind: 'change',
          text: 'Note the position on the old unit; set the same signal on the new unit',
        },
      });
    },
  },
  {
    id: 'feedback',
    name: 'Speed feedback',
    says: ({ old, next, asked }) => {
      const board = (u: FitUnit): string | null =>
        u.control?.options.find((o) => /enc|feed|fb/i.test(`${o.id} ${o.name}`))?.name ?? null;
      const said = (u: FitUnit): string => (u.control === null ? unknown : (board(u) ?? 'none'));
      if (asked.feedback === false) return null;
      const there = board(next);
      if (asked.feedback === null)
        return board(old) === null && old.control !== null
          ? null
          : row('ask', said(old), said(next), 'Is there an encoder on the motor?', {
              action: { kind: 'ask', text: 'Encoder on the motor, and its lines?' },
            });
      return there === null
        ? row('does-not', said(old), said(next), 'No encoder input.')
        : row('adapts', said(old), said(next), 'Encoder with an option board.', {
            action: { kind: 'buy', text: there },
          });
    },
  },
];
