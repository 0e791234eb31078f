import type { Limits, SourceKind } from '../bench/make-safe';
import type { Value, Probe } from '../equipment/power-stage';
import { inOrder, timeOf, type Entry, type EntryOf, type Person } from './entry';
import type { Payload } from './kinds';
import { lift } from './lift';
import { applyModule, isModuleEntry, type TestedModule } from './modules';
import { applyPower, isPowerEntry, noPower, type PowerState } from './power';
import { applyRegister, signatureBlocker, isRegisterEntry, noRegisters, type Registers } from './registers';
import { seenFromReadOut, mergeObserved, withWrittenValue, type SeenDrive } from './seen';
import { applyRun, isRunEntry, type SetRun } from './set-runs';
import { keptSet, setOfReadOut, type KeptSet } from './sets';
import {
  applySafety,
  benchLock,
  freshSafety,
  handsLock,
  isSafety,
  poweredUp,
  settle,
  type SafetyState,
} from './safety';
import { openIssues } from './standing';
import {
  afterWrite,
  applyStartUp,
  cycleRead,
  isStartUpEntry,
  noStartUp,
  type StartUpState,
} from './start-up';
import { applySwap, isSwapEntry, noSwap, type SwapEntry, type SwapState } from './swap';
import type { LookItem } from './vocabulary';

export interface KeptReading extends Probe {
  entryId: string;
  value: Value;
  at: number;
  by: Person;
}

export interface JobQuestion {
  id: string;
  text: string;
  answer: string | null;
}

export interface LogLine {
  entry: Entry;
  /** Why the entry does not count, if it does not. */
  void: string | null;
  /** The entry that put this one right. */
  correctedBy: string | null;
}

/** A job as its entries tell it. */
export interface JobState {
  opened: EntryOf<'job.opened'> | null;
  call: Payload<'take.call'> | null;
  drive: Payload<'identify.drive'> | null;
  motor: Payload<'identify.motor'> | null;
  asFound: { captured: Payload<'as-found.captured'> } | { impossible: string } | null;
  look: Partial<Record<LookItem, Payload<'look.finding'>>>;
  safety: SafetyState;
  readings: readonly KeptReading[];
  /** Readings that were taken again as a whole, with the reason. */
  setAside: readonly { reason: string; readings: readonly KeptReading[] }[];
  modules: readonly TestedModule[];
  /** Null before anybody looked. */
  seen: SeenDrive | null;
  /** Sets of values: every read-out, and what came otherwise. */
  sets: readonly KeptSet[];
  /** Runs of writes to the drive, the newest last. */
  setRuns: readonly SetRun[];
  /** Decision, units, wires, stop and hand-over. */
  swap: SwapState;
  /** First power and what was measured under power. */
  power: PowerState;
  /** Answers of the tracer, in their order; the newest of a check counts. */
  traced: readonly EntryOf<'trace.answered'>[];
  causes: readonly EntryOf<'trace.confirmed'>[];
  /** Jumpers, writes, walked loops, kept trends. */
  registers: Registers;
  startUp: StartUpState;
  notes: readonly EntryOf<'note.added'>[];
  questions: readonly JobQuestion[];
  signed: EntryOf<'sheet.signed'> | null;
  log: readonly LogLine[];
  /** The newest entry the server has numbered. */
  seq: number;
}

export const emptyJob: JobState = {
  opened: null,
  call: null,
  drive: null,
  motor: null,
  asFound: null,
  look: {},
  safety: freshSafety,
  readings: [],
  setAside: [],
  modules: [],
  seen: null,
  sets: [],
  setRuns: [],
  swap: noSwap,
  power: noPower,
  traced: [],
  causes: [],
  registers: noRegisters,
  startUp: noStartUp,
  notes: [],
  questions: [],
  signed: null,
  log: [],
  seq: 0,
};

/** What the fold needs beside the entries: the site's limits. */
export interface FoldContext {
  limits: Limits;
}

/** What an entry changes; one that does not count may still change something (a takeover lapses the proof). */
type Applied = Partial<JobState> & { void?: string };

function apply(state: JobState, entry: Entry, { limits }: FoldContext): Applied {
  if (isSafety(entry)) {
    const step = applySafety(state.safety, entry, state.drive);
    return 'void' in step ? { void: step.void } : { safety: step.state };
  }
  if (isModuleEntry(entry)) return applyModule(state.modules, entry);
  if (isStartUpEntry(entry)) {
    const around = {
      values: state.seen?.values ?? {},
      standing: entry.kind === 'startup.signed' ? openIssues(state) : [],
    };
    const step = applyStartUp(state.startUp, entry, around);
    return 'void' in step ? step : { startUp: { ...state.startUp, ...step } };
  }
  if (isRunEntry(entry)) {
    const setRuns = applyRun(state.setRuns, entry);
    if ('void' in setRuns) return setRuns;
    // Values go to the drive: what was signed was signed without them.
    return entry.kind === 'set.verified' ? { setRuns } : { setRuns, startUp: afterWrite(state.startUp) };
  }
  if (isSwapEntry(entry)) return afterSwap(state, entry, limits);
  if (isPowerEntry(entry)) {
    const step = applyPower(state, entry);
    if ('void' in step) return step;
    const power = { ...state.power, ...step };
    // Switched on, nothing that was proven dead is.
    return entry.kind === 'power.on' ? { power, safety: poweredUp(state.safety, timeOf(entry)) } : { power };
  }
  if (isRegisterEntry(entry)) {
    const step = applyRegister(state.registers, entry);
    return 'void' in step ? step : afterRegister(state, { ...state.registers, ...step }, entry);
  }
  switch (entry.kind) {
    case 'job.opened':
      return state.opened === null || entry.corrects !== undefined
        ? { opened: entry }
        : { void: 'The job was opened already.' };
    case 'take.call':
      return { call: entry.payload };
    case 'identify.drive':
      return { drive: entry.payload, ...(isNewUnit(state) ? newUnit(state, timeOf(entry)) : {}) };
    case 'identify.motor':
      return { motor: entry.payload };
    case 'as-found.captured':
      return { asFound: { captured: entry.payload } };
    case 'as-found.impossible':
      return { asFound: { impossible: entry.payload.reason } };
    case 'look.finding':
      return { look: { ...state.look, [entry.payload.item]: entry.payload } };
    case 'identify.stage':
      return state.drive === null
        ? { void: 'The drive was not identified yet.' }
        : {
            drive: { ...state.drive, stage: entry.payload.stage, strip: entry.payload.strip },
            // What was signed was judged on another stage.
            signed: null,
          };
    case 'static.retake':
      return state.readings.length === 0
        ? {}
        : {
            readings: [],
            setAside: [...state.setAside, { reason: entry.payload.reason, readings: state.readings }],
            signed: null,
          };
    case 'static.reading':
      return applyReading(state, entry, limits);
    case 'drive.read':
      return {
        seen: seenFromReadOut(entry),
        sets: [...state.sets, setOfReadOut(entry)],
        startUp: cycleRead(state.startUp, entry.payload.values),
      };
    case 'set.kept':
      return { sets: [...state.sets, keptSet(entry)] };
    case 'set.good':
      return state.sets.some((s) => s.id === entry.payload.set)
        ? {
            sets: state.sets.map((s) => (s.id === entry.payload.set ? { ...s, good: entry.payload.why } : s)),
          }
        : { void: 'The set it speaks of is not in this job.' };
    case 'drive.seen':
      return { seen: mergeObserved(state.seen, entry) };
    case 'trace.answered': {
      const { family, check } = entry.payload;
      const others = state.traced.filter((t) => t.payload.family !== family || t.payload.check !== check);
      return { traced: [...others, entry] };
    }
    case 'trace.confirmed':
      return { causes: [...state.causes, entry] };
    case 'note.added':
      return { notes: [...state.notes, entry] };
    case 'question.opened':
      return { questions: [...state.questions, { id: entry.id, text: entry.payload.text, answer: null }] };
    case 'question.closed':
      return {
        questions: state.questions.map((q) =>
          q.id === entry.payload.question ? { ...q, answer: entry.payload.answer } : q,
        ),
      };
    case 'sheet.signed':
      return entry.by.role === 'apprentice'
        ? { void: 'A technician or the lead signs.' }
        : signedWith(entry, signatureBlocker(state.registers));
  }
}

/** The old unit is out, and no plate was read since. */
const isNewUnit = ({ swap }: JobState): boolean => swap.outAt !== null && swap.inAt === null;

/** What was measured and seen was the old unit's; what is isolated stays so, and the new bank is proven anew. */
const newUnit = ({ readings, setAside, safety, swap }: JobState, at: number): Partial<JobState> => ({
  swap: { ...swap, inAt: at },
  readings: [],
  setAside:
    readings.length === 0 ? setAside : [...setAside, { reason: 'of the unit that came out', readings }],
  signed: null,
  seen: null,
  power: noPower,
  safety: { ...freshSafety, sources: safety.sources, locked: safety.locked },
});

function afterSwap(state: JobState, entry: SwapEntry, limits: Limits): Applied {
  const at = timeOf(entry);
  const atDrive = entry.kind === 'wire.ticked' || entry.kind === 'swap.unit-out';
  // A second person may tick the far end of a wire: that takes nothing over.
  const own = atDrive && state.safety.by?.id === entry.by.id;
  const safety = own ? settle(state.safety, entry.by, at) : state.safety;
  const lock = handsLock(safety, state.drive, limits, entry.by, at);
  const [first] = openIssues(state).filter((m) => !m.mayWait);
  const step = applySwap(state.swap, entry, {
    handsHeld: lock.open ? null : lock.text,
    standing: first?.text ?? null,
  });
  if ('void' in step) return own ? { ...step, safety } : step;
  const here = own && lock.open ? { safety: { ...safety, lastAt: at } } : {};
  return { swap: { ...state.swap, ...step }, ...here };
}

/** A jumper or a trial that comes after a signature takes it off; so does a value that was written. */
function afterRegister(
  { seen, signed, startUp }: JobState,
  registers: Registers,
  entry: Entry,
): Partial<JobState> {
  const write =
    entry.kind === 'drive.write-done'
      ? registers.writes.find((w) => w.id === entry.payload.asked)
      : undefined;
  return {
    registers,
    signed: signatureBlocker(registers) === null ? signed : null,
    ...(entry.kind === 'jumper.set' ? { startUp: { ...startUp, signed: null } } : {}),
    ...(write === undefined || write.found === null
      ? {}
      : { seen: withWrittenValue(seen, write.number, write.found), startUp: afterWrite(startUp) }),
  };
}

const signedWith = (signed: EntryOf<'sheet.signed'>, held: string | null): Applied =>
  held === null ? { signed } : { void: held };

/** A reading counts only while the dead proof holds for the one who takes it. */
function applyReading(state: JobState, entry: EntryOf<'static.reading'>, limits: Limits): Applied {
  const at = timeOf(entry);
  const safety = settle(state.safety, entry.by, at);
  const lock = benchLock(safety, state.drive, limits, entry.by, at);
  if (!lock.open) return { void: lock.text, safety };
  const { red, black, value } = entry.payload;
  return {
    safety: { ...safety, lastAt: at },
    readings: [...state.readings, { red, black, value, entryId: entry.id, at, by: entry.by }],
    // What was signed was signed on other readings.
    signed: null,
  };
}

function append(
  state: JobState,
  entry: Entry,
  corrected: ReadonlyMap<string, string>,
  context: FoldContext,
): JobState {
  const line = (reason: string | null): LogLine => ({
    entry,
    void: reason,
    correctedBy: corrected.get(entry.id) ?? null,
  });
  const seq = Math.max(state.seq, entry.seq ?? 0);
  if (corrected.has(entry.id)) return { ...state, seq, log: [...state.log, line(null)] };
  const { void: reason = null, ...changes } = apply(state, entry, context);
  return { ...state, ...changes, seq, log: [...state.log, line(reason)] };
}

/** Which entries were put right by which; a correction counts only on an entry of its own kind and job. */
function corrections(entries: readonly Entry[]): Map<string, string> {
  const byId = new Map(entries.map((e) => [e.id, e]));
  return new Map(
    entries.flatMap((e) => {
      const target = e.corrects === undefined ? undefined : byId.get(e.corrects);
      return target !== undefined && target.kind === e.kind && target.id !== e.id ? [[target.id, e.id]] : [];
    }),
  );
}

/** The state of a job from its entries, in whatever order and however often they arrived. */
export function fold(entries: readonly Entry[], context: FoldContext): JobState {
  const ordered = inOrder(entries).map(lift);
  const corrected = corrections(ordered);
  return ordered.reduce((state, entry) => append(state, entry, corrected, context), emptyJob);
}

/**
 * The same, going on from a state: only the new entries are looked at, unless one of them corrects
 * an earlier one or comes out of order.
 */
export function extend(state: JobState, more: readonly Entry[], context: FoldContext): JobState {
  const known = new Set(state.log.map((l) => l.entry.id));
  const fresh = inOrder(more).filter((e) => !known.has(e.id));
  if (fresh.length === 0) return state;
  const inSequence = fresh.every((e) => e.corrects === undefined && e.seq !== undefined && e.seq > state.seq);
  const settledLog = state.log.every((l) => l.entry.seq !== undefined);
  if (!inSequence || !settledLog) return fold([...state.log.map((l) => l.entry), ...more], context);
  const none = new Map<string, string>();
  return fresh.map(lift).reduce((s, entry) => append(s, entry, none, context), state);
}

/** Signs after which mains must not come back just to read the display. */
export function mustStayDead(state: JobState): string[] {
  const signs = (state.call?.signs ?? []).map((s) => s.replace('-', ' '));
  const seen = Object.values(state.look)
    .filter(
      (f) =>
        f.state === 'found' &&
        (f.item === 'smell' || f.item === 'soot' || f.item === 'fuses' || f.item === 'capacitors'),
    )
    .map((f) => (f.item === 'fuses' ? 'blown fuse' : f.item));
  const family =
    state.asFound !== null && 'captured' in state.asFound ? state.asFound.captured.family : 'none';
  const alarm =
    family === 'desaturation' || family === 'short-circuit' || family === 'ground' ? [`${family} trip`] : [];
  return [...new Set([...signs, ...seen, ...alarm])];
}

/** Sources that were met on this job, for the machine's memory. */
export const sourcesMet = (state: JobState): SourceKind[] =>
  (state.safety.sources?.list ?? []).filter((s) => s.state !== 'absent').map((s) => s.kind);
