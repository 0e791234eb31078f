/** The words of the trade on every screen, paper and message; see CONTRIBUTING, "Words". */
import { readFileSync } from 'node:fs';
import { banned } from './banned';
import { visibleTexts } from './visible-text';

const texts = visibleTexts([
  'src/ui',
  'src/app',
  'src/core',
  'src/readers',
  'src/server',
  'src/api',
  'launcher',
]);
/** Words that are data: stored ids, what people search for, what manuals of other makes write, and the names of columns. */
const data = [
  'src/core/logbook/lift.ts',
  'src/core/parameter-sets/parameters/find.ts',
  'src/core/reading/manual/heads.ts',
  ...['synonyms', 'concept-phrases', 'choice-phrases', 'family-phrases', 'other-phrases'].map(
    (name) => `src/core/reading/meaning/${name}.ts`,
  ),
];
const isData = (file: string): boolean => data.includes(file) || file.includes('/migrations/');
const guides = ['README.md', 'docs/operations.md', 'docs/catalogue.md'];

it('finds what people read', () => {
  expect(texts.length).toBeGreaterThan(3000);
  expect(texts.map((t) => t.text)).toEqual(
    expect.arrayContaining(['Save wire', 'Stop: the capacitor bank is charged.']),
  );
});

it.each(banned.map((b) => [String(b.pattern), b] as const))(
  'nobody reads %s',
  (_, { pattern, write, why }) => {
    const found = texts
      .filter(({ file, text }) => !isData(file) && pattern.test(text.replace(/\$\{[^}]*\}/g, '…')))
      .map(({ file, line, text }) => `${file}:${line} “${text.trim()}”: write ${write} (${why})`);
    const inGuides = guides.flatMap((file) =>
      readFileSync(file, 'utf8')
        // Code is code: keys and commands are called as they are.
        .replace(/```[\s\S]*?```/g, (code) => code.replace(/[^\n]/g, ''))
        .replace(/`[^`\n]*`/g, '')
        .split('\n')
        .flatMap((text, i) =>
          pattern.test(text) ? [`${file}:${i + 1} “${text}”: write ${write} (${why})`] : [],
        ),
    );
    expect([...found, ...inGuides]).toEqual([]);
  },
);
