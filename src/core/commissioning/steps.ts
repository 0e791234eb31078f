// Common practice, no source: from before power to the real station.

export interface Step {
  id: string;
  group: 'before power' | 'save' | 'direction' | 'first run' | 'inputs' | 'safety' | 'places' | 'station';
  title: string;
  /** What is done, and what must be seen. */
  do: string;
  caution?: string;
  /** A named qualified person answers for it. */
  qualified?: boolean;
}

const moves = 'The machine may move: people clear, guard on, a hand at the emergency stop.';

/** What a start-up asks of its run. */
export interface RunOf {
  inputs: readonly { id: string; mark: string; does: string }[];
  analogs: readonly { id: string; mark: string }[];
  relays: readonly { id: string; mark: string }[];
  /** Channels that stop it safely: safe stop, emergency stop. */
  channels: readonly string[];
  lifting: boolean;
  serial: boolean;
}

/** The steps of a run, in the order they are made. */
export function stepsOf({ inputs, analogs, relays, channels, lifting, serial }: RunOf): Step[] {
  const before = (id: string, title: string, what: string): Step => ({
    id,
    group: 'before power',
    title,
    do: what,
  });
  return [
    before('wires', 'Wires', 'Every wire ticked from both ends, strands and ferrules in, none left over.'),
    before('torque', 'Torques', 'Power and control screws to the torque of the table.'),
    before('earth', 'Earth', 'Protective earth continuous from frame to bar, measured.'),
    before('run-off', 'Run inputs off', 'Every source of run is off: terminals, keypad, controller.'),
    before('covers', 'Covers', 'Covers on, nobody in front, only then the tick.'),
    before('supply', 'Supply', 'The three voltages measured and alike, as the type takes them.'),
    {
      id: 'saved',
      group: 'save',
      title: 'Kept in memory',
      do: 'Save, switch off until dark, switch on, read back: everything as entered.',
    },
    {
      id: 'direction',
      group: 'direction',
      title: 'Direction',
      do: 'Slowly, a few turns: it turns as the arrow says.',
      caution: moves,
    },
    {
      id: 'speeds',
      group: 'first run',
      title: 'Two or three speeds',
      do: 'At a quarter, half and full speed: current at or below the plate, no noise, no heat.',
      caution: moves,
    },
    ...(lifting
      ? [
          {
            id: 'brake',
            group: 'first run' as const,
            title: 'Mechanical brake',
            do: 'It opens with torque there and closes before standstill is lost; it holds the load with the drive off.',
            caution: moves,
          },
        ]
      : []),
    ...inputs
      .filter((i) => i.does !== 'none')
      .map((i): Step => ({
        id: `input-${i.id}`,
        group: 'inputs',
        title: `${i.mark}: ${i.does}`,
        do: `Turn what ${i.mark} is wired to: its bit follows, and nothing else does.`,
        caution: 'Run input open, unless it is the one that is tested.',
      })),
    ...analogs.map((a): Step => ({
      id: `analog-${a.id}`,
      group: 'inputs',
      title: `${a.mark} at three points`,
      do: 'None, half and all of the signal: the reference is as the line says.',
    })),
    ...relays.map((r): Step => ({
      id: `relay-${r.id}`,
      group: 'inputs',
      title: `Relay ${r.mark}`,
      do: 'What hangs on it follows its function.',
    })),
    ...channels.map((c): Step => ({
      id: `safety-${c}`,
      group: 'safety',
      title: `${c}: the whole sequence`,
      do: 'Reset, start, stop by this channel, start refused, reset, start. Each seen.',
      caution: moves,
      qualified: true,
    })),
    {
      id: 'places',
      group: 'places',
      title: 'Local and remote',
      do: 'Each place runs it and stops it, and the other does not meanwhile.',
      caution: moves,
    },
    {
      id: 'automatic',
      group: 'station',
      title: 'Handed to automatic',
      do: serial
        ? 'The controller gives run and speed; it follows, and says so back.'
        : 'It follows its own reference in daily work.',
      caution: moves,
    },
    {
      id: 'partners',
      group: 'station',
      title: 'Partner machines',
      do: 'Whatever shares its reference or its enable still works as before.',
    },
  ];
}

/** The parts of a safety sequence, each of which must be seen. */
export const sequence = ['reset', 'start', 'stopped', 'start refused', 'reset again', 'start again'] as const;
