import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { exampleIn, type VerbExample } from '..';

const home = join(process.cwd(), 'docs/contracts');

/** The worked example of each verb, by its name. */
export const examples: Readonly<Record<string, VerbExample>> = Object.fromEntries(
  readdirSync(home)
    .filter((file) => file.endsWith('.md') && file !== 'README.md')
    .flatMap((file) => {
      const example = exampleIn(readFileSync(join(home, file), 'utf8'));
      return example === null ? [] : [[file.slice(0, -'.md'.length), example]];
    }),
);
