import * as z from 'zod';
import type { Live } from '../core/equipment/drive-words';

/** An order to the rig of the simulated drive. Any: the rig itself says which it knows. */
export const rigOrderSchema = z.record(z.string(), z.unknown());
/** The same as a type. */
export type RigOrder = z.infer<typeof rigOrderSchema>;

/** The rig of the simulated drive, as its server tells it. */
export interface RigState {
  type: { vendor: string; product: string; revision: string };
  typeId: string;
  model: string;
  serial: string;
  /** Null: the catalogue does not say how its keys work. */
  keypad: { caps: string[][]; shows: string; cursor: number | null; speedsUp: boolean } | null;
  inputs: { id: string; mark: string; does: string }[];
  safeStop: boolean;
  plant: {
    mains: { on: boolean; volts: number; lost: string | null };
    contacts: Record<string, boolean>;
    wiresOff: string[];
    wiring: 'source' | 'sink';
    supply24: { from: 'drive' | 'foreign'; on: boolean; returnTied: boolean };
    safeStop: { channel1: boolean; channel2: boolean; returnTied: boolean };
    AI1: number;
    AI2: number;
    knob_percent: number;
    keypadRun: boolean;
    serial: { talks: boolean; run: boolean; reverse: boolean; coastRelease: boolean; reference_Hz: number };
    motor: { connected: boolean; lost: string | null };
    load: { torque: number; inertia_s: number };
    hidden: Record<string, boolean>;
    ambient_C: number;
    bus: {
      delay_ms: number;
      drop: number;
      garble: number;
      busy: number;
      silent: boolean;
      cableOut: boolean;
      cutAtWrite: { writes: number; arrives: boolean } | null;
    };
  };
  shows: Live;
  shaft_Hz: number;
}
