/** Timed reading of names and of a plate, bundled and run in a process of its own (see bench.ts). */
import sharp from 'sharp';
import { plateFiles } from '@/cli/plate-file';
import { meaningsOf } from '@/core/reading/meaning';
import { namedCases } from '../checks/manuals/names';
import { timed } from './timing';

const names = Array.from({ length: 500 }, (_, i) => {
  const [name = ''] = namedCases[i % namedCases.length] ?? [];
  return { number: `P${i}`, name, unit: undefined, choices: undefined };
});
const meaning_ms = timed(5, () => void meaningsOf(names));

const lines = [
  'INDUCTION MOTOR  3 PH',
  'kW 7.5   V 400   A 15.2',
  'Hz 50   rpm 1455   IP 55',
  'SER. NO. K447190',
];
const picture = await sharp(
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="1000" height="420"><rect width="1000" height="420" fill="#ddd"/>${lines
      .map(
        (text, i) => `<text x="60" y="${90 + 85 * i}" font-size="40" font-family="sans-serif">${text}</text>`,
      )
      .join('')}</svg>`,
  ),
)
  .png()
  .toBuffer();
const begun = performance.now();
const plates = await plateFiles(process.cwd());
const start_ms = performance.now() - begun;
const times: number[] = [];
let fields = 0;
for (let i = 0; i < 3; i += 1) {
  const from = performance.now();
  fields = Object.keys((await plates.read(new Uint8Array(picture))).fields).length;
  times.push(performance.now() - from);
}
await plates.close();
const plate_ms = times.sort((a, b) => a - b)[1] ?? 0;
process.stdout.write(JSON.stringify({ meaning_ms, start_ms, plate_ms, fields }));
