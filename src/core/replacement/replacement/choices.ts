/** Ways out of a failed unit. */
export const choiceIds = ['repair', 'exchange', 'newer', 'settings'] as const;
/** A way to get the machine back. */
export type ChoiceId = (typeof choiceIds)[number];

/** The choices in words. */
export const choiceNames: Readonly<Record<ChoiceId, string>> = {
  repair: 'Repair it',
  exchange: 'Replace with the same type',
  newer: 'Replace with a newer type',
  settings: 'Change parameters only',
};
