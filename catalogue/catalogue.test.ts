import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { stageOf, usualStrip } from '@/core/equipment/catalogue';
import {
  checkFile,
  controlSchema,
  driveTypeSchema,
  publishedSchemas,
} from '@/core/equipment/catalogue/schema';
import { defaultOf, limitsOf } from '@/core/equipment/drive-words';
import { stage, terminalsOf } from '@/core/equipment/power-stage';

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

const controlled = folders.map((f) => f.name).filter((name) => existsSync(join(home, name, 'control.json')));
const read = (name: string, file: string): unknown =>
  JSON.parse(readFileSync(join(home, name, file), 'utf8'));

it.each(controlled)('%s: its settings hold together', (name) => {
  const control = controlSchema.parse(read(name, 'control.json'));
  const { models, supply_V } = driveTypeSchema.parse(read(name, 'type.json'));
  expect(control.parameters.length).toBeGreaterThanOrEqual(60);
  expect(control.parameters.length).toBeLessThanOrEqual(150);
  const inMenu = JSON.stringify(control.keypad.menu);
  for (const p of control.parameters) {
    expect(inMenu).toContain(`"${p.number}"`);
    for (const { ratedAmps, power_kW } of models) {
      const rating = { ratedAmps, power_kW, supply_V };
      const { min, max } = limitsOf(p, rating);
      for (const region of ['50Hz', '60Hz'] as const) {
        const value = defaultOf(p, rating, region)!;
        expect([p.number, value >= min && value <= max]).toEqual([p.number, true]);
        expect(Math.round(value / p.scale)).toBeLessThan(0x10000);
      }
    }
  }
});

it.each<[string, (control: Record<string, unknown>) => void, string]>([
  [
    'a number twice',
    (c) =>
      void (c['parameters'] as { number: string }[]).splice(
        1,
        1,
        (c['parameters'] as { number: string }[])[0] as { number: string },
      ),
    'is duplicated',
  ],
  [
    'a choice that no concept knows',
    (c) =>
      void (c['parameters'] as { choices: { means: string }[] }[])[0]?.choices.forEach(
        (x) => (x.means = '70Hz'),
      ),
    'is not a choice of region',
  ],
  [
    'a menu with a stranger in it',
    (c) => void (c['keypad'] as { menu: { parameters: string[] }[] }).menu[0]?.parameters.push('99-99'),
    'no parameter 99-99',
  ],
  ['a board that nobody sells', (c) => void ((c['options'] as unknown[]).length = 0), 'no option enc'],
])('says what is wrong: %s', (_, spoil, words) => {
  const control = structuredClone(read('whimbrel-w4', 'control.json')) as Record<string, unknown>;
  spoil(control);
  const { error } = controlSchema.safeParse(control);
  expect(error?.issues.map((i) => i.message).join('; ')).toContain(words);
});

describe('a type that a workshop writes', () => {
  const text = (file: string) => readFileSync(join(home, 'whimbrel-w4', file), 'utf8');
  const problems = (checked: ReturnType<typeof checkFile>) => ('problems' in checked ? checked.problems : []);

  it('passes as docs/catalogue.md shows the smallest one', () => {
    const page = readFileSync(join(process.cwd(), 'docs/catalogue.md'), 'utf8');
    const [type = '', control = ''] = [...page.matchAll(/```json\n([\s\S]*?)```/g)].map((m) => m[1]);
    expect(problems(checkFile(type, driveTypeSchema))).toEqual([]);
    expect(problems(checkFile(control, controlSchema))).toEqual([]);
  });

  it('gets the line of a value that is out of its kind', () => {
    const lines = text('control.json').split('\n');
    const at = lines.findIndex((l) => l.includes('"number": "3-02"'));
    lines[at] = (lines[at] ?? '').replace('"min": 0.1', '"min": "short"');
    expect(problems(checkFile(lines.join('\n'), controlSchema))).toEqual([
      expect.objectContaining({
        line: at + 1,
        path: expect.stringMatching(/parameters\.\d+\.min/) as string,
      }),
    ]);
  });

  it('gets the line of a key too many, and of a name that is not there', () => {
    const changed = text('type.json').replace('"maker"', '"colour": "grey",\n  "maker"');
    expect(problems(checkFile(changed, driveTypeSchema))).toEqual([
      { line: 3, path: 'colour', message: 'unknown key' },
    ]);
    const lines = text('control.json').split('\n');
    const at = lines.findIndex((l) => l.includes('"name": "Serial"'));
    lines[at] = (lines[at] ?? '').replace('"9-01"', '"9-99"');
    expect(problems(checkFile(lines.join('\n'), controlSchema))).toEqual([
      expect.objectContaining({ line: at + 1, message: 'no parameter 9-99' }),
    ]);
  });

  it('gets what is missing', () => {
    const changed = text('type.json').replace(/ *"phases": 3,\n/, '');
    const [only, ...more] = problems(checkFile(changed, driveTypeSchema));
    expect(only?.message).toMatch(/^missing: /);
    expect(more).toEqual([]);
  });

  it('gets where it is no JSON at all', () => {
    expect(problems(checkFile('{\n  "id": "x",\n  maker: 1\n}', driveTypeSchema))[0]).toMatchObject({
      line: 3,
      message: expect.stringContaining('invalid JSON here') as string,
    });
    expect(problems(checkFile('', driveTypeSchema))).toHaveLength(1);
  });
});

it.each(['type', 'control'] as const)('the published schema of %s.json is the one in use', (which) => {
  expect(read('.', `${which}.schema.json`)).toEqual(JSON.parse(JSON.stringify(publishedSchemas()[which])));
});
