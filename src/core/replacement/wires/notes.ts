import { meaningOf } from '../../equipment/drive-words';
import type { UnitTerminal, WiredUnit } from './terminals';
import type { Jumpers, Wire, WirePlacement } from './wire';

/** Something about the whole map that a person must know or settle. */
export interface MapNote {
  id: string;
  about: 'return' | 'selector' | 'crowded' | 'polarity' | 'safe-stop';
  text: string;
  /** Where a selector was seen to stand: settled, and may be put right. */
  stood?: 'V' | 'mA';
}

interface Mapped {
  wires: readonly Wire[];
  fates: readonly WirePlacement[];
  old: WiredUnit;
  next: WiredUnit;
  oldTerminals: readonly UnitTerminal[];
  jumpers: Jumpers;
}

/** Currents that would have no way back. */
function returns({ wires }: Mapped): MapNote[] {
  const has = (test: (w: Wire) => boolean): boolean => wires.some(test);
  const digital = has((w) => w.role.startsWith('in:'));
  const supplied = has((w) => w.role === 'plus24') || has((w) => w.role === 'digital-common');
  const analog = has((w) => /^reference-|^analog-out$/.test(w.role));
  const relays = new Map<string, number>();
  for (const w of wires) {
    if (!w.role.startsWith('relay:')) continue;
    const does = w.role.split(':')[1] ?? '';
    relays.set(does, (relays.get(does) ?? 0) + 1);
  }
  const note = (id: string, text: string): MapNote => ({ id, about: 'return', text });
  return [
    ...(digital && !supplied
      ? [
          note(
            'return:digital',
            'Inputs are wired, but neither internal 24 V nor their common: find the return path.',
          ),
        ]
      : []),
    ...(analog && !has((w) => w.role === 'analog-common')
      ? [note('return:analog', 'Analog signal wired without its common: find its return.')]
      : []),
    ...[...relays].flatMap(([does, n]) =>
      n === 1
        ? [
            note(
              `return:relay:${does}`,
              `Of the relay “${does}” only one side is wired: find the other wire.`,
            ),
          ]
        : [],
    ),
    ...(has((w) => w.role === 'safe-1') !== has((w) => w.role === 'safe-2')
      ? [note('return:safe', 'Only one STO channel is wired: both must be.')]
      : []),
  ];
}

function safeStop({ wires, old, next }: Mapped): MapNote[] {
  const wired = wires.some((w) => w.role.startsWith('safe-'));
  if (next.control.safeStop !== null && !wired)
    return [
      {
        id: 'safe-stop:new',
        about: 'safe-stop',
        text: 'STO of the new unit is not wired: factory jumpers stay until a qualified person decides.',
      },
    ];
  return next.control.safeStop === null && (wired || old.control.safeStop !== null)
    ? [
        {
          id: 'safe-stop:gone',
          about: 'safe-stop',
          text: 'The new unit has no STO: a qualified person must decide first how the machine is stopped safely.',
        },
      ]
    : [];
}

function selectors({ wires, old, next, jumpers, oldTerminals }: Mapped): MapNote[] {
  const polarity = (unit: WiredUnit): unknown => meaningOf(unit.control, unit.values, 'input.polarity');
  const turned =
    polarity(old) !== undefined && polarity(next) !== undefined && polarity(old) !== polarity(next);
  const used = (id: string): boolean =>
    oldTerminals.some((t) => t.block === id && wires.some((w) => w.from === t.mark));
  return [
    ...(turned
      ? [
          {
            id: 'polarity',
            about: 'polarity' as const,
            text: `The inputs of the old unit are switched as ${String(polarity(old))}, of the new one as ${String(polarity(next))}: set it was.`,
          },
        ]
      : []),
    ...old.control.analogInputs.flatMap(({ id, mark, jumper }) =>
      jumper === undefined || !used(id)
        ? []
        : [
            {
              id: `selector:${id}`,
              about: 'selector' as const,
              text: `${mark}: ${jumper}${jumpers[id] === undefined ? '' : ` Stopped for at ${jumpers[id]}.`}`,
              ...(jumpers[id] === undefined ? {} : { stood: jumpers[id] }),
            },
          ],
    ),
  ];
}

function crowded({ fates, wires }: Mapped): MapNote[] {
  const byTerminal = new Map<string, number>();
  for (const f of fates) if (f.to !== null) byTerminal.set(f.to, (byTerminal.get(f.to) ?? 0) + 1);
  const power = new Set(
    fates.filter((f) => wires.find((w) => w.id === f.wire)?.role === 'power:PE').map((f) => f.to),
  );
  return [...byTerminal].flatMap(([mark, n]) =>
    n > 1 && !power.has(mark)
      ? [
          {
            id: `crowded:${mark}`,
            about: 'crowded' as const,
            text: `${String(n)} wires on ${mark}: use a twin ferrule or a separate terminal block.`,
          },
        ]
      : [],
  );
}

/** What concerns the map as a whole. */
export const mapNotes = (mapped: Mapped): MapNote[] => [
  ...returns(mapped),
  ...safeStop(mapped),
  ...selectors(mapped),
  ...crowded(mapped),
];
