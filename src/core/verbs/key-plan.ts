import * as z from 'zod';
import { controlShape, operationSchema } from '../equipment/catalogue/schema';
import { valuesSchema } from '../equipment/drive-words/schema';
import { keyPlan, pressWords } from '../parameter-sets/keypad';
import { setOf, setSchema, skippedSchema } from './sets';
import { verb } from './verb';
import { always } from './vocabulary-schema';

const press = z.strictObject({ cap: z.string(), held: z.boolean(), ticks: z.number().optional() });

/** The lists of the keypad and what its keys do; the rest of `keypad` in control.json is for people. */
const keypad = z.strictObject({ menu: controlShape.shape.keypad.shape.menu, operation: operationSchema });

export const keyPlanVerb = verb({
  name: 'key-plan',
  summary:
    'The key sequence from the current to the target parameters with the least effort, and a lower bound of that effort.',
  input: z.strictObject({ ...always, now: setSchema, keypad, target: valuesSchema }),
  output: z.strictObject({
    id: z.json().optional(),
    steps: z.array(
      z.strictObject({
        number: z.string(),
        name: z.string(),
        from: z.number().nullable(),
        to: z.number(),
        shownTo: z.string(),
        does: z.enum(['unlock', 'set', 'save', 'lock']),
        walk: z.array(press),
        edit: z.array(press),
        keep: press,
        shows: z.strictObject({ entry: z.string(), before: z.string(), after: z.string() }),
        effort: z.number(),
        standstill: z.boolean(),
        mayStart: z.boolean(),
        why: z.string(),
        /** All of its presses in words. */
        keys: z.string(),
      }),
    ),
    leave: z.array(press),
    presses: z.number(),
    effort: z.number(),
    bound: z.number(),
    exact: z.boolean(),
    skipped: skippedSchema,
    stuck: z.array(z.string()),
  }),
  run: ({ now, keypad: { menu, operation }, target }) => {
    const given = setOf(now);
    const control = { ...given.control, keypad: { menu, operation, keys: [], displays: [], lamps: [] } };
    const plan = keyPlan({ ...given, control }, target);
    // The schema asks for the formal keypad, so there is a plan.
    if (plan === null) throw new Error('the keypad was read without its keys');
    return {
      ...plan,
      steps: plan.steps.map((s) => ({ ...s, keys: pressWords([...s.walk, ...s.edit, s.keep]) })),
    };
  },
});
