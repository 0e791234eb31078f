import type { RigOrder, RigState } from '@/api/rig-state';

export interface Hidden {
  name: string;
  /** What it looks like from the display; the trainee gets no more. */
  looks: string;
  order: (rig: RigState) => RigOrder;
}

const withRun = (rig: RigState, more: Record<string, boolean> = {}) => {
  const run = rig.inputs.find((i) => i.does === 'run' || i.does === 'run-forward')?.id ?? 'DI1';
  return { ...rig.plant.contacts, [run]: true, ...more };
};
const carrying = (rig: RigState, ...functions: string[]): string | undefined =>
  rig.inputs.find((i) => functions.includes(i.does))?.id;
const free = (rig: RigState): string =>
  [...rig.inputs].reverse().find((i) => !/^(run|run-forward|enable|interlock)$/.test(i.does))?.id ?? 'DI5';

/** Faults to look for, each as orders to the rig. */
export const hiddenFaults: readonly Hidden[] = [
  {
    name: 'interlock open, on another input',
    looks: 'no fault, won’t run',
    order: (rig) => {
      const usual = carrying(rig, 'interlock', 'enable');
      const moved = free(rig);
      return {
        set: {
          ...(usual === undefined ? {} : { [`input.${usual}`]: 'none' }),
          [`input.${moved}`]: 'interlock',
        },
        plant: { contacts: withRun(rig, { [moved]: false }) },
      };
    },
  },
  {
    name: 'STO return missing',
    looks: 'STO open',
    order: (rig) => ({ plant: { safeStop: { returnTied: false }, contacts: withRun(rig) } }),
  },
  {
    name: 'coast command from the serial link',
    looks: 'no fault, won’t run',
    order: (rig) => ({
      set: { 'coast.source': 'either', 'run.serial-control': 'on' },
      plant: { serial: { coastRelease: false }, contacts: withRun(rig) },
    }),
  },
  {
    name: 'reference at zero',
    looks: 'run LED on, shaft stopped',
    order: (rig) => ({ plant: { AI1: 0, knob_percent: 0, contacts: withRun(rig) } }),
  },
  {
    name: 'input phase lost',
    looks: 'trips after some seconds',
    order: (rig) => ({ plant: { mains: { lost: 'L2' }, contacts: withRun(rig) } }),
  },
  {
    name: 'encoder configured but not fitted',
    looks: 'trips at once',
    order: (rig) => ({ set: { 'control.mode': 'vector-encoder' }, plant: { contacts: withRun(rig) } }),
  },
  {
    name: 'ground fault',
    looks: 'trips at once',
    order: (rig) => ({ plant: { hidden: { groundFault: true }, contacts: withRun(rig) } }),
  },
  {
    name: 'ramp too short for the load',
    looks: 'trips during stopping',
    order: (rig) => ({
      set: { 'ramp.down': 1, 'protect.overvoltage-control': 'off' },
      plant: { AI1: 10, knob_percent: 100, load: { torque: 0.2, inertia_s: 4 }, contacts: withRun(rig) },
    }),
  },
];
