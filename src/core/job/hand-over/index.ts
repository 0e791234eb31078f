// Handing a machine back. Where no source is named: common practice, no source.
import { checksumOf } from '../../parameter-sets/set-files';
import { countOf, openIssues, timeOf, type JobState, type KeptSet } from '../../logbook';
import type { Release } from '../release';
import type { Swap } from '../swap';
import { unticked } from '../../replacement/wires';

/** One thing to be seen before a machine goes back. */
export interface HandOverItem {
  id: string;
  title: string;
  /** `done`: seen and right; `failed`: seen and not right; `open`: not yet. */
  state: 'done' | 'failed' | 'open';
  text: string;
  /** May stay open if both names take it on; never where people or another machine are concerned. */
  mayWait: boolean;
}

/** A speed may be off by this share of the largest reference asked. */
export const followTolerance = 0.02;

/** Do speeds follow their references? The largest error, as a share of the largest reference. */
export function followError(points: readonly { asked: number; got: number }[]): number {
  const largest = Math.max(1e-9, ...points.map((p) => p.asked));
  return Math.max(0, ...points.map((p) => Math.abs(p.got - p.asked))) / largest;
}

const item = (
  id: string,
  title: string,
  state: HandOverItem['state'],
  text: string,
  mayWait: boolean,
): HandOverItem => ({ id, title, state, text, mayWait });

function followItem({ swap: { handOver } }: JobState): HandOverItem {
  const title = 'Follows its reference';
  if (handOver.followed === null)
    return item(
      'followed',
      title,
      'open',
      'Three references from its normal source, and the resulting output.',
      true,
    );
  const { points, unit } = handOver.followed.payload;
  const error = followError(points);
  const spread = new Set(points.map((p) => p.asked)).size;
  const words = points.map((p) => `${p.asked} requested, ${p.got} ${unit}`).join('; ');
  const sum = `largest error ${(100 * error).toFixed(1)} % of the largest reference, ${100 * followTolerance} % allowed`;
  if (spread < 3)
    return item('followed', title, 'open', `Three different references are required: ${words}.`, true);
  return error <= followTolerance
    ? item('followed', title, 'done', `${words}; ${sum}.`, true)
    : item('followed', title, 'failed', `Does not follow the reference: ${words}; ${sum}.`, true);
}

/** When something last went to the drive, or it became another one. */
function lastChange({ registers, setRuns, swap }: JobState): number {
  const writes = registers.writes.map((w) => w.doneAt ?? 0);
  const runs = setRuns.map((r) => r.end?.at ?? 0);
  return Math.max(0, swap.outAt ?? 0, ...writes, ...runs);
}

/** The read-out of the drive after the last change to it; null: there is none. */
export function finalBackup(state: JobState): KeptSet | null {
  const after = lastChange(state);
  const own = state.sets.filter((s) => s.typeId === state.drive?.typeId);
  return own.findLast((s) => s.source === 'read-out' && s.at >= after) ?? null;
}

function backupItem(state: JobState): HandOverItem {
  const title = 'Final backup';
  const last = finalBackup(state);
  if (last !== null)
    return item(
      'backup',
      title,
      'done',
      `${last.name}, after the last change, checksum ${checksumOf(last.typeId, last.values)}.`,
      true,
    );
  return item(
    'backup',
    title,
    'open',
    !state.sets.some((s) => s.typeId === state.drive?.typeId)
      ? 'No parameter set of this drive saved.'
      : 'Not read out since the last change: read out again and save.',
    true,
  );
}

function settingsItem({ startUp, setRuns }: JobState): HandOverItem {
  const title = 'Parameters';
  if (startUp.signed !== null) return item('settings', title, 'done', 'The start-up sheet is signed.', true);
  const run = setRuns.at(-1);
  const planned = run?.verified.at(-1)?.ending ?? run?.end?.ending;
  if (run !== undefined && planned === 'as planned')
    return item('settings', title, 'done', `“${run.name}” is in the drive as planned.`, true);
  return item(
    'settings',
    title,
    'open',
    'No start-up sheet signed, and no parameter set written and compared.',
    true,
  );
}

/** Steps of the run that no name takes on: it may turn the wrong way, or not stop. */
const neverByName = ['direction', 'safety'];
/** Settings that no name takes on either. */
const neverSet = ['identification-coupled', 'audit:overload-off', 'audit:ground-off'];

/** What stands against the start-up sheet, where one was begun: other values in the drive, steps that are not done. */
function startUpItems(release: Release | null, byLog: ReadonlySet<string>): HandOverItem[] {
  const group = (id: string) => release?.steps.find((s) => `step:${s.id}` === id)?.group ?? '';
  return (release?.issues ?? [])
    .filter(({ id }) => !byLog.has(id))
    .map(({ id, text, mayWait }) =>
      item(
        id,
        'Start-up',
        'open',
        text,
        mayWait || !(neverSet.includes(id) || neverByName.includes(group(id))),
      ),
    );
}

/** When it is looked at again: never on a day that was over when it was said. */
function inspectionItem({ date, what }: { date: string; what: string }, saidAt: number): HandOverItem {
  const words = `${date}${what === '' ? '' : `: ${what}`}`;
  return date < new Date(saidAt).toISOString().slice(0, 10)
    ? item('inspection', 'Next inspection', 'failed', `${words}: this date is in the past.`, false)
    : item('inspection', 'Next inspection', 'done', words, true);
}

function partnerItems({ swap: { wires, handOver } }: JobState): HandOverItem[] {
  const machines = [...new Set(wires.flatMap((w) => (w.shared === null ? [] : [w.shared.machine])))];
  return machines.map((machine) => {
    const seen = handOver.partners[machine]?.payload;
    const id = `partner:${machine}`;
    if (seen === undefined)
      return item(id, machine, 'open', 'Shares a signal: does it run as before?', false);
    return seen.right
      ? item(id, machine, 'done', `Runs as before.${seen.note === '' ? '' : ` ${seen.note}`}`, false)
      : item(id, machine, 'failed', `Does not run as before. ${seen.note}`, false);
  });
}

/** Terminals that do something else than what is wired to them, by the newest set of the unit. */
function terminalItem(swap: Swap | null): HandOverItem[] {
  const fates = swap?.map?.fates ?? [];
  const wrong = fates.filter((f) => f.to !== null && (f.outcome === 'set' || f.outcome === 'by-hand'));
  if (swap?.next?.from.from !== 'set') return [];
  return [
    wrong.length === 0
      ? item(
          'terminals',
          'Terminals',
          'done',
          'All functions match the wiring, by the newest parameter set.',
          false,
        )
      : item(
          'terminals',
          'Terminals',
          'failed',
          `${wrong
            .map((f) => f.why)
            .slice(0, 3)
            .join(' ')}${wrong.length > 3 ? ` And ${wrong.length - 3} more.` : ''}`,
          false,
        ),
  ];
}

/**
 * What there is to do and to see before a machine goes back, in the order it is done.
 * @param release what stands against its start-up sheet; null where none was begun, or the type is not known
 */
export function handOverItems(state: JobState, swap: Swap | null, release: Release | null): HandOverItem[] {
  const { swap: s } = state;
  const byLog = openIssues(state);
  const swapped = s.outAt !== null;
  const open = swap?.map === null || swap === null ? [] : unticked(s.wires, swap.map.fates);
  const locks = s.handOver.locks?.payload;
  const inspection = s.handOver.inspection?.payload;
  return [
    ...(swapped
      ? [
          open.length === 0
            ? item('wires', 'Wires', 'done', 'Every wire checked at both ends.', false)
            : item(
                'wires',
                'Wires',
                'open',
                `${open.length} not checked at both ends: ${open
                  .slice(0, 8)
                  .map((w) => w.number)
                  .join(', ')}${open.length > 8 ? ' …' : ''}.`,
                false,
              ),
          ...terminalItem(swap),
        ]
      : []),
    settingsItem(state),
    ...(s.stop.begunAt !== null
      ? [
          s.stop.overAt === null
            ? item('stop', 'Outage', 'open', 'The machine is still stopped.', false)
            : item(
                'stop',
                'Outage',
                'done',
                `Stopped for ${countOf(Math.round((s.stop.overAt - s.stop.begunAt) / 60_000), 'minute')}${typeof s.planned?.allowed_min !== 'number' ? '' : `, ${s.planned.allowed_min} allowed`}.`,
                false,
              ),
        ]
      : []),
    s.handOver.told === null
      ? item(
          'told',
          'Local to automatic',
          'open',
          'Who was informed that the override ends and the machine may start automatically?',
          false,
        )
      : item('told', 'Local to automatic', 'done', `Informed: ${s.handOver.told.payload.who}.`, false),
    followItem(state),
    ...partnerItems(state),
    backupItem(state),
    locks === undefined
      ? item('locks', 'Locks', 'open', 'Are access codes and menu locks active again?', true)
      : locks.locks === 'open'
        ? item('locks', 'Locks', 'failed', `Left open. ${locks.note}`, true)
        : item('locks', 'Locks', 'done', locks.locks === 'on' ? 'Locked again.' : 'Not on this type.', true),
    inspection === undefined
      ? item('inspection', 'Next inspection', 'open', 'When is the next inspection?', true)
      : inspectionItem(inspection, s.handOver.inspection === null ? 0 : timeOf(s.handOver.inspection)),
    ...startUpItems(release, new Set(byLog.map((m) => m.id))),
    ...byLog.map((m) => item(m.id, 'Open issue', 'open', m.text, m.mayWait)),
  ];
}

/** What stands against a signature, and what both names may take on. */
export const againstHandOver = (
  items: readonly HandOverItem[],
): { never: HandOverItem[]; byName: HandOverItem[] } => {
  const left = items.filter((i) => i.state !== 'done');
  return { never: left.filter((i) => !i.mayWait), byName: left.filter((i) => i.mayWait) };
};

/** When the machine was handed over, ms; null: it was not. */
export const handedOverAt = ({ swap }: JobState): number | null =>
  swap.signedOff === null ? null : timeOf(swap.signedOff);
