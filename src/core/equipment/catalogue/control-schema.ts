import { controlShape } from './control-shape';
import { strayNames } from './stray-names';

/** control.json: what settings, the run chain, the tracer and the link need to know of a type. */
export const controlSchema = controlShape.superRefine((control, context) => {
  for (const { path, message } of strayNames(control)) context.addIssue({ code: 'custom', path, message });
});
