/** Words that people do not read here: what is written instead, and why. */
export interface Banned {
  pattern: RegExp;
  write: string;
  why: string;
}

const standard = 'the standard term of the trade';
const plain = 'plain technical English: no riddle, no inversion, no personification';

export const banned: readonly Banned[] = [
  { pattern: /\btransistors?\b/i, write: 'IGBT', why: standard },
  { pattern: /\bfront ends?\b/i, write: 'rectifier', why: standard },
  { pattern: /\bsafe[- ]stop\b|\bcoast-break\b/i, write: 'STO (safe torque off)', why: standard },
  { pattern: /\bidentification\b/i, write: 'autotune', why: standard },
  { pattern: /\bregions?\b/i, write: '50/60 Hz default set', why: standard },
  { pattern: /\balarms?\b/i, write: 'fault, warning or inhibit', why: 'an alarm is all of them at once' },
  { pattern: /\bslots?\b/i, write: 'fault log entry', why: standard },
  { pattern: /\bplate (amps|current|volts)\b/i, write: 'rated motor current (FLA)', why: standard },
  { pattern: /\bsound band\b/i, write: 'normal range', why: standard },
  { pattern: /\bsound (unit|one|drop|stage|module)s?\b/i, write: 'good', why: 'there are sounds, too' },
  { pattern: /\bsisters?\b/i, write: 'the other two phases', why: standard },
  {
    pattern: /\bslips? of the (finger|pen)\b|\bputting a slip\b/i,
    write: 'mistyped reading',
    why: 'slip is the motor’s',
  },
  { pattern: /\bserial side\b/i, write: 'serial link', why: standard },
  { pattern: /\bcontrol place\b/i, write: 'local/remote', why: standard },
  { pattern: /\bmotor’s box\b/i, write: 'terminal box', why: standard },
  { pattern: /\bledger\b|\bstrike\b/i, write: 'delete, remove from the list', why: plain },
  { pattern: /\bcures?\b|\bsuspects?\b/i, write: 'fix; likely causes', why: standard },
  {
    pattern: /\bkept\b|\bkeep (this|these|the|both|all|a|note|limits|list|table|tables|them)\b/i,
    write: 'save, saved, recorded',
    why: 'one word for one act',
  },
  { pattern: /\b(was|were|is|are) told\b|\btold to\b/i, write: 'write sent; informed', why: plain },
  {
    pattern: /\bnothing holds\b|\bnot keyed\b|\bhangs on\b|\bheld down by\b/i,
    write: 'a subject, a verb, an object',
    why: plain,
  },
  {
    pattern: /\b(stands?|stood) (open|otherwise|still|yet|there|so|since|at)\b/i,
    write: 'stopped; is set to; is',
    why: plain,
  },
  {
    pattern: /\bput(ting)? (it |that )?right\b|\bput back\b|\bputs? others? back\b/i,
    write: 'correct; restore; reset',
    why: plain,
  },
  {
    pattern: /\bnobody (knows|looked|said|measured)\b|\bwhoever\b/i,
    write: 'not known; the person responsible',
    why: plain,
  },
  {
    pattern: /\bby itself\b|\bby themselves\b|\bof its own\b|\bof their own\b/i,
    write: 'automatically; separate',
    why: plain,
  },
  { pattern: /\b(un)?alike\b|\bunlike the others?\b/i, write: 'equal; different', why: plain },
  { pattern: /\bweigh(ing|ed|s)?\b/i, write: 'diagnose, compare', why: plain },
  {
    pattern: /\bmaker’s secret\b|\bdearer\b|\bpumps the bus\b|\bthe bus bears\b/i,
    write: 'what happens, in one sentence',
    why: plain,
  },
  { pattern: /\bends? of the road\b|\bgoes home\b|\bno home\b/i, write: 'no equivalent', why: plain },
  {
    pattern: /\bSwap and wire\b|\bthe rig\b/i,
    write: 'Replacement; the simulator',
    why: 'the name of the page',
  },
  {
    pattern: /\bfigures? (above|like|of|as)\b|\bthe figures\b/i,
    write: 'value, reading',
    why: 'a figure is a picture, too',
  },
];
