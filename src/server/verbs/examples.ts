import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { examplesIn, type VerbExample } from '../../core/verbs';

/** The worked example of each verb, as docs/contracts has it; none where they are not installed. */
export function verbExamples(): Readonly<Record<string, VerbExample>> {
  const folder = join(process.cwd(), 'docs', 'contracts');
  try {
    return examplesIn(
      readdirSync(folder).map((file) => [file, readFileSync(join(folder, file), 'utf8')] as const),
    );
  } catch {
    return {};
  }
}
