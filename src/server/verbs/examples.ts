import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { exampleIn, type VerbExample } from '../../core/verbs';

/** The worked example of each verb, as docs/contracts has it; none where they are not installed. */
export const verbExamples = (): Readonly<Record<string, VerbExample>> =>
  Object.fromEntries(
    pagesIn(join(process.cwd(), 'docs', 'contracts')).flatMap(([name, page]) => {
      const example = exampleIn(page);
      return example === null ? [] : [[name, example]];
    }),
  );

function pagesIn(folder: string): [name: string, page: string][] {
  try {
    return readdirSync(folder)
      .filter((file) => file.endsWith('.md') && file !== 'README.md')
      .map((file) => [file.slice(0, -'.md'.length), readFileSync(join(folder, file), 'utf8')]);
  } catch {
    return [];
  }
}
