/** One-tap reasons for a value that no rule gives. */
export const valueReasons = [
  'as found',
  'site rule',
  'process need',
  'maker’s sheet',
  'for the test only',
] as const;
/** Why a value stands in the place of the one a rule gives. */
export type ValueReason = (typeof valueReasons)[number];

/** Set to get going, and forgotten: it is an open issue until it is taken back. */
export const testOnly: ValueReason = 'for the test only';
