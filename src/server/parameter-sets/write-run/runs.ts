// Runs of writes in the link process: begun, paused, gone on with, ended, verified. One writer a drive.
import { v7 } from 'uuid';
import type { Control } from '../../../core/equipment/catalogue';
import {
  makeNewEntry,
  newestVersion,
  type EntryKind,
  type NewEntry,
  type Payload,
  type Person,
} from '../../../core/logbook';
import type { UnitSet } from '../../../core/parameter-sets/parameters';
import { runReport, type RunReport } from '../../../core/parameter-sets/write-run';
import { HttpError } from '../../http/guard';
import { controlOf } from '../../equipment/catalogue';
import { readAll, type DriveClient } from '../../drive-link/drive-client';
import { appendAll } from '../../logbook/append';
import { personById } from '../../people/people';
import {
  beat,
  beat_ms,
  journalOf,
  writeLinesOf,
  runById,
  setRun,
  takeRun,
  type JournalledRun,
} from './journal';
import { goOn, mayBegin } from './runner';

export interface Runs {
  /**
   * Goes on with a run that was made or is held; comes back as soon as the drive was looked at.
   * @param leaveOut the value that stands in the way is left out, by a person
   */
  goOn: (id: string, byId: string, leaveOut: boolean) => Promise<void>;
  pause: (id: string) => void;
  /** Ends a held run as it is: everything is read and compared. */
  giveUp: (id: string, byId: string) => Promise<void>;
  verify: (id: string, byId: string, afterPower: boolean) => Promise<void>;
}

const entry = <K extends EntryKind>(jobId: string, kind: K, payload: Payload<K>): NewEntry =>
  makeNewEntry({ v: newestVersion, id: v7(), jobId, at: new Date().toISOString() }, kind, payload);

async function personOf(id: string): Promise<Person> {
  const person = await personById(id);
  if (person === null) throw new HttpError(409, 'Choose your name in the header again.');
  return person;
}

async function controlFor({ typeId }: JournalledRun): Promise<Control> {
  const control = await controlOf(typeId);
  if (control === null)
    throw new HttpError(422, 'This type cannot be written over the link: not in the catalogue.');
  return control;
}

/** Leaves out the value that stands in the way. @returns its number; null where none does */
async function leftOutOf(id: string): Promise<string | null> {
  const lines = await writeLinesOf(id);
  const place = lines.findIndex((l) => l.state === 'refused' || l.state === 'otherwise');
  const line = lines[place];
  if (line === undefined) return null;
  await journalOf(id).keep(place, { ...line, state: 'left-out' });
  return line.number;
}

/** @param talkWith opens the drive of a target */
export function runsWith(talkWith: (target: string) => Promise<DriveClient>): Runs {
  const active = new Map<string, { paused: boolean }>();

  /** Everything in the drive against what the run was to bring about, and the entries that say so. */
  async function compared(run: JournalledRun): Promise<{ report: RunReport; read: NewEntry }> {
    const control = await controlFor(run);
    const all = await readAll(await talkWith(run.target), control);
    const { typeId, rating, found, target, jobId } = run;
    const set: UnitSet = { typeId, control, rating, values: found };
    return {
      report: runReport(set, await writeLinesOf(run.id), all.values),
      read: entry(jobId, 'drive.read', { target, typeId, ...all }),
    };
  }

  async function end(run: JournalledRun, by: Person): Promise<void> {
    const { report, read } = await compared(run);
    const taken = (await writeLinesOf(run.id)).filter((l) => l.state === 'taken').length;
    const ended = entry(run.jobId, 'set.write-ended', { run: run.id, ...report, taken });
    await appendAll(run.jobId, [ended, read], by, {
      also: (transaction) => setRun(run.id, 'ended', null, transaction),
    });
  }

  async function hold(run: JournalledRun, by: Person, why: string): Promise<void> {
    const held = entry(run.jobId, 'set.write-held', { run: run.id, why: why.slice(0, 1000) });
    await appendAll(run.jobId, [held], by, {
      also: (transaction) => setRun(run.id, 'held', why, transaction),
    });
  }

  async function work(
    run: JournalledRun,
    by: Person,
    talk: DriveClient,
    control: Control,
    flag: { paused: boolean },
  ): Promise<void> {
    const heart = setInterval(() => void beat(run.id).catch(() => undefined), beat_ms);
    try {
      const stopped = await goOn(talk, control, journalOf(run.id), () => flag.paused);
      if (stopped.is === 'done') await end(run, by);
      else await hold(run, by, stopped.is === 'paused' ? 'Paused by a person.' : stopped.why);
    } catch (error) {
      await hold(run, by, error instanceof Error ? error.message : String(error)).catch(() => undefined);
    } finally {
      clearInterval(heart);
      active.delete(run.id);
    }
  }

  /** Looks at the drive, and takes a run that is held. */
  async function begin(
    run: JournalledRun,
    by: Person,
    talk: DriveClient,
    control: Control,
    leaveOut: boolean,
  ): Promise<void> {
    const { id, jobId, state, serial } = run;
    const fresh = state === 'writing' && (await writeLinesOf(id)).every((l) => l.state === 'waiting');
    try {
      await mayBegin(talk, control, serial);
    } catch (error) {
      if (fresh) await setRun(id, 'held', error instanceof Error ? error.message : null);
      throw error;
    }
    if (fresh) return;
    if (!(await takeRun(id))) throw new HttpError(409, 'Another person is continuing this run.');
    const leftOut = leaveOut ? await leftOutOf(id) : null;
    const sawTo = { runOpen: true, enableOpen: true, peopleClear: true } as const;
    await appendAll(jobId, [entry(jobId, 'set.write-resumed', { run: id, leftOut, ...sawTo })], by);
  }

  return {
    goOn: async (id, byId, leaveOut) => {
      if (active.has(id)) return;
      // Reserved before anything is waited for: asked twice at once, one goes on.
      const flag = { paused: false };
      active.set(id, flag);
      try {
        const run = await runById(id);
        if (run.state === 'ended') throw new HttpError(409, 'This run has ended.');
        const [by, control, talk] = [await personOf(byId), await controlFor(run), await talkWith(run.target)];
        await begin(run, by, talk, control, leaveOut);
        void work(run, by, talk, control, flag);
      } catch (error) {
        active.delete(id);
        throw error;
      }
    },
    pause: (id) => {
      const flag = active.get(id);
      if (flag !== undefined) flag.paused = true;
    },
    giveUp: async (id, byId) => {
      const run = await runById(id);
      if (run.state !== 'held' || active.has(id)) throw new HttpError(409, 'Only a paused run can be ended.');
      await end(run, await personOf(byId));
    },
    verify: async (id, byId, afterPower) => {
      const run = await runById(id);
      if (run.state !== 'ended') throw new HttpError(409, 'The run has not ended yet.');
      const { report, read } = await compared(run);
      const verified = entry(run.jobId, 'set.verified', { run: id, afterPower, ...report });
      await appendAll(run.jobId, [read, verified], await personOf(byId));
    },
  };
}
