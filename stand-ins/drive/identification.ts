// The identification run: asked for by an entry, begun by run, whistling for some seconds, its result kept as a state.
import type { ConceptId } from '@/core/equipment/concepts';
import { parameterFor } from '@/core/equipment/drive-words';
import type { Plant } from './plant';
import type { Settings } from './settings';
import { figureOf, setTo, type SimulatedUnit } from './view';

/** How long one takes, s. */
const lasts_s = { standstill: 4, rotating: 12 } as const;
/** A rotating one turns the shaft at this share of the motor's frequency. */
const turnsAt = 0.8;

export type IdentificationKind = keyof typeof lasts_s;

/** The identification that the next run begins; null where none is asked for. */
export function identAsked(unit: SimulatedUnit): IdentificationKind | null {
  const kind = setTo(unit, 'motor.ident');
  return kind === 'standstill' || kind === 'rotating' ? kind : null;
}

/** What the output does while it goes on, Hz. */
export const identOutput_Hz = (unit: SimulatedUnit, kind: IdentificationKind): number =>
  kind === 'rotating' ? turnsAt * figureOf(unit, 'motor.frequency', 50) : 0;

export const identDone = (unit: SimulatedUnit, kind: IdentificationKind): boolean =>
  unit.inState_s >= lasts_s[kind];

function choose(settings: Settings, concept: ConceptId, means: string): Settings {
  const p = parameterFor(settings.control, concept);
  const value = p?.choices?.find((c) => c.means === means)?.value;
  if (p === undefined || value === undefined) return settings;
  const put = (values: Settings['values']) => ({ ...values, [p.number]: value });
  // The unit keeps the result of an identification by itself.
  return { ...settings, values: put(settings.values), saved: put(settings.saved) };
}

/** After it: the request is gone, and the state says how it ended. A motor that is not there fails it. */
export const identified = ({ settings }: SimulatedUnit, { motor }: Plant): Settings =>
  choose(
    choose(settings, 'motor.ident', 'none'),
    'motor.ident-state',
    motor.connected && motor.lost === null ? 'done' : 'failed',
  );

export const identBroken = ({ settings }: SimulatedUnit): Settings =>
  choose(choose(settings, 'motor.ident', 'none'), 'motor.ident-state', 'failed');
