/** What a drive says of its state, in words for people; by the id it is stored under. */
export const driveStateWords: Readonly<Record<string, string>> = {
  ready: 'ready',
  'not-ready': 'not ready',
  running: 'running',
  tripped: 'tripped',
  'safe-stop': 'STO',
  precharge: 'charging',
  off: 'dark',
};
