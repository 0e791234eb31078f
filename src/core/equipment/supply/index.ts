// Supply and fit. Where no source is named: common practice, no source.
import { percentOfShare } from '../../numerics/figures';
import { bearingWords, judgeCable, type MotorCable } from '../cable';
import type { Control } from '../catalogue';

export { lineFuseOf, type LineFuse } from './line-fuse';

/** A share of the rating, with the page of the manual it was read from. */
export interface OnePhaseShare {
  share: number;
  page: string;
}

/** A drive and where it is to work: supply, ambient, altitude, storage. */
export interface Place {
  /** What the type is made for. */
  type: { phases: 1 | 3; supply_V: number; ratedAmps: number };
  supply: { phases: 1 | 3; volts: number; earthing: 'star-earthed' | 'isolated' | 'corner-earthed' };
  motor: { amps: number; singlePhase: boolean };
  ambient_C: number;
  altitude_m: number;
  carrier_kHz: number;
  sideBySide: boolean;
  storedYears: number;
  /** What a three-phase unit gives on one phase, as its manual says; null: nobody looked. */
  onePhase: OnePhaseShare | null;
  /** With the motor at its end; null: not said. */
  cable: MotorCable | null;
  motors: number;
}

/** Whether a drive fits its supply and place, and what it may give there. */
export interface SupplyFit {
  findings: { severity: 'info' | 'doubt' | 'wrong'; text: string; sum: string }[];
  /** Share of its rating that the unit may give here. */
  derating: number;
  /** Steps before full voltage, of a unit that was stored. */
  reforming: string[];
}

type Derating = Control['fitting']['derating'][number];

/** Supply volts may differ this much from the type's (IEC 61800-2, from memory: ±10 %). */
const supplyTolerance = 0.1;

/** "above 40 °C", 2 % each °C: what that takes at a figure. */
function taken({ when, perUnit, percent }: Derating, place: Place): { percent: number; sum: string } | null {
  const above = Number(/above (\d+(?:\.\d+)?)/.exec(when)?.[1] ?? NaN);
  const [figure, unit] = when.includes('°C')
    ? [place.ambient_C, '°C']
    : when.includes('kHz')
      ? [place.carrier_kHz, 'kHz']
      : when.includes(' m')
        ? [place.altitude_m, 'm']
        : [NaN, ''];
  if (when.includes('side by side'))
    return place.sideBySide ? { percent, sum: `side by side: ${percent} %` } : null;
  if (!(figure > above)) return null;
  const step = Number(/^(\d+(?:\.\d+)?) /.exec(perUnit)?.[1] ?? 1);
  const steps = Math.ceil((figure - above) / step - 1e-9);
  return { percent: steps * percent, sum: `${figure} ${unit}: ${steps} × ${percent} %` };
}

/** The residual current device that a unit may stand behind. */
const residualCurrent = (phases: 1 | 3): string =>
  phases === 3
    ? 'RCD: type B. Never behind a type A RCD that DC can blind.'
    : 'RCD: as the maker states, type A or F may be allowed. Never behind a type A RCD that DC of other units can blind.';

/** Whether a unit may work where it is to be, and how much of itself it may give. */
export function fitOf(
  place: Place,
  fitting: Pick<Control['fitting'], 'derating' | 'storage' | 'onePhase'>,
): SupplyFit {
  const findings: SupplyFit['findings'] = [];
  const add = (severity: SupplyFit['findings'][number]['severity'], text: string, sum: string) =>
    findings.push({ severity, text, sum });
  const { type, supply, motor } = place;
  if (motor.singlePhase)
    add(
      'wrong',
      'A single-phase motor cannot run on a drive.',
      'its auxiliary winding and capacitor need line supply',
    );
  const off = supply.volts / type.supply_V - 1;
  if (Math.abs(off) > supplyTolerance)
    add(
      'wrong',
      `Supply voltage is ${off > 0 ? 'above' : 'below'} the range of the unit.`,
      `${supply.volts} V ÷ ${type.supply_V} V = ${(100 * (1 + off)).toFixed(0)} %, ±10 % allowed`,
    );
  if (type.phases === 1 && supply.phases === 3)
    add('info', 'L–N or L–L, per nameplate; not all three phases.', 'single-phase unit');
  const onePhase = type.phases === 3 && supply.phases === 1;
  const parts = fitting.derating.flatMap((d) => taken(d, place) ?? []);
  const lost = parts.reduce((sum, p) => sum + p.percent, 0);
  const share = onePhase ? (fitting.onePhase ?? place.onePhase) : null;
  // What nobody looked up is nothing to count on.
  const derating = Math.max(0, (1 - lost / 100) * (onePhase ? (share?.share ?? 0) : 1));
  const gives = derating * type.ratedAmps;
  const sum = `${type.ratedAmps} A × ${derating.toFixed(2)} = ${gives.toFixed(1)} A${parts.length === 0 ? '' : ` (${parts.map((p) => p.sum).join(', ')})`}`;
  if (onePhase && share === null)
    add(
      'wrong',
      'Three-phase unit on a single-phase supply: see its manual for the derating. Enter the percentage and the page.',
      'value of the maker, never a rule of thumb',
    );
  if (share !== null)
    add(
      'doubt',
      `Three-phase unit on a single-phase supply: ${percentOfShare(share.share)} % by ${share.page}; input phase supervision off, with a note.`,
      sum,
    );
  const isKnown = !onePhase || share !== null;
  if (isKnown && motor.amps * place.motors > gives)
    add(
      'wrong',
      'Motor current exceeds the derated output current.',
      `${motor.amps * place.motors} A required; ${sum}`,
    );
  else if (isKnown && derating < 1) add('doubt', 'Output current is derated here.', sum);
  if (place.motors > 1)
    add(
      'doubt',
      'Several motors on one drive: an overload relay for each, and no autotune.',
      `${place.motors} motors`,
    );
  if (supply.earthing !== 'star-earthed')
    add(
      'doubt',
      'Supply without earthed star point: remove the EMC filter and varistor screws as the manual states, and record it.',
      supply.earthing.replace('-', ' '),
    );
  if (place.cable === null)
    add(
      'doubt',
      'Motor cable not entered: voltage peaks at the winding are not checked.',
      'length, winding, choke or filter',
    );
  else {
    const judged = judgeCable(place.cable);
    add(judged.verdict === 'stands' ? 'info' : 'wrong', judged.text, judged.sum);
    if (judged.bearing) add('info', bearingWords, `${place.cable.motor.power_kW} kW`);
  }
  add('info', residualCurrent(type.phases), 'common practice, from memory; the local code decides');
  add(
    'info',
    'Leakage above 3.5 mA: fixed connection, with PE of 10 mm² copper or 16 mm² aluminium, or a second PE.',
    'IEC 61800-5-1, from memory; the local code decides',
  );
  add(
    'info',
    'Arc flash: boundary, PPE and CAT rating of meter and leads as the site requires.',
    'site rules and local code decide',
  );
  return { findings, derating, reforming: reformingOf(place.storedYears, fitting.storage) };
}

/** What a type that says nothing of storage is given (common practice, no source). */
const usualStorage: Control['fitting']['storage'] = [
  { fromYears: 1, step: 'an hour at rated voltage, unloaded' },
  { fromYears: 2, step: 'half an hour each at 25, 50, 75 and 100 % of rated voltage' },
  { fromYears: 3, step: 'two hours each at 25, 50, 75 and 100 % of rated voltage' },
];

/** What a bank that was stored is given before full voltage. @param storage of the type; empty: it says nothing of it */
export function reformingOf(storedYears: number, storage: Control['fitting']['storage'] = []): string[] {
  const rules = storage.length === 0 ? usualStorage : storage;
  const found = [...rules].sort((a, b) => b.fromYears - a.fromYears).find((s) => storedYears >= s.fromYears);
  return found === undefined
    ? []
    : [`Stored ${storedYears} years: reform capacitors ${found.step} before full voltage.`];
}
