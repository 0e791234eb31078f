import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import * as z from 'zod';
import { licencesPage, shippedIn } from './licences';

const lock = readFileSync('package-lock.json', 'utf8');

it('every package in the lock has its checksum, and none an address', () => {
  const { packages } = z
    .object({
      packages: z.record(
        z.string(),
        z.object({ integrity: z.string().optional(), resolved: z.string().optional() }),
      ),
    })
    .parse(JSON.parse(lock));
  const others = Object.entries(packages).filter(([path]) => path !== '');
  expect(others.filter(([, p]) => !/^sha512-/.test(p.integrity ?? '')).map(([path]) => path)).toEqual([]);
  expect(others.filter(([, p]) => p.resolved !== undefined).map(([path]) => path)).toEqual([]);
});

it('no package runs a script of its own when it is installed', () => {
  expect(readFileSync('.npmrc', 'utf8')).toMatch(/^ignore-scripts=true$/m);
});

it('what ships may be shipped, and its licences are listed', () => {
  const shipped = shippedIn(lock);
  // All of them allow use in a product; the LGPL ones are libraries that stand beside it, unchanged.
  const allowed =
    /^\(?(MIT|ISC|0BSD|Unlicense|BSD-[23]-Clause|Apache-2\.0|BlueOak-1\.0\.0|CC-BY-4\.0|CC0-1\.0|OFL-1\.1|LGPL-3\.0-or-later)\)?$/;
  const parts = (licence: string) => licence.split(/ (?:AND|OR) /);
  expect(shipped.filter((p) => !parts(p.licence).every((part) => allowed.test(part)))).toEqual([]);
  expect(readFileSync('docs/licences.md', 'utf8')).toBe(licencesPage(shipped));
});

it('the bill of materials names all of it', () => {
  const made = spawnSync('./grim', ['sbom'], { encoding: 'utf8', maxBuffer: 1 << 26 });
  const bom = z
    .object({
      bomFormat: z.literal('CycloneDX'),
      components: z.array(z.object({ name: z.string(), version: z.string(), purl: z.string() })),
    })
    .parse(JSON.parse(made.stdout));
  const named = new Set(bom.components.map((c) => `${c.name.replace(/^.*\//, '')}@${c.version}`));
  const missing = shippedIn(lock).filter((p) => !named.has(`${p.name.replace(/^.*\//, '')}@${p.version}`));
  expect(missing.map((p) => p.name)).toEqual([]);
});
