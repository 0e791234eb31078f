// The static-test sheet: identity, safety record, readings with states, conclusion, and what the test cannot see.
import {
  levelsOf,
  moduleQuestion,
  proofOf,
  stepsOf,
  timeOf,
  type JobState,
  type LogLine,
  type MeterReading,
  type Person,
  logHeadWords,
} from '../../logbook';
import { devicesOf, moduleVerdict } from '../../bench/module-test';
import { sourceWords, type Limits } from '../../bench/make-safe';
import {
  bareNameOf,
  conclude,
  possibleFaultsWords,
  type Diagnosis,
  type PositionState,
} from '../../bench/static-diagnosis';
import { ratingWords } from '../../equipment/catalogue';
import { probeKey, type Value } from '../../equipment/power-stage';
import { changesMade, tracePaths, type TracePath } from './trace-lines';
import { quoted } from '../../terms';

export type { TracePath } from './trace-lines';

/** One probe of the sheet with all its values and their judgement. */
export interface SheetReading {
  red: string;
  black: string;
  /** All values in the order they were taken; the last is judged with the majority. */
  values: Value[];
  state: 'sound' | 'doubt' | 'failed' | 'not judged';
  expected: 'OL' | number | null;
  takenAt: string;
  by: string;
}

/** The state of a reading, as people read it. */
export const readingStateWords: Readonly<Record<SheetReading['state'], string>> = {
  sound: 'normal',
  doubt: 'doubtful',
  failed: 'failed',
  'not judged': 'not judged',
};

/** The static-test sheet as plain data. */
export interface Sheet {
  title: string;
  identity: { label: string; value: string }[];
  asFound: string[];
  look: { item: string; state: string; note: string }[];
  safety: {
    by: string;
    sources: { name: string; state: string; how: string }[];
    locked: string;
    meter: string;
    figures: { between: string; where: string; quantity: string; volts: number; below: boolean }[];
    limits: string;
    statement: string;
  } | null;
  readings: SheetReading[];
  positions: { name: string; state: PositionState }[];
  conclusion: { headline: string; detail: string; level: string; verdict: Diagnosis['verdict'] };
  /** Three verdicts that are never merged. */
  levels: { name: string; state: string }[];
  modules: {
    name: string;
    kind: string;
    verdict: string;
    devices: { name: string; verdict: string; why: string }[];
  }[];
  unseen: string[];
  traces: TracePath[];
  /** Jumpers, values written to the drive, loops walked. */
  changes: string[];
  questions: { text: string; answer: string | null }[];
  remarks: string[];
  signature: { name: string; role: string; at: string } | null;
  /** Entries that do not count, with the reason: nothing is left out. */
  voided: { at: string; by: string; why: string }[];
}

/** Never "good": the diode test proves no more than this. */
const levels: Record<Diagnosis['verdict'], string> = {
  'not-shorted': 'not shorted',
  faulty: 'faulty',
  doubtful: 'doubtful',
  invalid: 'no verdict',
};

/** What no diode test can tell, whatever was read (common practice, no source). */
const neverSeen = [
  'whether the IGBTs switch: a failed gate or an open IGBT reads the same',
  'a shorted IGBT from its shorted freewheel diode',
  'breakdown at full bus voltage',
  'capacitors with reduced capacitance',
];

const present = (
  items: { label: string; value: string | undefined | null }[],
): { label: string; value: string }[] =>
  items.flatMap(({ label, value }) => (value ? [{ label, value }] : []));

/** 2026-11-20 13:05 UTC: the same on every machine that prints it. */
const minuteOf = (ms: number): string => `${new Date(ms).toISOString().slice(0, 16).replace('T', ' ')} UTC`;

function identityOf(state: JobState): Sheet['identity'] {
  const { opened, drive, motor } = state;
  const plate = motor?.plate;
  return present([
    { label: 'Machine', value: opened === null ? null : `${opened.payload.machine}, ${opened.payload.site}` },
    { label: 'Work order', value: opened?.payload.workOrder },
    { label: 'Complaint', value: opened === null ? undefined : quoted(opened.payload.complaint) },
    { label: 'Drive', value: drive === null ? null : `${drive.maker} ${drive.type}` },
    { label: 'Brand on the cover', value: drive?.badge },
    { label: 'Serial number', value: drive?.serial },
    {
      label: 'Rating',
      value: drive === null ? null : ratingWords(drive),
    },
    { label: 'Drawing', value: drive?.drawingOnlySimilar === true ? 'only similar to this unit' : null },
    {
      label: 'Motor',
      value:
        plate === undefined
          ? null
          : `${plate.power.value} ${plate.power.unit}, ${plate.volts} V, ${plate.amps} A, ${plate.hz} Hz, ${plate.rpm} rpm`,
    },
    { label: 'Log', value: logHeadWords(state) },
  ]);
}

function asFoundOf(state: JobState): string[] {
  if (state.asFound === null) return ['not recorded'];
  if ('impossible' in state.asFound) return [`not captured: ${state.asFound.impossible}`];
  const { active, slots, selectors } = state.asFound.captured;
  return [
    active ? `active fault ${active}` : 'no active fault',
    ...slots.map((s, i) => `fault log ${i + 1}: ${s.code}${s.when === undefined ? '' : `, ${s.when}`}`),
    ...(selectors ? [`selectors: ${selectors}`] : []),
  ];
}

const provenAt = (meter: MeterReading | null): string =>
  meter === null ? '–' : `${meter.dc_V} V DC${meter.ac_V === null ? '' : ` and ${meter.ac_V} V AC`}`;

function safetyOf(state: JobState, limits: Limits): Sheet['safety'] {
  const { drive, safety } = state;
  if (drive === null || safety.sources === null) return null;
  const mark = (terminal: string): string =>
    drive.strip.find((s) => s.terminal === terminal)?.mark ?? terminal;
  const proof = proofOf(safety, drive.stage, limits);
  return {
    by: safety.by?.name ?? '',
    sources: safety.sources.list.map((s) => ({
      name: sourceWords[s.kind].name,
      state: s.state,
      how: s.how ?? '',
    })),
    locked:
      safety.locked === null
        ? 'not locked'
        : `${safety.locked.tag}, isolated ${minuteOf(safety.locked.isolatedAt)}`,
    meter: `before ${provenAt(safety.meterBefore)}, after ${provenAt(safety.meterAfter)} on known sources`,
    figures: stepsOf(safety, drive.stage).flatMap((step) => {
      const figure = safety.figures[step.key];
      return figure === undefined
        ? []
        : [
            {
              between: `${mark(step.point.a)}–${mark(step.point.b)}`,
              where: step.point.where,
              quantity: step.quantity.toUpperCase(),
              volts: figure.volts,
              below: figure.below === true,
            },
          ];
    }),
    limits: `work inside ${limits.hands_V} V, diode test ${limits.test_V} V`,
    statement: !proof.complete
      ? 'Dead proof not complete.'
      : safety.alive !== null
        ? `Not isolated: ${safety.alive.volts} V AC at ${safety.alive.at}.`
        : proof.testAllowed
          ? `Proven dead: ${proof.highest_V} V at most.`
          : `Above the limit for a test: ${proof.highest_V} V.`,
  };
}

function readingsOf(state: JobState, diagnosis: Diagnosis): SheetReading[] {
  const groups = new Map<string, SheetReading>();
  for (const r of state.readings) {
    const key = probeKey(r);
    const judged = diagnosis.readings.find((j) => probeKey(j) === key);
    const known = groups.get(key);
    if (known !== undefined) known.values.push(r.value);
    else
      groups.set(key, {
        red: r.red,
        black: r.black,
        values: [r.value],
        state: judged?.state ?? 'not judged',
        expected: judged?.expected ?? null,
        takenAt: new Date(r.at).toISOString(),
        by: r.by.name,
      });
  }
  return [...groups.values()];
}

function modulesOf(state: JobState): Sheet['modules'] {
  return state.modules.map((m) => {
    const { devices, verdict } = moduleVerdict(moduleQuestion(m));
    return {
      name: m.name,
      kind: m.kind,
      verdict,
      devices: devices.map((d) => ({
        name: devicesOf(m.kind).find((x) => x.device === d.device)?.name ?? String(d.device),
        verdict: d.verdict,
        why: d.why,
      })),
    };
  });
}

const voidLines = (log: readonly LogLine[]): Sheet['voided'] =>
  log.flatMap((l) =>
    l.void === null
      ? []
      : [
          {
            at: new Date(timeOf(l.entry)).toISOString(),
            by: l.entry.by.name,
            why: `${l.entry.kind}: ${l.void}`,
          },
        ],
  );

const signerOf = (state: JobState): Sheet['signature'] => {
  const signed = state.signed;
  const role: Record<Person['role'], string> = {
    technician: 'technician',
    lead: 'shop lead',
    apprentice: 'apprentice',
  };
  return signed === null
    ? null
    : { name: signed.by.name, role: role[signed.by.role], at: new Date(timeOf(signed)).toISOString() };
};

/**
 * The sheet of a job. A signed conclusion is printed as it was signed, also when the solver would
 * put it otherwise today.
 */
export function sheetOf(state: JobState, diagnosis: Diagnosis, limits: Limits): Sheet {
  const stage = state.drive?.stage ?? null;
  const fresh =
    stage === null ? { headline: 'No drive identified.', detail: '' } : conclude(diagnosis, stage);
  const signed = state.signed?.payload;
  const verdict = signed?.verdict ?? diagnosis.verdict;
  return {
    title: 'Static-test sheet',
    identity: identityOf(state),
    asFound: asFoundOf(state),
    look: Object.values(state.look).map((f) => ({ item: f.item, state: f.state, note: f.note ?? '' })),
    safety: safetyOf(state, limits),
    readings: readingsOf(state, diagnosis),
    positions:
      stage === null
        ? []
        : diagnosis.positions.map((p) => ({ name: bareNameOf(p.component, stage), state: p.state })),
    conclusion: {
      headline: signed?.headline ?? fresh.headline,
      detail: signed?.detail ?? fresh.detail,
      level: levels[verdict],
      verdict,
    },
    levels: levelsOf(state, diagnosis.verdict).map(({ name, state: proven }) => ({ name, state: proven })),
    modules: modulesOf(state),
    unseen: [
      ...neverSeen,
      ...(stage === null
        ? []
        : possibleFaultsWords(diagnosis.unseen, stage).map(
            (words) => `with the readings taken: whether the ${words}`,
          )),
    ],
    traces: tracePaths(state),
    changes: changesMade(state),
    questions: state.questions.map(({ text, answer }) => ({ text, answer })),
    remarks: [
      ...diagnosis.conditions.map((c) => c.advice),
      ...diagnosis.caseNotes.map((n) => n.text),
      ...state.setAside.map((a) => `${a.readings.length} earlier readings were set aside: ${a.reason}`),
    ],
    signature: signerOf(state),
    voided: voidLines(state.log),
  };
}

/** The readings as rows for a spreadsheet. */
export const sheetRows = (sheet: Sheet): Record<string, string | number>[] =>
  sheet.readings.map((r) => ({
    red: r.red,
    black: r.black,
    value_V: r.values[r.values.length - 1] ?? '',
    earlier_V: r.values.slice(0, -1).join(' '),
    expected_V: r.expected ?? '',
    state: r.state,
    taken_at: r.takenAt,
    by: r.by,
  }));
