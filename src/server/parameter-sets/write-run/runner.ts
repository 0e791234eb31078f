// One run of writes at one drive, line by line. It knows the drive and the journal, nothing else.
import type { Control } from '../../../core/equipment/catalogue';
import {
  isCommand,
  parameterAt,
  rawOf,
  registerOf,
  shownAs,
  valueOf,
} from '../../../core/equipment/drive-words';
import { enableGiven, runGiven } from '../../../core/fault-finding/run-chain';
import { isLineSettled, settledBy, type WriteLine } from '../../../core/parameter-sets/write-run';
import { HttpError } from '../../http/guard';
import { readState, turnLock, type DriveState } from '../../drive-link/guarded-write';
import { rightDrive, serialOf, type DriveClient } from '../../drive-link/drive-client';

/** Where the lines of a run are kept; what was kept is there after any crash. */
export interface Journal {
  lines: () => Promise<WriteLine[]>;
  keep: (place: number, line: WriteLine) => Promise<void>;
}

/** `held`: something must be seen to by a person. */
export type Stopped = { is: 'done' } | { is: 'paused' } | { is: 'held'; why: string };

/** Why nothing is written now; null: it may be. */
function heldBy(control: Control, { values, live }: DriveState): string | null {
  const given = runGiven({ control, values, live });
  return given === null ? null : `${given} Remove the run command, then continue.`;
}

/**
 * Before the first value and before every resume: the same unit, at rest, no run given, its enable open.
 * @param serial of the unit the run belongs to; null where its type does not say it
 * @throws Refused with what is in the way
 */
export async function mayBegin(talk: DriveClient, control: Control, serial: string | null): Promise<void> {
  await rightDrive(talk, control);
  const is = await serialOf(talk, control);
  if (serial !== null && is !== serial)
    throw new HttpError(
      409,
      `Another unit answers: serial number ${is ?? 'unknown'}, but ${serial} was read out.`,
    );
  const seen = await readState(talk, control);
  const held = heldBy(control, seen);
  if (held !== null) throw new HttpError(409, held);
  const enable = enableGiven({ control, values: seen.values, live: seen.live });
  if (enable !== null) throw new HttpError(409, `${enable} Open it, then continue.`);
}

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error));
/** The drive refused the value itself; the link is well. */
const refusals: readonly string[] = ['not-there', 'out-of-range', 'locked', 'running'];
const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

/** What became of a line that was sent and not heard of, by reading the drive. */
async function settle(
  talk: DriveClient,
  control: Control,
  journal: Journal,
  place: number,
  line: WriteLine,
): Promise<WriteLine> {
  const parameter = parameterAt(control, line.number);
  if (parameter === undefined) return line;
  const { value } = await readState(talk, control, parameter);
  if (value === undefined) return line;
  const command = isCommand(parameter);
  const state = settledBy(line, value, command);
  // A third value is no reason to stop twice: what is there is what is written over.
  const settled: WriteLine =
    state === 'taken' ? { ...line, state, found: value } : { ...line, state: 'waiting', from: value };
  await journal.keep(place, settled);
  return settled;
}

/** One value, written and read back. @returns why the run is held; null: on to the next */
async function one(
  talk: DriveClient,
  control: Control,
  journal: Journal,
  place: number,
  line: WriteLine,
): Promise<string | null> {
  const parameter = parameterAt(control, line.number);
  if (parameter === undefined) return `This type has no parameter ${line.number}.`;
  const seen = await readState(talk, control, parameter);
  const held = heldBy(control, seen);
  if (held !== null) return held;
  const command = isCommand(parameter);
  if (!command && seen.value === line.to) {
    await journal.keep(place, { ...line, state: 'taken', found: line.to });
    return null;
  }
  await journal.keep(place, { ...line, state: 'sent', from: seen.value ?? line.from });
  let found: number;
  try {
    found = valueOf(parameter, await talk.write(registerOf(parameter), rawOf(parameter, line.to)));
  } catch (error) {
    if (refusals.includes(codeOf(error)))
      await journal.keep(place, { ...line, state: 'refused', why: said(error) });
    return `${line.number} ${line.name}: ${said(error)}`;
  }
  const took = command || rawOf(parameter, found) === rawOf(parameter, line.to);
  const why = took ? null : `drive changed ${line.shownTo} to ${shownAs(parameter, found)}`;
  await journal.keep(place, { ...line, state: took ? 'taken' : 'otherwise', found, why });
  return why === null ? null : `${line.number} ${line.name}: ${why}.`;
}

/**
 * Goes on with a run where its journal stands, until it is done, paused, or held by something. What was refused or made
 * into something else stands in the way until a person leaves it out or asks for it again.
 */
export async function goOn(
  talk: DriveClient,
  control: Control,
  journal: Journal,
  paused: () => boolean,
): Promise<Stopped> {
  const lines = await journal.lines();
  const level = Math.max(0, ...lines.filter((l) => !isLineSettled(l)).map((l) => l.lock));
  let why: string | null = null;
  try {
    if (level > 0) await turnLock(talk, control, level);
    for (const [place, before] of lines.entries()) {
      const line = before.state === 'sent' ? await settle(talk, control, journal, place, before) : before;
      if (isLineSettled(line)) continue;
      if (paused()) return { is: 'paused' };
      why = await one(talk, control, journal, place, line);
      if (why !== null) break;
    }
  } catch (error) {
    why = said(error);
  } finally {
    // With the cable out the code stays in; it is taken out when the run goes on.
    if (level > 0) await turnLock(talk, control, 0).catch(() => undefined);
  }
  return why === null ? { is: 'done' } : { is: 'held', why };
}
