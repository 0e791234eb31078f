import { countOf, entryWords, timeOf, type JobState, type LogLine } from '../../logbook';
import { checksumOf } from '../../parameter-sets/set-files';
import { choiceNames } from '../../replacement/replacement';
import type { Sheet } from '../static-sheet';
import { finalBackup } from '../hand-over';
import { enteredState, type Release } from '../release';
import type { Swap } from '../swap';
import { endOf, wireRoleWords, wireEnds, type RecordedWire } from '../../replacement/wires';
import { powerPart } from './power';
import { minuteOf, part, type ReportPart } from './report';
import { quoted } from '../../terms';

/** What the record takes from elsewhere: papers that have their own makers. */
export interface Beside {
  /** The static sheet; null where nothing was measured. */
  sheet: Sheet | null;
  /** What stands against the start-up; null where none was begun, or the type is not known. */
  release: Release | null;
  /** Values of the start-up sheet, or why it could not be made; null where none was begun. */
  startUp:
    | {
        rows: { number: string; name: string; value: string; state: string; sum: string; reason: string }[];
        run: string[];
        motorTests: string[];
      }
    | { missing: string }
    | null;
}

const volts = (n: number): string => `${n} V`;

/** Every dead proof of the job as a line, also of a unit that is gone. */
function proofs(log: readonly LogLine[]): string[] {
  const lines: string[] = [];
  let run: { by: string; before: string; figures: number[]; bank: number[] } | null = null;
  for (const { entry, void: reason, correctedBy } of log) {
    if (reason !== null || correctedBy !== null) continue;
    if (entry.kind === 'safety.locked')
      lines.push(
        `Locked and tagged: ${entry.payload.tag}, isolated ${minuteOf(Date.parse(entry.payload.isolatedAt))}, ${entry.by.name}.`,
      );
    if (entry.kind === 'safety.source-back')
      lines.push(`A source became live ${minuteOf(timeOf(entry))}: dead proof void.`);
    if (entry.kind === 'safety.figure' && run !== null) {
      run.figures.push(Math.abs(entry.payload.volts));
      if (entry.payload.point.startsWith('bank')) run.bank.push(Math.abs(entry.payload.volts));
    }
    if (entry.kind === 'safety.figures' && run !== null)
      run.figures.push(...entry.payload.points.map(() => entry.payload.below_V));
    if (entry.kind !== 'safety.meter' && entry.kind !== 'safety.meter-proof') continue;
    const shown =
      entry.kind === 'safety.meter'
        ? volts(entry.payload.volts)
        : `${volts(entry.payload.dc.volts)} DC${entry.payload.ac === undefined ? '' : `, ${volts(entry.payload.ac.volts)} AC`}`;
    if (entry.payload.when === 'before') run = { by: entry.by.name, before: shown, figures: [], bank: [] };
    else if (run !== null) {
      lines.push(
        `Proven dead ${minuteOf(timeOf(entry))} by ${run.by}: meter ${run.before} before and ${shown} after on known sources; ${run.figures.length} readings, ${volts(Math.max(0, ...run.figures))} at most; bank ${run.bank.map(volts).join(', again ')}.`,
      );
      run = null;
    }
  }
  return lines;
}

function readings(sheet: Sheet | null): ReportPart[] {
  if (sheet === null || sheet.readings.length === 0) return [];
  return part(
    'readings',
    'Diode test',
    [
      `${sheet.conclusion.headline} ${sheet.conclusion.detail}`.trim(),
      `Verdict level: ${sheet.conclusion.level}. A diode test proves nothing more.`,
    ],
    {
      heads: ['Red', 'Black', 'Value', 'Expected', 'State'],
      rows: sheet.readings.map((r) => [
        r.red,
        r.black,
        String(r.values.at(-1) ?? ''),
        String(r.expected ?? ''),
        r.state,
      ]),
    },
  );
}

function decision({ swap: { decision: made } }: JobState): ReportPart[] {
  if (made === null) return [];
  const { choice, reason, costs, cheapest } = made.payload;
  return part(
    'decision',
    'Decision',
    [
      `${choiceNames[choice]}: ${reason} (${made.by.name}, ${minuteOf(timeOf(made))}).`,
      ...(cheapest !== null && cheapest !== choice
        ? [`Least expected cost was: ${choiceNames[cheapest].toLowerCase()}.`]
        : []),
    ],
    {
      heads: ['Choice', 'Expected cost', 'Stop, h'],
      rows: costs.map((c) => [
        choiceNames[c.choice],
        c.mid === null ? 'not possible' : String(c.mid),
        c.stop_h.toFixed(1),
      ]),
    },
  );
}

function parts(swap: Swap | null): ReportPart[] {
  if (swap === null || swap.units.next === null) return [];
  const { old, next } = swap.units;
  const words = (u: typeof old): string =>
    `${u.maker} ${u.type}${u.serial === undefined ? '' : `, no. ${u.serial}`}${u.firmware === undefined ? '' : `, firmware ${u.firmware}`}, ${u.supply_V === null ? 'supply not known' : `${u.supply_V} V`}, ${u.ratedAmps} A`;
  return part('parts', 'Units and parts', [
    `Out: ${words(old)}`,
    `In: ${words(next)}`,
    ...(swap.fit?.actions ?? []).filter((a) => a.kind === 'buy').map((a) => `Bought or to buy: ${a.text}`),
  ]);
}

const fit = (swap: Swap | null): ReportPart[] =>
  part('fit', 'Fit', [], {
    heads: ['Row', 'Old', 'New', '', 'Why'],
    rows: (swap?.fit?.rows ?? [])
      .filter((r) => r.verdict !== 'fits')
      .map((r) => [
        r.name,
        r.old,
        r.next,
        r.verdict.replace('-', ' '),
        `${r.text}${r.sum === undefined ? '' : ` ${r.sum}`}`,
      ]),
  });

/** "both ends, Ines Tarrow", or each end with its name. */
function seenAt(ticked: RecordedWire['ticked']): string {
  const seen = wireEnds.flatMap((e) => (ticked[e] === undefined ? [] : [[e, ticked[e]] as const]));
  const names = new Set(seen.map(([, name]) => name));
  return seen.length === wireEnds.length && names.size === 1
    ? `both ends, ${[...names][0] ?? ''}`
    : seen.map(([e, name]) => `${e} end, ${name}`).join('; ');
}

function wires({ swap: s }: JobState, swap: Swap | null): ReportPart[] {
  const placementOf = new Map((swap?.map?.fates ?? []).map((f) => [f.wire, f]));
  return part(
    'wires',
    'Wires',
    [
      ...(s.wires.length > 0 && !swap?.map
        ? ['New terminals not determined: both units must be in the catalogue.']
        : []),
      ...(swap?.map?.jumpersOut ?? []).map(([a, b]) => `Factory jumper ${a} to ${b}: removed.`),
      ...(swap?.map?.jumpersStay ?? []).map(([a, b]) => `Factory jumper ${a} to ${b}: stays.`),
    ],
    {
      heads: ['No.', 'Ferrule', 'Old', 'New', 'Function', 'Seen at', 'Remarks'],
      rows: [...s.wires]
        .sort((a, b) => a.number - b.number)
        .map((w) => [
          String(w.number),
          w.ferrule,
          w.from ?? 'loose',
          endOf(placementOf.get(w.id)),
          wireRoleWords(w.role),
          seenAt(w.ticked),
          [
            ...(w.drawnAt !== null && w.drawnAt !== (w.from ?? '')
              ? [`drawing shows ${w.drawnAt || 'no terminal'}`]
              : []),
            ...(w.shared === null ? [] : [`shared with ${w.shared.machine}: ${w.shared.meanwhile}`]),
            ...(w.accepted === null ? [] : [`accepted by ${w.accepted.by}: ${w.accepted.reason}`]),
          ].join('; '),
        ]),
    },
  );
}

function stop({ swap: { planned, stop: gone } }: JobState): ReportPart[] {
  if (planned === null || gone.begunAt === null) return [];
  const minute = (ms: number | null | undefined): string =>
    ms === null || ms === undefined ? '' : String(Math.round((ms - (gone.begunAt ?? 0)) / 60_000));
  return part(
    'stop',
    'Outage',
    [
      `Stopped from ${minuteOf(gone.begunAt)}${gone.overAt === null ? ', still stopped' : ` to ${minuteOf(gone.overAt)}: ${countOf(Number(minute(gone.overAt)), 'minute')}`}${planned.allowed_min === null ? '' : `, ${planned.allowed_min} allowed`}.`,
    ],
    {
      heads: ['Task', 'Planned, min', 'Started at minute', 'Done at minute'],
      rows: planned.tasks.map((t) => [
        t.name,
        String(t.minutes),
        minute(gone.tasks[t.id]?.begunAt),
        minute(gone.tasks[t.id]?.doneAt),
      ]),
    },
  );
}

function carried(state: JobState, swap: Swap | null): ReportPart[] {
  // Before the new unit is in, what was read is of the old one.
  const isIn = swap?.units.next !== null && state.drive?.typeId === swap?.units.next.typeId;
  const became = (number: string, value: number | null): string =>
    value === null
      ? ''
      : enteredState(state, number, value, isIn ? (state.seen?.values[number] ?? null) : null);
  return part('settings', 'Parameters, old to new', [], {
    heads: ['Old', 'Value', 'New', 'Value', 'State', '', 'Calculation or reason'],
    rows: (swap?.carried?.rows ?? []).map((r) => [
      `${r.from.number} ${r.from.name}`,
      r.from.shown,
      r.to === null ? '' : `${r.to.number} ${r.to.name}`,
      r.to?.shown ?? '',
      r.to === null ? '' : became(r.to.number, r.to.value),
      r.outcome.replace('-', ' '),
      [r.sum, r.reason].filter((x) => x !== null).join('; '),
    ]),
  });
}

/** What was read out last of the drive that is in, with its checksum. */
function backup(state: JobState): ReportPart[] {
  const last = finalBackup(state);
  return last === null
    ? []
    : part('backup', 'Final backup', [
        `${last.name}, ${minuteOf(last.at)}, ${countOf(Object.keys(last.values).length, 'value')}, checksum ${checksumOf(last.typeId, last.values)}.`,
      ]);
}

const startUp = ({ startUp: made }: Beside): ReportPart[] =>
  made === null
    ? []
    : 'missing' in made
      ? part('start-up', 'Start-up sheet values', [`This part is missing: ${made.missing}`])
      : part('start-up', 'Start-up sheet values', [...made.motorTests, ...made.run], {
          heads: ['Parameter', 'Name', 'Value', 'State', 'Calculation', 'Reason'],
          rows: made.rows.map((r) => [r.number, r.name, r.value, r.state, r.sum, r.reason]),
        });

const differences = ({ setRuns }: JobState): ReportPart[] =>
  part(
    'differences',
    'Written and read back',
    setRuns.flatMap((r) =>
      r.end === null
        ? [`“${r.name}”: not ended.`]
        : [
            `“${r.name}” to ${r.target}: ${r.end.ending}, ${r.end.taken} values taken, ${minuteOf(r.end.at)}, ${r.by.name}.`,
          ],
    ),
    {
      heads: ['Parameter', 'Planned', 'Left', 'Why'],
      rows: (setRuns.at(-1)?.verified.at(-1)?.leftOver ?? setRuns.at(-1)?.end?.leftOver ?? []).map((l) => [
        `${l.number} ${l.name}`,
        l.planned,
        l.left,
        l.why ?? '',
      ]),
    },
  );

/** Entries that have their own tables above: the log would only repeat them. */
const inTables: readonly string[] = ['static.reading', 'safety.figure', 'safety.figures'];

/** Everything of the record, in the order of the job. */
export function recordPartsOf(state: JobState, swap: Swap | null, beside: Beside): ReportPart[] {
  const { sheet } = beside;
  return [
    ...part('safety', 'Safety', proofs(state.log)),
    ...part('as-found', 'As found', sheet?.asFound ?? []),
    ...readings(sheet),
    ...(sheet?.traces ?? []).flatMap((t, i) =>
      part(`trace-${i}`, `Trace: ${t.trouble}`, [...t.steps, ...t.causes.map((c) => `Cause: ${c}`)]),
    ),
    ...decision(state),
    ...parts(swap),
    ...fit(swap),
    ...wires(state, swap),
    ...powerPart(state),
    ...stop(state),
    ...carried(state, swap),
    ...startUp(beside),
    ...differences(state),
    ...backup(state),
    ...part('changes', 'Jumpers, loops and single values', sheet?.changes ?? []),
    ...part(
      'questions',
      'Questions',
      state.questions.map((q) => `${q.text}: ${q.answer ?? 'open'}`),
    ),
    ...part(
      'notes',
      'Notes',
      state.notes.map((n) => `${minuteOf(timeOf(n))}, ${n.by.name}: ${quoted(n.payload.text)}`),
    ),
    ...part('log', 'Log', [], {
      heads: ['When', 'Who', 'What'],
      rows: state.log
        .filter(({ entry, correctedBy }) => correctedBy === null && !inTables.includes(entry.kind))
        .map(({ entry, void: reason }) => [
          minuteOf(timeOf(entry)),
          entry.by.name,
          reason === null ? entryWords(entry) : `${entryWords(entry)} (does not count)`,
        ]),
    }),
    ...part(
      'void',
      'Invalid log entries',
      state.log.flatMap((l) =>
        l.void === null ? [] : [`${minuteOf(timeOf(l.entry))}, ${l.entry.by.name}: ${l.void}`],
      ),
    ),
  ];
}
