import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { examplesIn } from '..';

const home = join(process.cwd(), 'docs/contracts');

/** The worked example of each verb, by its name. */
export const examples = examplesIn(
  readdirSync(home).map((file) => [file, readFileSync(join(home, file), 'utf8')] as const),
);
