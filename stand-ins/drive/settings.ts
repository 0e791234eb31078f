// The parameter store of the simulated drive: ranges, locks, regions, resets, saving.
import type { Control, Parameter } from '@/core/equipment/catalogue';
import { plateConcepts } from '@/core/equipment/concepts';
import {
  factoryValues,
  limitsOf,
  meaningOf,
  valuesAfter,
  type Rating,
  type Values,
} from '@/core/equipment/drive-words';

export interface Settings {
  control: Control;
  rating: Rating;
  /** Option boards that are plugged in. */
  fitted: readonly string[];
  values: Values;
  /** What survives a power cycle; the same as `values` where edits are kept at once. */
  saved: Values;
  /** Locks that a code has opened. */
  opened: number;
}

export type SettingRefusal = 'not-there' | 'read-only' | 'locked' | 'running' | 'out-of-range';

const region = ({ control, values }: Pick<Settings, 'control' | 'values'>): '50Hz' | '60Hz' =>
  meaningOf(control, values, 'region') === '60Hz' ? '60Hz' : '50Hz';

const defaults = (control: Control, rating: Rating, at: '50Hz' | '60Hz'): Values =>
  factoryValues(control.parameters, rating, at);

/** A drive as the factory sends it, with some values set by concept. */
export function factorySettings(
  control: Control,
  rating: Rating,
  { fitted = [], set = {} }: { fitted?: readonly string[]; set?: Values } = {},
): Settings {
  const values = { ...defaults(control, rating, '50Hz'), ...set };
  return { control, rating, fitted, values, saved: values, opened: 0 };
}

/** Is a parameter there just now? */
export const isThere = ({ fitted, values }: Settings, { needs }: Parameter): boolean =>
  needs === undefined ||
  ('option' in needs ? fitted.includes(needs.option) : needs.is.includes(values[needs.number] ?? NaN));

/** Writes one parameter, with all that depends on it. */
export function writeSetting(
  settings: Settings,
  p: Parameter,
  value: number,
  { running, byCode = false }: { running: boolean; byCode?: boolean },
): Settings | SettingRefusal {
  const { control, rating, values, opened } = settings;
  if (!isThere(settings, p)) return 'not-there';
  if (p.readOnly) return 'read-only';
  if (p.concept === 'lock.code') return unlocked(settings, p, value);
  if (!byCode && p.lock > opened) return 'locked';
  const always = p.concept === 'lock.parameters' || p.concept === 'store.save';
  if (!always && meaningOf(control, values, 'lock.parameters') === 'locked') return 'locked';
  if (p.stop && running) return 'running';
  const { min, max } = limitsOf(p, rating);
  if (value < min - 1e-9 || value > max + 1e-9) return 'out-of-range';
  if (p.choices !== undefined && !p.choices.some((c) => c.value === value)) return 'out-of-range';

  const now = { ...values, [p.number]: value };
  if (p.concept === 'factory.reset')
    return kept(settings, value === 0 ? now : factory(settings, meaningOf(control, now, p.concept)));
  if (p.concept === 'store.save') return { ...settings, saved: value === 0 ? settings.saved : values };
  const at = region({ control, values: now });
  const again = valuesAfter(p, now, defaults(control, rating, at));
  return kept(settings, plateConcepts.some((c) => c === p.concept) ? stale(control, again) : again);
}

/** Without an entry that saves, every edit is kept at once. */
const kept = (settings: Settings, values: Values): Settings => {
  const savesItself = !settings.control.parameters.some((p) => p.concept === 'store.save');
  return { ...settings, values, saved: savesItself ? values : settings.saved };
};

function factory({ control, rating, values }: Settings, what: string | number | undefined): Values {
  const fresh = defaults(control, rating, region({ control, values }));
  const left = control.parameters.filter(
    (p) => p.concept === 'region' || (what === 'all-but-motor' && p.concept?.startsWith('motor.') === true),
  );
  return { ...fresh, ...Object.fromEntries(left.map((p) => [p.number, values[p.number] ?? 0])) };
}

/** A plate value that changes makes the identification stale. */
function stale(control: Control, values: Values): Values {
  const p = control.parameters.find((x) => x.concept === 'motor.ident-state');
  const choice = p?.choices?.find((c) => c.means === 'stale')?.value;
  return p === undefined || choice === undefined || meaningOf(control, values, 'motor.ident-state') !== 'done'
    ? values
    : { ...values, [p.number]: choice };
}

function unlocked(settings: Settings, p: Parameter, code: number): Settings {
  const level = settings.control.locks.find((l) => l.code === code)?.level ?? 0;
  return { ...settings, opened: level, values: { ...settings.values, [p.number]: code } };
}

/** After the power was away: what was not saved is gone, and locks are shut. */
export const powerCycled = (settings: Settings): Settings => ({
  ...settings,
  values: settings.saved,
  opened: 0,
});
