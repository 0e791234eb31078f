/** Signs after which mains is not restored to read the display. */
export const dangerSigns = ['bang', 'smell', 'blown-fuse', 'smoke'] as const;

export const lookItems = ['capacitors', 'soot', 'moisture', 'fan', 'lugs', 'smell', 'fuses'] as const;
export type LookItem = (typeof lookItems)[number];
export type DangerSign = (typeof dangerSigns)[number];

/** What a 24 V loop watches over. */
export const loopGuards = [
  'process',
  'level-or-pressure',
  'thermal-relay',
  'remote-enable',
  'other',
  'safe-stop',
  'emergency-stop',
  'guard',
  'over-travel',
] as const;
export type LoopGuard = (typeof loopGuards)[number];

/** These are never jumpered, and never set to no function, with a motor connected. */
export const neverJumpered: readonly LoopGuard[] = ['safe-stop', 'emergency-stop', 'guard', 'over-travel'];

/** One-tap reasons for a value that no rule gives. */
export const valueReasons = [
  'as found',
  'site rule',
  'process need',
  'maker’s sheet',
  'for the test only',
] as const;
export type ValueReason = (typeof valueReasons)[number];

/** Set to get going, and forgotten: it stands open until it is taken back. */
export const testOnly: ValueReason = 'for the test only';
