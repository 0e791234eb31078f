/** A job out of one installation and into another: whole, harmless twice, and refused where something is wrong. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { publishedArchiveSchema, type Archive } from '../../../core/job/archive/schema';
import { fold, type Person } from '../../../core/logbook';
import { greatestLimits } from '../../../core/bench/make-safe';
import { blob, keepPhoto } from '../../logbook/blobs';
import { db } from '../../database/connection';
import { appendEntries, entriesAfter } from '../../logbook/jobs';
import { loadDemo } from '../../database/maintenance';
import { people, personById } from '../../people/people';
import { archiveOfJob, takeIn } from '.';
import { ownDatabase } from '../../database/__tests__/own-database';

ownDatabase();

const pump = '0190a200-0000-7000-8000-000000000002';
let odo: Person;
let zip: Uint8Array;
let photo: string;

/** The same archive as another installation would have made it: other ids, other people. */
function foreign(
  change: (archive: Archive) => void = () => undefined,
  files: Record<string, Uint8Array | null> = {},
) {
  const inside = unzipSync(zip);
  const text = strFromU8(inside['job.json'] ?? new Uint8Array());
  const ids = new Map<string, string>();
  const renamed = text.replace(
    /"(id|jobId|corrects|assetId)": ?"([0-9a-f-]{36})"/g,
    (_, key: string, id: string) => {
      const next = ids.get(id) ?? v7();
      ids.set(id, next);
      return `"${key}": "${next}"`;
    },
  );
  const archive = JSON.parse(renamed) as Archive;
  change(archive);
  const out: Record<string, Uint8Array> = { ...inside, 'job.json': strToU8(JSON.stringify(archive)) };
  for (const [name, bytes] of Object.entries(files)) {
    if (bytes === null) delete out[name];
    else out[name] = bytes;
  }
  return { bytes: zipSync(out), archive };
}
const stateOf = async (jobId: string) =>
  fold((await entriesAfter(jobId, 0)) ?? [], { limits: greatestLimits });

beforeAll(async () => {
  await loadDemo();
  const found = await personById('0190a000-0000-7000-8000-000000000002');
  if (found === null) throw new Error('nobody there');
  odo = found;
  photo = await keepPhoto(
    await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a42' } })
      .png()
      .toBuffer(),
  );
  await appendEntries(
    pump,
    [
      {
        v: 1,
        id: v7(),
        jobId: pump,
        at: new Date().toISOString(),
        kind: 'note.added',
        payload: { stage: 'bench', text: 'plate', photos: [photo] },
      },
    ],
    odo,
  );
  const made = await archiveOfJob(pump);
  if (made === null) throw new Error('no archive');
  zip = made;
});

it('has the logbook, its schema, tables, the photograph and the report', () => {
  const names = Object.keys(unzipSync(zip)).sort();
  expect(names).toEqual(
    [
      'README.txt',
      `files/${photo}`,
      'job.json',
      'readings.csv',
      'report.pdf',
      'schema.json',
      'settings.csv',
      'wires.csv',
    ].sort(),
  );
  const inside = unzipSync(zip);
  expect(JSON.parse(strFromU8(inside['schema.json'] ?? new Uint8Array()))).toEqual(publishedArchiveSchema());
  expect(strFromU8(inside['readings.csv'] ?? new Uint8Array()).split('\r\n')[0]).toBe(
    '1 Red,2 Black,3 Value,4 Expected,5 State',
  );
});

it('the schema is published as it is', () => {
  expect(JSON.parse(readFileSync('docs/archive.schema.json', 'utf8'))).toEqual(publishedArchiveSchema());
});

it('is taken in as it was: the same state, the same times, the same photograph, names that cannot sign in', async () => {
  const { bytes, archive } = foreign();
  const first = archive.entries[0];
  await db().models.Blob.destroy({ where: { sha256: photo } });
  const before = await stateOf(pump);
  const taken = await takeIn(bytes);
  expect(taken).toMatchObject({
    jobId: archive.job.id,
    machine: 'Brine circulation pump',
    fresh: archive.entries.length,
  });
  const after = await stateOf(archive.job.id);
  expect(after.readings.map((r) => [r.red, r.black, r.value, r.at])).toEqual(
    before.readings.map((r) => [r.red, r.black, r.value, r.at]),
  );
  expect(after.log.map((l) => [l.entry.kind, l.entry.receivedAt, l.entry.by.name, l.void])).toEqual(
    before.log.map((l) => [l.entry.kind, l.entry.receivedAt, l.entry.by.name, l.void]),
  );
  expect(await blob(photo)).not.toBeNull();
  expect((await people()).map((p) => p.id)).not.toContain(first?.by.id);
  // Twice is harmless.
  expect(await takeIn(bytes)).toMatchObject({ fresh: 0 });
});

it('broken off half way, the same archive goes on', async () => {
  const { archive } = foreign();
  const part = { ...archive, entries: archive.entries.slice(0, 3) };
  const half = zipSync({ ...unzipSync(zip), 'job.json': strToU8(JSON.stringify(part)) });
  expect((await takeIn(half)).fresh).toBe(3);
  const whole = zipSync({ ...unzipSync(zip), 'job.json': strToU8(JSON.stringify(archive)) });
  expect((await takeIn(whole)).fresh).toBe(archive.entries.length - 3);
});

it('a job that went on here is not overwritten', async () => {
  const { bytes, archive } = foreign();
  await takeIn(bytes);
  const entry = {
    v: 1,
    id: v7(),
    jobId: archive.job.id,
    at: new Date().toISOString(),
    kind: 'question.opened' as const,
    payload: { text: 'more' },
  };
  await appendEntries(archive.job.id, [entry], odo);
  await expect(takeIn(bytes)).rejects.toThrow(/went on since/);
});

it.each<[string, () => Uint8Array, RegExp]>([
  ['no zip', () => strToU8('hello'), /no archive that can be opened/],
  ['a zip of something else', () => zipSync({ 'a.txt': strToU8('a') }), /no job.json/],
  ['a job.json that is cut off', () => zipSync({ 'job.json': strToU8('{"format":') }), /broken/],
  [
    'a payload of another shape',
    () => foreign((a) => void (a.entries[0]!.payload = { machine: 1 })).bytes,
    /not as its schema says/,
  ],
  [
    'entries of two jobs',
    () => foreign((a) => void (a.entries[1]!.jobId = v7())).bytes,
    /not those of one job/,
  ],
  ['a photograph that is missing', () => foreign(undefined, { [`files/${photo}`]: null }).bytes, /missing/],
  [
    'a photograph that was changed',
    () => foreign(undefined, { [`files/${photo}`]: strToU8('x') }).bytes,
    /not what it says/,
  ],
])('%s is refused, and nothing is kept', async (_, bytes, why) => {
  const before = await db().models.Job.count();
  await expect(takeIn(bytes())).rejects.toThrow(why);
  expect(await db().models.Job.count()).toBe(before);
});
