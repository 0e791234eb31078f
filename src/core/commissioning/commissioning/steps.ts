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

const moves = 'The machine may move: people clear, guards on, E-stop within reach.';

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
    step(
      'wires',
      'Wires',
      'Every wire checked at both ends, all strands in the ferrules, no wire left over.',
    ),
    step('torque', 'Torques', 'Power and control terminals tightened to the torque of the table.', {
      figures: torqueFigures(torque_Nm),
    }),
    step('earth', 'Earth', 'Protective earth continuity from frame to PE bar, measured.', {
      figures: earthFigures,
    }),
    step('run-off', 'Run inputs off', 'All run commands off: terminals, keypad, controller.', {
      watch: { as: 'run-off' },
    }),
    step('covers', 'Covers', 'Covers on, nobody in front of the unit.', {
      after: ['wires', 'torque', 'earth'],
    }),
    step('supply', 'Supply', 'Measured at the line terminals: balanced, and within the range of the type.', {
      caution: 'Live parts: qualified person, meter rated for the location, nobody in front.',
      figures: supplyFigures(supply.volts, supply.phases),
    }),
    step('display', 'Display', 'Power on: ready, 0 Hz, no fault.', {
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
    title: 'Save current parameters',
    do: 'Read out everything, or photograph every changed parameter: the reset erases them.',
    mayWait: false,
  },
  {
    id: 'history-reset',
    group: 'history',
    title: 'Factory reset',
    do: 'Run inputs off, then full factory reset; on some types 50/60 Hz default set and application too.',
    caution: moves,
    after: ['run-off', 'history-saved'],
    mayWait: false,
  },
  {
    id: 'history-checked',
    group: 'history',
    title: 'Check the reset',
    do: 'Read out again: 50/60 Hz default set, motor data and control sources at factory defaults, no lock active.',
    after: ['history-reset'],
    mayWait: false,
  },
];

function firstTurns({ identification, lifting, rpm }: RunOf): CommissioningStep[] {
  return [
    {
      id: 'saved',
      group: 'save',
      title: 'Saved to memory',
      do: 'Save, switch off until the display is dark, switch on, read back: all values as entered.',
      watch: { as: 'power-cycle' },
      mayWait: false,
    },
    {
      id: 'reversal',
      group: 'direction',
      title: 'Reversal allowed?',
      do: 'Reversal causes no damage here, or the motor is uncoupled for its first turn: reversal destroys screw pumps, threaded impellers and some gearboxes.',
      mayWait: false,
    },
    {
      id: 'direction',
      group: 'direction',
      title: 'Direction',
      do: 'A few slow turns: direction matches the arrow.',
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
            title: `Autotune ${identification}`,
            do: 'Enable and STO closed. A tone is normal. Afterwards the state is “done”, also after a power cycle.',
            caution:
              identification === 'rotating'
                ? `The shaft turns, at about ${percentOfShare(rotating.share)} % = ${Math.round(rotating.share * rpm)} rpm for about ${rotating.seconds} s; a tone is normal. Shaft free, guards on, people clear.`
                : 'The shaft may jerk for up to a minute; a tone is normal. People clear, no suspended load.',
            mayWait: false,
          },
        ]),
    {
      id: 'speeds',
      group: 'first run',
      title: 'Two or three speeds',
      do: 'At a quarter, half and full speed: current at or below rated, no noise, no heat.',
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
            do: 'Brake opens with motor torque present, closes before standstill is lost, and holds the load with the drive off.',
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
        do: `Operate the device wired to ${i.mark}: its bit follows and no other bit changes.`,
        caution: 'Run input open, unless it is the input under test.',
        watch: { as: 'input', id: i.id },
        mayWait: true,
      })),
    ...analogs.map((a): CommissioningStep => ({
      id: `analog-${a.id}`,
      group: 'inputs',
      title: `${a.mark} at four points`,
      do: 'Signal at 0, 25, 50 and 100 %: the reference matches the scaling.',
      watch: { as: 'analog', id: a.id },
      ...(line === null ? {} : { figures: analogFigures(line, rpmPerHz) }),
      mayWait: true,
    })),
    ...relays.map((r): CommissioningStep => ({
      id: `relay-${r.id}`,
      group: 'inputs',
      title: `Relay ${r.mark}`,
      do: 'The connected circuit follows the relay function.',
      watch: { as: 'relay', id: r.id },
      mayWait: true,
    })),
    ...(output
      ? [
          {
            id: 'output',
            group: 'inputs' as const,
            title: 'Analog output',
            do: 'Stopped and at speed: the connected instrument shows the same as the drive.',
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
      title: `${c.charAt(0).toUpperCase()}${c.slice(1)}: full sequence`,
      do: 'Reset, start, stop by this channel, start refused, reset, start. Confirm each.',
      caution: moves,
      parts: sequence,
      qualified: true,
      mayWait: false,
    })),
    {
      id: 'places',
      group: 'places',
      title: 'Local and remote',
      do: 'Each control source starts and stops the drive; the other has no effect.',
      caution: moves,
      parts: [
        `local (${places.local}): starts`,
        `local: stops`,
        `local: run from ${places.remote} has no effect`,
        `remote (${places.remote}): starts`,
        `remote: stops`,
        `remote: run from ${places.local} has no effect`,
        'changing over while stopped does not start the drive',
      ],
      mayWait: true,
    },
    {
      id: 'automatic',
      group: 'station',
      title: 'Return to automatic',
      do: serial
        ? 'The controller gives run and speed; the drive follows and reports back.'
        : 'The drive follows its normal reference.',
      caution: moves,
      mayWait: true,
    },
    {
      id: 'partners',
      group: 'station',
      title: 'Connected machines',
      do: 'Machines sharing its reference or enable still work as before.',
      mayWait: true,
    },
  ];
}
