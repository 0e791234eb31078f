/** A job out of one installation and into another: whole, harmless twice, and refused where something is wrong. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { publishedArchiveSchema, type Archive } from '../../../core/job/archive/schema';
import { chainHash, startHash } from '../../../core/job/chain';
import type { Entry, Person } from '../../../core/logbook';
import { blob, keepPhoto } from '../../logbook/blobs';
import { db } from '../../database/connection';
import { appendEntries } from '../../logbook/append';
import { checkChains } from '../../logbook/chain-check';
import { sha256 } from '../../logbook/digest';
import { jobOrRefusal } from '../../logbook/folded';
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
  archive.installation = v7();
  // Another installation has a whole chain of its own; what is changed afterwards was changed by somebody.
  let previous = startHash;
  for (const entry of archive.entries) {
    entry.hash = chainHash(previous, entry as unknown as Entry, sha256);
    previous = entry.hash;
  }
  change(archive);
  const out: Record<string, Uint8Array> = { ...inside, 'job.json': strToU8(JSON.stringify(archive)) };
  for (const [name, bytes] of Object.entries(files)) {
    if (bytes === null) delete out[name];
    else out[name] = bytes;
  }
  return { bytes: zipSync(out), archive };
}
const stateOf = async (jobId: string) => (await jobOrRefusal(jobId)).state;

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
  const taken = await takeIn(bytes, '');
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
  // Written anew under an address of its own, and found by the one that the log knows.
  const kept = await blob(photo);
  expect(kept?.sha256).toBe(
    createHash('sha256')
      .update(kept?.bytes ?? '')
      .digest('hex'),
  );
  expect((await people()).map((p) => p.id)).not.toContain(first?.by.id);
  // Twice is harmless.
  expect(await takeIn(bytes, '')).toMatchObject({ fresh: 0 });
});

it('is marked as imported; its people and its machine are never those of this shop, whatever their ids', async () => {
  const { bytes, archive } = foreign();
  await takeIn(bytes, '');
  const { imported, assetId, state } = await jobOrRefusal(archive.job.id);
  expect(imported).toMatchObject({ from: archive.installation, seq: archive.entries.length });
  expect(assetId).not.toBe((archive.entries[0]?.payload as { assetId: string }).assetId);
  const theirs = new Set(archive.entries.map((e) => e.by.id));
  expect(state.log.filter((l) => theirs.has(l.entry.by.id))).toEqual([]);
  // Odo is here, too: what the other Odo entered is not his to correct.
  expect(state.log.map((l) => l.entry.by.name)).toContain(odo.name);
  expect(await checkChains()).toMatchObject({ broken: [] });
});

it('goes on elsewhere and comes out again as it was recorded, chain and all', async () => {
  const { bytes, archive } = foreign();
  await takeIn(bytes, '');
  const again = JSON.parse(
    strFromU8(
      unzipSync((await archiveOfJob(archive.job.id)) ?? new Uint8Array())['job.json'] ?? new Uint8Array(),
    ),
  ) as Archive;
  expect(again.entries).toEqual(archive.entries);
});

it('a job that is known here is not taken in, and the one that is here stays', async () => {
  const before = await stateOf(pump);
  await expect(takeIn(zip, '')).rejects.toThrow(/already exists/);
  expect(await stateOf(pump)).toEqual(before);
  const { bytes, archive } = foreign();
  await takeIn(bytes, '');
  const entry = {
    v: 1,
    id: v7(),
    jobId: archive.job.id,
    at: new Date().toISOString(),
    kind: 'question.opened' as const,
    payload: { text: 'more' },
  };
  await appendEntries(archive.job.id, [entry], odo);
  await expect(takeIn(bytes, '')).rejects.toThrow(/already exists/);
});

it.each<[string, () => Uint8Array, RegExp]>([
  ['no zip', () => strToU8('hello'), /cannot be opened/],
  ['a zip of something else', () => zipSync({ 'a.txt': strToU8('a') }), /No job.json/],
  ['a job.json that is cut off', () => zipSync({ 'job.json': strToU8('{"format":') }), /damaged/],
  [
    'a payload of another shape',
    () => foreign((a) => void (a.entries[0]!.payload = { machine: 1 })).bytes,
    /does not match its schema/,
  ],
  [
    'an entry that somebody changed',
    () => foreign((a) => void (a.entries[2]!.at = '2026-01-01T00:00:00.000Z')).bytes,
    /changed: entry 3/,
  ],
  ['entries with a gap', () => foreign((a) => void a.entries.splice(3, 1)).bytes, /not one job/],
  ['entries of two jobs', () => foreign((a) => void (a.entries[1]!.jobId = v7())).bytes, /not one job/],
  ['a photograph that is missing', () => foreign(undefined, { [`files/${photo}`]: null }).bytes, /missing/],
  [
    'a photograph that was changed',
    () => foreign(undefined, { [`files/${photo}`]: strToU8('x') }).bytes,
    /does not match its hash/,
  ],
  [
    'thousands of files',
    () => zipSync(Object.fromEntries(Array.from({ length: 2500 }, (_, i) => [`${i}.txt`, strToU8('a')]))),
    /more than 2100 files/,
  ],
  ['a file made to burst', () => zipSync({ 'job.json': new Uint8Array(50e6) }), /unsupported compression/],
  ['a job.json nested too deep', () => zipSync({ 'job.json': strToU8('['.repeat(1e5)) }), /damaged/],
])('%s is refused, and nothing is kept', async (_, bytes, why) => {
  const before = await db().models.Job.count();
  await expect(takeIn(bytes(), '')).rejects.toThrow(why);
  expect(await db().models.Job.count()).toBe(before);
});
