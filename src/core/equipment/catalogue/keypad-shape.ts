import * as z from 'zod';

const cap = z.string().trim().min(1).max(12);

/** One touch of a key; held: for about a second. */
const touch = z.strictObject({ cap, held: z.boolean().default(false) });

const moves = { next: touch, previous: touch, open: touch, leave: touch, jump: touch.optional() };

/**
 * What the keys of a keypad do, exactly: enough to say which to press, and to simulate it.
 * A keypad shows its state, a list of groups (or goes straight to the entries), the entries of a group, or the value of
 * one. Lists run in a ring and open at their first entry; a value opens as it is, the cursor at its last digit.
 */
export const operationSchema = z.strictObject({
  /** Keys in the order they sit, row by row. */
  caps: z.array(z.array(cap).min(1)).min(1),
  home: z.strictObject({ open: touch, jump: touch.optional() }),
  /** Null: one flat list. */
  groups: z.strictObject(moves).nullable(),
  /** Leave goes to the group it is in. */
  list: z.strictObject(moves),
  value: z.strictObject({
    up: touch,
    down: touch,
    /** A digit to the left; from the first on to the last. Absent: figures go step by step. */
    cursor: touch.optional(),
    keep: touch,
    /** Back to the entry; what was edited is lost. */
    leave: touch,
  }),
  /** An entry straight by its number, sign by sign, the cursor at the first; kept, it is the entry. */
  jump: z.strictObject({ up: touch, down: touch, cursor: touch, keep: touch, leave: touch }).optional(),
  /** Held, up and down step ten times a second; each part lasts some ticks, the last for ever. */
  hold: z
    .array(z.strictObject({ ticks: z.int().min(1).optional(), by: z.int().min(1) }))
    .min(1)
    .optional(),
  run: touch.optional(),
  stop: touch.optional(),
  /** What stands in the display; {number} {name} {value} {shown} {unit} {group} are filled in. */
  shows: z.strictObject({
    home: z.string(),
    group: z.string(),
    entry: z.string(),
    value: z.string(),
    locked: z.string(),
  }),
});

/** How a type's keypad is worked, as a formal machine. */
export type Operation = z.output<typeof operationSchema>;
/** Keys that are pressed together, or one that is held. */
export type KeyTouch = z.output<typeof touch>;
