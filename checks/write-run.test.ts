/** A run of writes against the simulated drive: the cable out after every single write in turn, and drives that misbehave. */
import { readFileSync } from 'node:fs';
import { jest } from '@jest/globals';
import { controlSchema } from '@/core/equipment/catalogue/schema';
import type { Values } from '@/core/equipment/drive-words';
import { planWrites, type UnitSet } from '@/core/parameter-sets/parameters';
import {
  isLineSettled,
  writeLineOf,
  plannedBy,
  runReport,
  type WriteLine,
} from '@/core/parameter-sets/write-run';
import { openBus, type Bus } from '@/server/drive-link/process/bus';
import { readAll, type DriveClient } from '@/server/drive-link/drive-client';
import { goOn, mayBegin, type Journal } from '@/server/parameter-sets/write-run';
import { simulateDrive, type DriveStandIn } from '../stand-ins/drive/drive';
import { changedSet, runSources } from '@/core/parameter-sets/parameters/__tests__/changed-set';
import { orderTo } from './rig';
import { seeded } from './random';

const control = controlSchema.parse(JSON.parse(readFileSync('catalogue/whimbrel-w4/control.json', 'utf8')));
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };
jest.setTimeout(60_000);
const never = () => false;

let drive: DriveStandIn;
let bus: Bus;
let talk: DriveClient;
const order = (body: unknown): Promise<void> => orderTo(drive, body);
const fresh = () => order({ drive: { type: 'whimbrel-w4', model: 'W4-15' }, wait_s: 2 });
const plugIn = () => order({ plant: { bus: { cableOut: false, cutAtWrite: null } } });

beforeAll(async () => {
  drive = await simulateDrive();
  // Longer than a busy machine stands still; a cable that is out costs one such wait.
  bus = openBus(
    { host: '127.0.0.1', port: drive.busPort, unit: 1 },
    { timeout_ms: 400, retries: 0, readOut_ms: 30_000 },
  );
  talk = { target: 'the rig', ...bus };
});
afterAll(async () => {
  await bus.close();
  await drive.stop();
});

const journalIn = (lines: WriteLine[]): Journal => ({
  lines: () => Promise.resolve(structuredClone(lines)),
  keep: (place, line) => {
    lines[place] = line;
    return Promise.resolve();
  },
});

const setOf = (values: Values): UnitSet => ({ typeId: 'whimbrel-w4', control, rating, values });
const linesFor = (from: Values, to: Values): WriteLine[] =>
  planWrites(setOf(from), to).steps.map(writeLineOf);

/** A fresh drive, what is in it, and a run to the sixty. */
async function begun() {
  await fresh();
  const { values: found } = await readAll(talk, control);
  const lines = linesFor(found, changedSet(setOf(found), found, 60, seeded(60), runSources));
  return { found, lines, journal: journalIn(lines) };
}

const length = 62;

it('sixty entries and what is kept at the end are written, read back, and are as planned', async () => {
  const { found, lines, journal } = await begun();
  expect(lines.length).toBeGreaterThan(55);
  await mayBegin(talk, control, 'W415-0001');
  expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
  expect(lines.every(isLineSettled)).toBe(true);
  const left = (await readAll(talk, control)).values;
  expect(runReport(setOf(found), lines, left)).toEqual({ ending: 'as planned', leftOver: [] });
  expect(left).toEqual({ ...plannedBy(setOf(found), lines).values });
});

// By itself every place once, the write arriving or not, gone on with or put back in turn; long, all four at every place.
const long = process.env['GRIM_LONG'] === '1';
const ways = [0, 1, 2, 3].map((way) => ({ arrives: way % 2 === 0, goesOn: way < 2, way }));

describe.each(ways)(
  'the cable comes out, the write arrives: $arrives, gone on with: $goesOn',
  ({ arrives, goesOn, way }) => {
    it('at every single write in turn: the end is as planned, or as found', async () => {
      for (let writes = 1; writes <= length; writes += 1) {
        if (!long && writes % 4 !== way) continue;
        const { found, lines, journal } = await begun();
        await order({ plant: { bus: { cutAtWrite: { writes, arrives } } } });
        const stopped = await goOn(talk, control, journal, never);
        await plugIn();
        if (stopped.is === 'done') {
          // The last writes only take the code out again.
          expect(writes).toBeGreaterThan(lines.length);
          continue;
        }
        expect(stopped.is).toBe('held');
        const between = (await readAll(talk, control)).values;
        const said = runReport(setOf(found), lines, between);
        if (JSON.stringify(between) === JSON.stringify(found)) expect(said.ending).toBe('as found');
        else expect(said.ending).toBe('in between');

        if (goesOn) {
          await mayBegin(talk, control, 'W415-0001');
          expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
          const left = (await readAll(talk, control)).values;
          expect(runReport(setOf(found), lines, left)).toEqual({ ending: 'as planned', leftOver: [] });
          expect(left).toEqual(plannedBy(setOf(found), lines).values);
        } else {
          const back = linesFor(between, found);
          expect(await goOn(talk, control, journalIn(back), never)).toEqual({ is: 'done' });
          const left = (await readAll(talk, control)).values;
          expect(runReport(setOf(found), lines, left).ending).toBe('as found');
          expect(left).toEqual(found);
        }
      }
    }, 240_000);
  },
);

it('twice in one run, and once while the code is being entered: nothing is written twice that was taken', async () => {
  const { found, lines, journal } = await begun();
  for (const writes of [1, 20, 17]) {
    await order({ plant: { bus: { cutAtWrite: { writes, arrives: writes % 2 === 0 } } } });
    const before = lines.filter((l) => l.state === 'taken').length;
    expect((await goOn(talk, control, journal, never)).is).toBe('held');
    expect(lines.filter((l) => l.state === 'taken').length).toBeGreaterThanOrEqual(before);
    await plugIn();
  }
  expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
  expect(runReport(setOf(found), lines, (await readAll(talk, control)).values).ending).toBe('as planned');
});

it('paused between two values, it goes on with the next', async () => {
  const { lines, journal } = await begun();
  let asked = 0;
  expect(await goOn(talk, control, journal, () => (asked += 1) > 10)).toEqual({ is: 'paused' });
  expect(lines.filter((l) => l.state === 'taken')).toHaveLength(10);
  expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
});

it('another unit, a closed enable, run given: nothing begins, and a run that goes on is held', async () => {
  const { lines, journal } = await begun();
  await expect(mayBegin(talk, control, 'W415-0077')).rejects.toThrow(
    'Another unit answers: serial number W415-0001',
  );
  await order({ plant: { contacts: { DI1: true } }, wait_s: 1 });
  await expect(mayBegin(talk, control, 'W415-0001')).rejects.toThrow('Remove the run command');
  expect(await goOn(talk, control, journal, never)).toMatchObject({
    is: 'held',
    why: expect.stringContaining('run') as string,
  });
  expect(lines.every((l) => l.state === 'waiting')).toBe(true);
  await order({ plant: { contacts: { DI1: false } }, set: { 'input.DI5': 'enable' }, wait_s: 1 });
  await order({ plant: { contacts: { DI5: true } }, wait_s: 1 });
  await expect(mayBegin(talk, control, 'W415-0001')).rejects.toThrow('Enable closed');
});

it('a value the drive refuses holds the run until it is left out, and the report says so', async () => {
  const { found, lines, journal } = await begun();
  const place = 5;
  lines[place] = { ...(lines[place] as WriteLine), to: 65_000, shownTo: 'too much' };
  expect(await goOn(talk, control, journal, never)).toMatchObject({
    is: 'held',
    why: expect.stringContaining('out of range') as string,
  });
  expect(lines[place]?.state).toBe('refused');
  lines[place] = { ...lines[place], state: 'left-out' };
  expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
  const { ending, leftOver } = runReport(setOf(found), lines, (await readAll(talk, control)).values);
  expect(ending).toBe('as planned');
  expect(leftOver).toMatchObject([
    { number: lines[place]?.number, why: expect.stringContaining('out of range') as string },
  ]);
});

it('a drive that makes another value of it holds the run', async () => {
  const { lines, journal } = await begun();
  const clamping: DriveClient = {
    ...talk,
    write: async (register, word) => {
      const p = control.parameters.find((x) => x.register === register);
      return talk.write(
        register,
        p?.number === lines[3]?.number ? (p?.choices?.[0]?.value ?? word - 1) : word,
      );
    },
  };
  const figure = lines.findIndex(
    (l) => control.parameters.find((p) => p.number === l.number)?.choices === undefined && l.to !== 0,
  );
  [lines[3], lines[figure]] = [lines[figure] as WriteLine, lines[3] as WriteLine];
  expect(await goOn(clamping, control, journal, never)).toMatchObject({
    is: 'held',
    why: expect.stringMatching(/drive changed .+ to /) as string,
  });
  expect(lines[3]?.state).toBe('otherwise');
});

it('what was not saved to memory is gone with the power, and the comparison says it entry by entry', async () => {
  const { found, lines, journal } = await begun();
  const without = lines.filter((l) => l.group !== 'memory');
  expect(await goOn(talk, control, journalIn(without), never)).toEqual({ is: 'done' });
  const cycle = async () => {
    await order({ plant: { mains: { on: false } }, wait_s: 300 });
    await order({ plant: { mains: { on: true } }, wait_s: 3 });
  };
  await cycle();
  const lost = runReport(setOf(found), without, (await readAll(talk, control)).values);
  expect(lost.ending).toBe('as found');
  expect(lost.leftOver).toHaveLength(without.length);
  expect(await goOn(talk, control, journal, never)).toEqual({ is: 'done' });
  await cycle();
  const kept = runReport(setOf(found), lines, (await readAll(talk, control)).values);
  expect(kept).toEqual({ ending: 'as planned', leftOver: [] });
});
