/** A line of a document's head: what it is, and its value. */
export const line = (label: string, value: string): [label: string, value: string] => [label, value];
