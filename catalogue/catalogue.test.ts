import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { stageOf, usualStrip } from '@/core/catalogue';
import { driveTypeSchema } from '@/core/catalogue/schema';
import { stage, terminalsOf } from '@/core/power-stage';

const home = join(process.cwd(), 'catalogue');
const folders = readdirSync(home, { withFileTypes: true }).filter((f) => f.isDirectory());

it.each(folders.map((f) => f.name))('%s says what a type must say', (name) => {
  const type = driveTypeSchema.parse(JSON.parse(readFileSync(join(home, name, 'type.json'), 'utf8')));
  expect(type.id).toBe(name);
  for (const model of type.models) {
    const screws = type.strip.map((s) => s.terminal);
    expect(screws).toEqual(expect.arrayContaining(terminalsOf(stageOf(type, model))));
    expect(new Set(screws).size).toBe(screws.length);
  }
});

it('has a strip for a drive that no catalogue knows', () => {
  for (const s of [
    stage({ brake: true }),
    stage({ frontEnd: 'diode-1ph' }),
    stage({ link: 'link', dcrAccessible: true }),
  ])
    expect(usualStrip(s).map((screw) => screw.terminal)).toEqual(expect.arrayContaining(terminalsOf(s)));
});
