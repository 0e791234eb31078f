// Common practice, no source: from before power to the real station.
import type { ScaleLine } from '../../numerics/analog-scaling';
import { percentOfShare } from '../../numerics/figures';
import { analogFigures, earthFigures, supplyFigures, torqueFigures, type StepFigure } from './figures';

/** What a step can look at by itself where the link is there. */
export type Watch =
  | { as: 'input'; id: string }
  | { as: 'relay'; id: string }
  | { as: 'analog'; id: 'AI1' | 'AI2' }
  /** Ready, at rest, no alarm. */
  | { as: 'display' }
  /** Run is given from nowhere. */
  | { as: 'run-off' }
  /** What is in the drive before and after its power was away. */
  | { as: 'power-cycle' };

/** One step of the commissioning run: what is done, what must be seen, what the link can show of it. */
export interface CommissioningStep {
  id: string;
  group:
    | 'before power'
    | 'history'
    | 'save'
    | 'direction'
    | 'first run'
    | 'inputs'
    | 'safety'
    | 'places'
    | 'station';
  title: string;
  /** What is done, and what must be seen. */
  do: string;
  caution?: string;
  /** Each of them must be seen. */
  parts?: readonly string[];
  /** A named qualified person answers for it. */
  qualified?: boolean;
  watch?: Watch;
  /** Readings that are taken with it, and must pass; over the link its evidence stands for them. */
  figures?: readonly StepFigure[];
  /** Settled before this one can be. */
  after?: readonly string[];
  /** The machine may run for a while without it, with a date and a name. */
  mayWait: boolean;
}

/** A rotating identification turns at about this share of the rated speed, for about so long (from memory). */
const rotating = { share: 0.65, seconds: 90 };

const moves = 'The machine may move: people clear, guard on, a hand at the emergency stop.';

/** What a start-up asks of its run. */
export interface RunOf {
  inputs: readonly { id: string; mark: string; does: string }[];
  analogs: readonly { id: 'AI1' | 'AI2'; mark: string }[];
  relays: readonly { id: string; mark: string }[];
  /** The analog output, where the type has one. */
  output: boolean;
  /** Channels that stop it safely: STO, E-stop. */
  channels: readonly string[];
  /** Where run comes from: on the spot, and in daily work. */
  places: { local: string; remote: string };
  /** The identification that is to run, in words; null: none. */
  identification: string | null;
  lifting: boolean;
  serial: boolean;
  /** What the unit is made for, and how it is fed. */
  supply: { volts: number; phases: 1 | 3 };
  /** Of the power terminals, as the type's table says; null: it does not. */
  torque_Nm: number | null;
  /** What the analog input stands for; null where speed comes from elsewhere. */
  line: ScaleLine | null;
  /** Nobody knows what was set in the unit before. */
  unknownHistory: boolean;
  /** Of the motor, by its plate. */
  rpmPerHz: number;
  rpm: number;
}

/** The parts of a safety sequence, each of which must be seen. */
export const sequence = ['reset', 'start', 'stopped', 'start refused', 'reset again', 'start again'] as const;

function beforePower({ supply, torque_Nm }: RunOf): CommissioningStep[] {
  const step = (
    id: string,
    title: string,
    what: string,
    more: Partial<CommissioningStep> = {},
  ): CommissioningStep => ({
    id,
    group: 'before power',
    title,
    do: what,
    mayWait: false,
    ...more,
  });
  return [
    step('wires', 'Wires', 'Every wire ticked from both ends, strands and ferrules in, none left over.'),
    step('torque', 'Torques', 'Power and control screws to the torque of the table.', {
      figures: torqueFigures(torque_Nm),
    }),
    step('earth', 'Earth', 'Protective earth continuous from frame to bar, measured.', {
      figures: earthFigures,
    }),
    step('run-off', 'Run inputs off', 'Every source of run is off: terminals, keypad, controller.', {
      watch: { as: 'run-off' },
    }),
    step('covers', 'Covers', 'Covers on, nobody in front, only then the tick.', {
      after: ['wires', 'torque', 'earth'],
    }),
    step('supply', 'Supply', 'Measured at the line side: alike, and as the type takes them.', {
      caution: 'Live parts: a qualified person, a meter rated for the place, nobody in front.',
      figures: supplyFigures(supply.volts, supply.phases),
    }),
    step('display', 'Display', 'Power on: it says ready, stands at 0 Hz, and shows no alarm.', {
      watch: { as: 'display' },
      after: ['covers', 'run-off', 'supply'],
    }),
  ];
}

/** A unit whose past nobody knows: what is in it is kept, put back to the factory's, and looked at, before anything is entered. */
const historySteps: readonly CommissioningStep[] = [
  {
    id: 'history-saved',
    group: 'history',
    title: 'What is in it, kept',
    do: 'Read everything out, or photograph every entry that differs: after the reset it is gone.',
    mayWait: false,
  },
  {
    id: 'history-reset',
    group: 'history',
    title: 'Reset to the factory’s',
    do: 'Run inputs off, then the reset of the whole unit; on some types region and application too.',
    caution: moves,
    after: ['run-off', 'history-saved'],
    mayWait: false,
  },
  {
    id: 'history-checked',
    group: 'history',
    title: 'The reset looked at',
    do: 'Read out again: region, motor data and sources of run are the factory’s, and no lock is left.',
    after: ['history-reset'],
    mayWait: false,
  },
];

function firstTurns({ identification, lifting, rpm }: RunOf): CommissioningStep[] {
  return [
    {
      id: 'saved',
      group: 'save',
      title: 'Kept in memory',
      do: 'Save, switch off until dark, switch on, read back: everything as entered.',
      watch: { as: 'power-cycle' },
      mayWait: false,
    },
    {
      id: 'reversal',
      group: 'direction',
      title: 'Reversal asked',
      do: 'Reversal harms nothing here, or the motor is uncoupled for its first turn: it destroys screw pumps, threaded impellers and some gearboxes.',
      mayWait: false,
    },
    {
      id: 'direction',
      group: 'direction',
      title: 'Direction',
      do: 'Slowly, a few turns: it turns as the arrow says.',
      caution: moves,
      after: ['run-off', 'covers', 'reversal'],
      mayWait: false,
    },
    ...(identification === null
      ? []
      : [
          {
            id: 'identification',
            group: 'first run' as const,
            title: `Identification ${identification}`,
            do: 'Enable and STO made. It whistles. Afterwards its state is “done”, also after the power was away.',
            caution:
              identification === 'rotating'
                ? `The shaft turns, at about ${percentOfShare(rotating.share)} % = ${Math.round(rotating.share * rpm)} rpm for about ${rotating.seconds} s; a tone is normal. Nothing on it, guard on, people clear.`
                : 'The shaft may jerk, for up to a minute; a tone is normal. People clear, no load that hangs free.',
            mayWait: false,
          },
        ]),
    {
      id: 'speeds',
      group: 'first run',
      title: 'Two or three speeds',
      do: 'At a quarter, half and full speed: current at or below the plate, no noise, no heat.',
      caution: moves,
      after: ['direction'],
      mayWait: false,
    },
    ...(lifting
      ? [
          {
            id: 'brake',
            group: 'first run' as const,
            title: 'Mechanical brake',
            do: 'It opens with torque there and closes before standstill is lost; it holds the load with the drive off.',
            caution: moves,
            mayWait: false,
          },
        ]
      : []),
  ];
}

function signals({ inputs, analogs, relays, output, line, rpmPerHz }: RunOf): CommissioningStep[] {
  return [
    ...inputs
      .filter((i) => i.does !== 'none')
      .map((i): CommissioningStep => ({
        id: `input-${i.id}`,
        group: 'inputs',
        title: `${i.mark}: ${i.does}`,
        do: `Turn what ${i.mark} is wired to: its bit follows, and nothing else does.`,
        caution: 'Run input open, unless it is the one that is tested.',
        watch: { as: 'input', id: i.id },
        mayWait: true,
      })),
    ...analogs.map((a): CommissioningStep => ({
      id: `analog-${a.id}`,
      group: 'inputs',
      title: `${a.mark} at four points`,
      do: 'None, a quarter, half and all of the signal: the reference is as the line says.',
      watch: { as: 'analog', id: a.id },
      ...(line === null ? {} : { figures: analogFigures(line, rpmPerHz) }),
      mayWait: true,
    })),
    ...relays.map((r): CommissioningStep => ({
      id: `relay-${r.id}`,
      group: 'inputs',
      title: `Relay ${r.mark}`,
      do: 'The connected circuit follows its function.',
      watch: { as: 'relay', id: r.id },
      mayWait: true,
    })),
    ...(output
      ? [
          {
            id: 'output',
            group: 'inputs' as const,
            title: 'Analog output',
            do: 'At rest and at a speed: what reads it shows the same as the drive.',
            mayWait: true,
          },
        ]
      : []),
  ];
}

/** The steps of a run, in the order they are made. */
export function commissioningSteps(run: RunOf): CommissioningStep[] {
  const { channels, places, serial } = run;
  return [
    ...beforePower(run),
    ...(run.unknownHistory ? historySteps : []),
    ...firstTurns(run),
    ...signals(run),
    ...channels.map((c): CommissioningStep => ({
      id: `safety-${c}`,
      group: 'safety',
      title: `${c.charAt(0).toUpperCase()}${c.slice(1)}: the whole sequence`,
      do: 'Reset, start, stop by this channel, start refused, reset, start. Each seen.',
      caution: moves,
      parts: sequence,
      qualified: true,
      mayWait: false,
    })),
    {
      id: 'places',
      group: 'places',
      title: 'Local and remote',
      do: 'Each place runs it and stops it, and the other does not meanwhile.',
      caution: moves,
      parts: [
        `local (${places.local}): runs it`,
        `local: stops it`,
        `local: run from ${places.remote} does nothing`,
        `remote (${places.remote}): runs it`,
        `remote: stops it`,
        `remote: run from ${places.local} does nothing`,
        'changing over at standstill starts nothing',
      ],
      mayWait: true,
    },
    {
      id: 'automatic',
      group: 'station',
      title: 'Handed to automatic',
      do: serial
        ? 'The controller gives run and speed; it follows, and says so back.'
        : 'It follows its own reference in daily work.',
      caution: moves,
      mayWait: true,
    },
    {
      id: 'partners',
      group: 'station',
      title: 'Partner machines',
      do: 'Whatever shares its reference or its enable still works as before.',
      mayWait: true,
    },
  ];
}
