import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { VerbExample } from '../../core/verbs';

let loaded: Readonly<Record<string, VerbExample>> | null = null;

/** The worked example of each verb, as docs/contracts has it; none where they are not installed. */
export function verbExamples(): Readonly<Record<string, VerbExample>> {
  loaded ??= Object.fromEntries(
    pagesIn(join(process.cwd(), 'docs', 'contracts')).flatMap(([name, page]) => {
      const [input, output] = Array.from(
        page.matchAll(/```json\n([\s\S]*?)```/g),
        ([, text = '']) => JSON.parse(text) as unknown,
      );
      return input === undefined || output === undefined ? [] : [[name, { input, output }]];
    }),
  );
  return loaded;
}

function pagesIn(folder: string): [name: string, page: string][] {
  try {
    return readdirSync(folder)
      .filter((file) => file.endsWith('.md') && file !== 'README.md')
      .map((file) => [file.slice(0, -'.md'.length), readFileSync(join(folder, file), 'utf8')]);
  } catch {
    return [];
  }
}
