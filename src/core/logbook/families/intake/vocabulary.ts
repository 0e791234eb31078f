/** Signs after which mains is not restored to read the display. */
export const dangerSigns = ['bang', 'smell', 'blown-fuse', 'smoke'] as const;
export type DangerSign = (typeof dangerSigns)[number];
