import { readFileSync, writeFileSync } from 'node:fs';
import * as z from 'zod';
import { inRoot } from './paths';
import { say } from './terminal';

const lockSchema = z.object({
  packages: z.record(
    z.string(),
    z.object({ version: z.string().optional(), license: z.string().optional(), dev: z.boolean().optional() }),
  ),
});

/** What says its licence in a file only; read there. */
const saidElsewhere: Readonly<Record<string, string>> = { 'png-js': 'MIT' };

/** A package that ships with the app, by the lock file. */
export interface Shipped {
  name: string;
  version: string;
  licence: string;
}

/** What ships, from the text of a lock file; what only develops and tests is left out. */
export function shippedIn(lock: string): Shipped[] {
  const { packages } = lockSchema.parse(JSON.parse(lock));
  const all = Object.entries(packages)
    .filter(([path, { dev }]) => path !== '' && dev !== true)
    .map(([path, { version = '', license }]) => {
      const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
      return { name, version, licence: license ?? saidElsewhere[name] ?? 'unknown' };
    });
  const once = new Map(all.map((one) => [`${one.name}@${one.version}`, one]));
  return [...once.values()].sort((a, b) => (a.name < b.name ? -1 : 1));
}

/** The page of licences: each with the packages that stand under it. */
export function licencesPage(shipped: readonly Shipped[]): string {
  const byLicence = new Map<string, string[]>();
  for (const { name, version, licence } of shipped)
    byLicence.set(licence, [...(byLicence.get(licence) ?? []), `${name} ${version}`]);
  const parts = [...byLicence]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([licence, names]) => `## ${licence} (${names.length})\n\n${names.join(', ')}\n`);
  return `# Licences\n\nWhat ships with Grim Spanner, by the lock file. Made by \`./grim licences\`; \`./grim sbom\` gives it, and what only develops, as CycloneDX.\nThe programs of Debian (PostgreSQL, Chromium for the tests) are not in it.\n\n${parts.join('\n')}`;
}

/** `./grim licences`: writes the page anew. */
export async function writeLicences(): Promise<number> {
  const shipped = shippedIn(readFileSync(inRoot('package-lock.json'), 'utf8'));
  writeFileSync(inRoot('docs', 'licences.md'), licencesPage(shipped));
  say(`${shipped.length} packages in docs/licences.md`);
  return Promise.resolve(0);
}
