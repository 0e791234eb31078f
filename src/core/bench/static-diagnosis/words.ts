import type { FaultMode, Position, Stage, Terminal } from '../../equipment/power-stage';
import type { Candidate, ConditionCode, Diagnosis, NamedFault } from './diagnosis';

/** What the margin says: one sentence and what is behind it. */
export interface Conclusion {
  tone: 'sound' | 'doubt' | 'failed' | 'waiting';
  headline: string;
  detail: string;
}

const fixedNames: Partial<Record<Position, string>> = {
  'brk.switch': 'brake IGBT',
  'brk.diode': 'brake freewheel diode',
  'bus.cap': 'capacitor bank',
  'bus.link': 'DC-link choke or jumper',
  'bus.precharge': 'precharge resistor',
  'bus.fuse': 'inverter fuse',
  'bus.bleeder': 'bleeder',
};

/** The position in workshop words: "L2 upper diode". */
export function bareNameOf(position: Position, stage: Stage, mode?: FaultMode): string {
  const fixed = fixedNames[position];
  if (fixed !== undefined) return fixed;
  const [group, name = '', side] = position.split('.');
  if (group === 'pre') return `${name} precharge diode`;
  const height = side === 'hi' ? 'upper' : 'lower';
  if (group === 'rect')
    return `${name} ${height} ${stage.frontEnd === 'scr-half-3ph' && side === 'hi' ? 'thyristor' : 'diode'}`;
  // The meter cannot tell a shorted transistor from its own shorted diode.
  return mode === 'open' || mode === 'degraded'
    ? `${name} ${height} freewheel diode`
    : `${name} ${height} IGBT (or its diode)`;
}

/** The name of a position at the beginning of a line. */
export const nameOf = (position: Position, stage: Stage): string => {
  const bare = bareNameOf(position, stage);
  return bare.charAt(0).toUpperCase() + bare.slice(1);
};

const modeWords: Record<FaultMode, string> = {
  short: 'is shorted',
  open: 'is open',
  leaky: 'leaks',
  degraded: 'has a high forward drop',
};

/** One fault in words, e.g. "L2 upper diode is open". */
export const faultWords = (fault: NamedFault, stage: Stage): string =>
  `${bareNameOf(fault.component, stage, fault.mode)} ${modeWords[fault.mode]}`;

const either = new Intl.ListFormat('en', { type: 'disjunction' });

/**
 * What may be wrong with each part in one text, e.g. "L2 upper diode is open, leaks or has a high forward drop".
 * @param faults any faults; parts in the order of their first
 * @param stage the power stage they are of
 */
export const possibleFaultsWords = (faults: readonly NamedFault[], stage: Stage): string[] =>
  [...new Set(faults.map((f) => f.component))].map((component) => {
    const modes = faults.filter((f) => f.component === component).map((f) => modeWords[f.mode]);
    return `${bareNameOf(component, stage)} ${either.format(new Set(modes))}`;
  });

/** Several faults in words, e.g. "L2 upper diode is open and …". */
export const faultsWords = (faults: readonly NamedFault[], stage: Stage): string =>
  faults.length === 0 ? 'no fault' : faults.map((f) => faultWords(f, stage)).join(' and ');

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const leads = (p: { red: Terminal; black: Terminal }): string => `${p.red} to ${p.black}`;

/** What only lifting something can tell, where the meter on the terminals cannot. */
function howToTell(faults: readonly NamedFault[]): string {
  const parts = new Set(faults.map((f) => f.component));
  if (parts.has('bus.cap')) return 'disconnect the capacitor bank to confirm';
  if (parts.has('bus.link') || parts.has('bus.precharge')) return 'open the link to confirm';
  return 'strip down to confirm';
}

/** What is said first when a trap is likelier than not. */
export const trapHeadlines: Readonly<Record<ConditionCode, string>> = {
  'motor-connected': 'The motor is still connected.',
  'leads-swapped': 'The meter leads are swapped.',
  'bus-not-discharged': 'Stop: the capacitor bank is charged.',
  'thyristor-front-end': 'This is a half-controlled (thyristor) rectifier.',
  'entry-slip': 'A decimal point is in the wrong place.',
  'hot-unit': 'The unit is hot.',
  'brake-resistor-connected': 'The brake resistor is still connected.',
  'wrong-stage': 'The unit is built differently from this drawing.',
  'meter-battery-low': 'The meter battery is low.',
  'leads-shorted': 'The meter leads are shorted.',
};

/** Traps that leave a fault as certain as it was. */
const harmless = new Set<ConditionCode>(['hot-unit', 'entry-slip', 'motor-connected']);

/** A trap, said before anything about the unit; null when none stands in the way. */
function trapped(diagnosis: Diagnosis): Conclusion | null {
  const [trap] = diagnosis.conditions;
  if (trap === undefined || (diagnosis.verdict === 'faulty' && harmless.has(trap.code))) return null;
  return { tone: 'doubt', headline: trapHeadlines[trap.code], detail: trap.advice };
}

/** A part is not condemned on one touch of a probe. */
function confirmation(diagnosis: Diagnosis): string {
  const failed = diagnosis.readings.filter((r) => r.state === 'failed');
  const [once] = failed;
  return once !== undefined && failed.every((r) => r.repeats === 1)
    ? `Repeat ${leads(once)} to confirm.`
    : 'All readings agree.';
}

/** Another cause that is less likely than this is not said. */
const worthSaying = 0.01;

const percentOf = (share: number): string => (100 * share).toFixed(0);

/** What is hardly possible but not excluded: a sentence, where there is such a thing. */
function remotely(remote: readonly Candidate[], stage: Stage): string[] {
  const each = remote.slice(0, 2).map(({ faults, probability }) => {
    const what = faults.length === 0 ? 'poor probe contact' : faultsWords(faults, stage);
    return `${what} (${percentOf(probability)} %)`;
  });
  return each.length === 0 ? [] : [`Unlikely but possible: ${each.join('; ')}.`];
}

function named(best: Candidate, diagnosis: Diagnosis, stage: Stage): Conclusion {
  const rivals = best.alike.filter((faults) => faults.length > 0);
  const others = diagnosis.candidates.filter((c) => c !== best && c.probability > 0.08);
  const stray = diagnosis.caseNotes.find((n) => n.code === 'not-explained');
  const [open] = diagnosis.next;
  const more = open === undefined ? '' : ` Next reading: ${leads(open)}.`;
  if (stray !== undefined)
    return {
      tone: 'failed',
      headline: `${capital(faultsWords(best.faults, stage))}, and other faults.`,
      detail: stray.text,
    };
  if (rivals.length > 0) {
    const all = [best.faults, ...rivals];
    const how = open === undefined ? `: ${howToTell(all.flat())}` : ' so far';
    return {
      tone: 'failed',
      headline: `One of these ${all.length}${how}.`,
      detail: `${all.map((faults) => capital(faultsWords(faults, stage))).join('; ')}.${more}`,
    };
  }
  const remote = diagnosis.candidates.filter((c) => c !== best && c.probability >= worthSaying);
  if (others.length === 0)
    return {
      tone: 'failed',
      headline: `${capital(faultsWords(best.faults, stage))}${remote.length === 0 ? '. Nothing else fits.' : ', very likely.'}`,
      detail: [
        diagnosis.verdict === 'faulty' ? confirmation(diagnosis) : `Not certain yet.${more}`,
        ...remotely(remote, stage),
      ].join(' '),
    };
  return {
    tone: diagnosis.verdict === 'faulty' ? 'failed' : 'doubt',
    headline: `Most likely ${faultsWords(best.faults, stage)}.`,
    detail: `Also possible: ${others
      .slice(0, 3)
      .map((c) => faultsWords(c.faults, stage))
      .join('; ')}.${more}`,
  };
}

/** The diagnosis as a technician would say it. */
export function conclude(diagnosis: Diagnosis, stage: Stage): Conclusion {
  const trap = trapped(diagnosis);
  if (trap !== null) return trap;
  if (diagnosis.verdict === 'invalid') {
    const [note] = diagnosis.caseNotes;
    const fresh = note?.code === 'no-readings';
    return {
      tone: fresh ? 'waiting' : 'doubt',
      headline: fresh ? 'Nothing measured yet.' : 'These readings cannot be judged.',
      detail: note?.text ?? '',
    };
  }
  const [best] = diagnosis.candidates;
  if (best === undefined) return { tone: 'waiting', headline: 'Nothing measured yet.', detail: '' };
  if (best.faults.length > 0) return named(best, diagnosis, stage);
  const [again] = diagnosis.repeat;
  if (again !== undefined)
    return {
      tone: 'doubt',
      headline: `${capital(leads(again))}: measure again.`,
      detail: `No short found far, but this reading ${again.why.startsWith('does') ? again.why : `is ${again.why}`}.`,
    };
  if (diagnosis.verdict === 'not-shorted')
    return {
      tone: 'sound',
      headline: 'Not shorted. All devices read normal.',
      detail: 'A diode test cannot detect an open IGBT, a failed gate or aged capacitors.',
    };
  const missing = diagnosis.positions.filter((p) => p.state === 'unprobed' && p.component !== 'bus.bleeder');
  return {
    tone: 'waiting',
    headline: 'No fault found far.',
    detail: `${missing.length} ${missing.length === 1 ? 'device' : 'devices'} still to test.`,
  };
}
