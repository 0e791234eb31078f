/** "1 figure", "3 figures". */
export const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
