import { ratingOf } from '../../../core/equipment/catalogue';
import { parameterAt, shownAs } from '../../../core/equipment/drive-words';
import { timeOf, type JobState, type Payload } from '../../../core/logbook';
import { plateSums } from '../../../core/equipment/plate';
import { inShort, releaseOf, type Release } from '../../../core/job/release';
import { figureWords } from '../../../core/commissioning/commissioning';
import { wantedOf } from '../../../core/commissioning/settings';
import { HttpError } from '../../http/guard';
import { catalogue, controlOf } from '../../equipment/catalogue';
import type { LoadedJob } from '../../logbook/folded';

export interface PaperRow {
  number: string;
  name: string;
  value: string;
  /** What became of it: written and read back, found so, or asked for only. */
  state: string;
  in_drive: string;
  rule: string;
  sum: string;
  reason: string;
  warnings: string;
}

export interface StartUpDocument {
  title: string;
  identity: [label: string, value: string][];
  rows: PaperRow[];
  findings: string[];
  motorTests: string[];
  /** The steps of the run with what was seen. */
  run: string[];
  /** What stands against a signature, as long as there is none. */
  against: string[];
  signature: { name: string; at: string } | null;
  mayRun: { until: string; approver: string; open: string[] } | null;
  readBack: boolean;
}

const outcomeWords = { ok: 'passed', 'not-ok': 'failed', 'not-there': 'not there' } as const;

/** One step of the run on paper. */
const stepWords = (title: string, result: Payload<'commission.step'>): string =>
  [
    `${title}: ${outcomeWords[result.outcome]}${result.seenBy === 'link' ? ', over the link' : ''}`,
    ...figureWords(result),
    ...result.speeds.map((s) => `${s.hz} Hz ${s.amps} A`),
    ...(result.seen.length === 0 ? [] : [result.seen.join(', ')]),
    ...(result.qualified === undefined ? [] : [result.qualified]),
    ...(result.note === undefined ? [] : [result.note]),
  ].join('; ');

/** What stands against the start-up of a job, with what the type of its drive tells; null before there is a sheet. */
export async function releaseOfState(state: JobState): Promise<Release | null> {
  const { drive } = state;
  const control = drive === null || drive.typeId === null ? null : await controlOf(drive.typeId);
  return drive === null || control === null
    ? null
    : releaseOf(state, control, ratingOf(drive, await catalogue()));
}

/** The sheet as it stands. @throws HttpError where plates or choices are missing */
export async function loadStartUpSheet({ state }: LoadedJob): Promise<StartUpDocument> {
  const { drive, motor, opened, seen, startUp } = state;
  const control = drive === null || drive.typeId === null ? null : await controlOf(drive.typeId);
  if (drive === null || motor === null || startUp.chosen === null || control === null)
    throw new HttpError(
      422,
      'No start-up sheet yet: nameplates, a catalogue type and the load are required first.',
    );
  const { plate } = motor;
  const sums = plateSums(plate);
  const rating = ratingOf(drive, await catalogue());
  const release = releaseOf(state, control, rating);
  if (release === null) throw new Error('plates and choices are there');
  const { supply } = startUp.chosen;
  const values = seen?.values ?? {};
  const { rows, findings } = release.sheet;
  const { choices } = release;
  const shown = (number: string, value: number | null): string => {
    const p = parameterAt(control, number);
    if (p === undefined || value === null) return '';
    return shownAs(p, value);
  };
  return {
    title: 'Start-up sheet',
    identity: [
      ['Machine', opened === null ? '' : `${opened.payload.machine}, ${opened.payload.site}`],
      ...(opened?.payload.workOrder === undefined
        ? []
        : [['Work order', opened.payload.workOrder] satisfies [string, string]]),
      ['Drive', `${drive.maker} ${drive.type}${drive.serial === undefined ? '' : `, no. ${drive.serial}`}`],
      [
        'Motor',
        `${plate.power.value} ${plate.power.unit}, ${plate.volts} V, ${plate.amps} A, ${plate.hz} Hz, ${plate.rpm} rpm`,
      ],
      [
        'Derived values',
        `${sums.poles} poles, slip ${(100 * sums.slip).toFixed(1)} %, ${sums.torque_Nm.toFixed(1)} N·m`,
      ],
      ['Load', choices.load.replaceAll('-', ' ')],
      ['Supply', `${supply.volts} V measured, ${supply.hz} Hz`],
    ],
    rows: rows.map((row) => ({
      number: row.number,
      name: row.name,
      value:
        row.refused === null || startUp.typed[row.number] !== undefined
          ? shown(row.number, wantedOf(row, startUp.typed))
          : 'not available',
      state: release.entries[row.number]?.state ?? '',
      in_drive: shown(row.number, row.now),
      rule: row.rule,
      sum: row.sum,
      reason: startUp.typed[row.number]?.reason ?? '',
      warnings: [
        ...(row.refused === null ? [] : [`${row.refused.why} ${row.refused.remedy}`]),
        ...row.warnings,
      ].join(' '),
    })),
    findings: findings.filter((f) => f.severity !== 'info').map((f) => `${f.text} ${f.sum}.`),
    motorTests: [
      ...startUp.windings.map(
        ({ payload: w }) => `Winding ${w.ohms.uv} / ${w.ohms.vw} / ${w.ohms.wu} Ω at ${w.temperature_C} °C`,
      ),
      ...startUp.insulations.map(
        ({ payload: i }) =>
          `Insulation of ${i.of.replaceAll('-', ' ')} ${i.between === 'earth' ? 'to earth' : 'between cores'}: ${i.readings.map((r) => `${r.megohm} MΩ after ${r.at_s} s`).join(', ')} at ${i.winding_C} °C`,
      ),
    ],
    run: release.steps.flatMap((step) => {
      const result = startUp.run.filter((r) => r.payload.step === step.id).at(-1)?.payload;
      return result === undefined ? [] : [stepWords(step.title, result)];
    }),
    against: startUp.signed === null ? inShort(release.issues).map((m) => m.text) : [],
    mayRun:
      startUp.signed?.payload.mayRun === undefined
        ? null
        : {
            ...startUp.signed.payload.mayRun,
            open: startUp.signed.payload.mayRun.open.map((o) => o.text),
          },
    signature:
      startUp.signed === null
        ? null
        : { name: startUp.signed.by.name, at: new Date(timeOf(startUp.signed)).toISOString() },
    readBack: Object.keys(values).length > 0,
  };
}
