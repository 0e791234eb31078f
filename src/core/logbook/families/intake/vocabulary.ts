/** Signs after which mains is not restored to read the display. */
export const dangerSigns = ['bang', 'smell', 'blown-fuse', 'smoke'] as const;
/** A sign after which mains is not restored just to read the display. */
export type DangerSign = (typeof dangerSigns)[number];
