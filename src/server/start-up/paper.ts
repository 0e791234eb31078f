import { ratingOf } from '../../core/catalogue';
import { shownAs } from '../../core/drive-words';
import { fold, timeOf } from '../../core/logbook';
import { plateSums } from '../../core/plate';
import { startUpSheet, wantedOf } from '../../core/settings';
import { Refused } from '../border';
import { catalogue, controlOf } from '../catalogue';
import { entriesAfter } from '../jobs';
import { limits } from '../settings';

export interface PaperRow {
  number: string;
  name: string;
  value: string;
  in_drive: string;
  rule: string;
  sum: string;
  reason: string;
  warnings: string;
}

export interface StartUpPaper {
  title: string;
  identity: [label: string, value: string][];
  rows: PaperRow[];
  findings: string[];
  motorTests: string[];
  signature: { name: string; at: string } | null;
  readBack: boolean;
}

/** The sheet as it stands; null when there is no such job. @throws Refused where plates or choices are missing */
export async function startUpOfJob(jobId: string): Promise<StartUpPaper | null> {
  const entries = await entriesAfter(jobId, 0);
  if (entries === null) return null;
  const { drive, motor, opened, seen, startUp } = fold(entries, { limits: await limits() });
  const control = drive === null || drive.typeId === null ? null : await controlOf(drive.typeId);
  if (drive === null || motor === null || startUp.chosen === null || control === null)
    throw new Refused(422, 'There is no sheet yet: plates, a known type and the load are needed first.');
  const { plate } = motor;
  const sums = plateSums(plate);
  const rating = ratingOf(drive, await catalogue());
  const { choices, supply } = startUp.chosen;
  const values = seen?.values ?? {};
  const { rows, findings } = startUpSheet({ plate, control, rating, values, choices, supply });
  const shown = (number: string, value: number | null): string => {
    const p = control.parameters.find((x) => x.number === number);
    if (p === undefined || value === null) return '';
    return shownAs(p, value);
  };
  return {
    title: 'Start-up sheet',
    identity: [
      ['Machine', opened === null ? '' : `${opened.payload.machine}, ${opened.payload.site}`],
      ['Drive', `${drive.maker} ${drive.type}${drive.serial === undefined ? '' : `, no. ${drive.serial}`}`],
      [
        'Motor',
        `${plate.power.value} ${plate.power.unit}, ${plate.volts} V, ${plate.amps} A, ${plate.hz} Hz, ${plate.rpm} rpm`,
      ],
      [
        'Follows from it',
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
          : 'not to be entered',
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
    signature:
      startUp.signed === null
        ? null
        : { name: startUp.signed.by.name, at: new Date(timeOf(startUp.signed)).toISOString() },
    readBack: Object.keys(values).length > 0,
  };
}
