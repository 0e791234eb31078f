/** Sources of energy that are listed on every job (common practice, no source). */
export const sourceKinds = [
  'mains',
  'bypass',
  'common-dc-bus',
  'foreign-24v',
  'ups',
  'brake-supply',
  'motor-heater',
  'mains-on-relays',
  'driven-motor',
  'load',
] as const;
/** A kind of energy source that a drive may still have. */
export type SourceKind = (typeof sourceKinds)[number];

/** Names of the energy sources, and what isolates each. */
export const sourceWords: Readonly<Record<SourceKind, { name: string; hint: string }>> = {
  mains: { name: 'Mains supply', hint: 'isolator of the drive, locked and tagged' },
  bypass: { name: 'Bypass', hint: 'feeds the motor side while the drive is off' },
  'common-dc-bus': {
    name: 'Common DC bus',
    hint: 'other drives may feed this bank: isolate and discharge them too',
  },
  'foreign-24v': { name: 'Foreign 24 V', hint: 'control supply from another panel' },
  ups: { name: 'UPS', hint: 'keeps control circuits live' },
  'brake-supply': { name: 'Brake supply', hint: 'rectifier of the holding brake' },
  'motor-heater': { name: 'Motor heater', hint: 'live in the terminal box of the stopped motor' },
  'mains-on-relays': {
    name: 'Mains on relay contacts',
    hint: 'line-voltage signals on the control terminals',
  },
  'driven-motor': {
    name: 'Motor turned by its load',
    hint: 'a turning motor generates voltage, permanent-magnet motors always: lock the shaft before touching U V W',
  },
  load: { name: 'Load, springs, pressure', hint: 'lowered or blocked; brake or pawl holding' },
};

/** A source is safe when it is not there or was isolated; "not sure" is an answer, but not a safe one. */
export const sourceStates = ['absent', 'isolated', 'not-sure', 'live'] as const;
/** Whether a source is isolated, absent or still live. */
export type SourceState = (typeof sourceStates)[number];

/** A source of energy with its state, and how it was isolated. */
export interface EnergySource {
  kind: SourceKind;
  state: SourceState;
  how?: string | undefined;
}

/** Sources that still stand in the way; a kind not answered at all does too. */
export const unsafeSources = (sources: readonly EnergySource[]): SourceKind[] =>
  sourceKinds.filter((kind) => {
    const state = sources.find((s) => s.kind === kind)?.state;
    return state !== 'absent' && state !== 'isolated';
  });
