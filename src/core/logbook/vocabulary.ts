/** Signs after which mains is not restored to read the display. */
export const dangerSigns = ['bang', 'smell', 'blown-fuse', 'smoke'] as const;

export const lookItems = ['capacitors', 'soot', 'moisture', 'fan', 'lugs', 'smell', 'fuses'] as const;
export type LookItem = (typeof lookItems)[number];
export type DangerSign = (typeof dangerSigns)[number];
