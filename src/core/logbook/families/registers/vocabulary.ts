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
/** What a 24 V loop watches over. */
export type LoopGuard = (typeof loopGuards)[number];

/** These are never jumpered and never set to no function, motor connected or not. A bridge that is found there stands in the register until it is out. */
export const neverJumpered: readonly LoopGuard[] = ['safe-stop', 'emergency-stop', 'guard', 'over-travel'];
