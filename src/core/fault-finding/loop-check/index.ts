// The loop of a 24 V input: source plus, contacts and wires, terminal, input, common, return, source minus.

/** What a 24 V loop is made of. */
export const elementKinds = ['contact', 'wire', 'terminal', 'input', 'common', 'return'] as const;

/** One element of a loop. */
export interface LoopElement {
  id: string;
  kind: (typeof elementKinds)[number];
}

/** A 24 V loop with what was measured along it. */
export interface Loop {
  source: { volts: number };
  /** In the order of the current, from plus to minus; of sink wiring the input comes first. */
  elements: readonly LoopElement[];
  /** Volts behind an element, to the source's own minus. */
  measured: readonly { after: string; volts: number }[];
  /** What the drive shows of the input. */
  bit?: 0 | 1 | undefined;
  /** How the drive's inputs are set. */
  selector?: 'source' | 'sink' | undefined;
}

/** What a loop can turn out to be. */
export const loopVerdicts = [
  'open',
  'weak',
  'voltage-drop',
  'complete',
  'selector',
  'input',
  'bit-contradicts',
  'source-dead',
  'two-readings',
  'leads-reversed',
  'foreign-voltage',
  'contradictory',
  'implausible',
  'measure',
] as const;

/** Which element of a loop is open, or where to measure next. */
export interface LoopVerdict {
  open: string | null;
  verdict: (typeof loopVerdicts)[number];
  /** Where to measure next. */
  next?: { after: string };
  why: string;
}

/** An input of type 1 is on from 15 V and off up to 5 V (IEC 61131-2, from memory). */
const on_V = 15;
const off_V = 5;

/** No 24 V supply gives more (IEC 61131-2, from memory: 30 V at most); what is above comes from elsewhere. */
const most_V = 30;
/** Meters and wires differ by so much from zero and from the source. */
const tolerance_V = 2;
/** A closed contact, a terminal or a wire loses less than this (common practice, no source). */
const mostLost_V = 3;

type Strange = Pick<LoopVerdict, 'verdict' | 'why'>;

/** What cannot be measured in this loop as it should be; null: it can. */
function implausible(volts: number, source_V: number): Strange | null {
  if (Math.abs(volts) > most_V)
    return { verdict: 'foreign-voltage', why: 'foreign voltage on this wire: do not touch, find its source' };
  if (volts < -tolerance_V)
    return {
      verdict: 'leads-reversed',
      why: 'the leads are reversed, or the black lead is not on the minus of this source',
    };
  return volts > source_V + tolerance_V
    ? { verdict: 'implausible', why: 'above the source voltage: another source feeds in' }
    : null;
}

/** Readings that cannot be, the source first. */
const strangeIn = (source: Loop['source'], measured: Loop['measured']) =>
  [{ after: 'the source', volts: source.volts }, ...measured].flatMap(({ after, volts }) => {
    const strange = implausible(volts, source.volts);
    return strange === null ? [] : [{ after, volts, ...strange }];
  });

type Level = 'high' | 'low' | 'between';
const levelOf = (volts: number): Level => (volts >= on_V ? 'high' : volts <= off_V ? 'low' : 'between');

const kindWords: Readonly<Record<LoopElement['kind'], string>> = {
  contact: 'contact not closing, or wire off',
  wire: 'wire broken or off its terminal',
  terminal: 'terminal does not hold its wire',
  input: 'the input itself',
  common: 'the common is not connected',
  return: 'the return is not connected to the minus of the source that feeds the loop',
};

/** Which way round the loop is wired: with sink wiring current comes out of the input first. */
const wiredAs = (elements: readonly LoopElement[]): 'source' | 'sink' => {
  const input = elements.findIndex((e) => e.kind === 'input');
  const contact = elements.findIndex((e) => e.kind === 'contact');
  return input >= 0 && contact > input ? 'sink' : 'source';
};

/**
 * What the volts measured along a loop say.
 * A loop without a break has the whole voltage up to the input and none behind it; a break keeps the
 * voltage up to itself.
 */
export function checkLoop({ source, elements, measured, bit, selector }: Loop): LoopVerdict {
  const atSource = implausible(source.volts, source.volts);
  if (atSource === null && levelOf(source.volts) !== 'high')
    return {
      open: null,
      verdict: 'source-dead',
      why: `The source gives ${source.volts} V: below ${on_V} V an input may not switch on. Check the source, its fuse, and its other loads.`,
    };
  const [odd] = strangeIn(source, measured);
  if (odd !== undefined)
    return {
      open: null,
      verdict: odd.verdict,
      ...(elements.some((e) => e.id === odd.after) ? { next: { after: odd.after } } : {}),
      why: `${odd.volts} V after ${odd.after}: ${odd.why}.`,
    };
  const twice = measured.find((m, i) =>
    measured.slice(0, i).some((o) => o.after === m.after && Math.abs(o.volts - m.volts) > tolerance_V),
  );
  if (twice !== undefined)
    return {
      open: null,
      verdict: 'two-readings',
      next: { after: twice.after },
      why: `Two different readings after ${twice.after}: measure there again, with the contacts in one position.`,
    };
  const volts = new Map(measured.map((m) => [m.after, m.volts]));
  const levels = elements.map(({ id }) => {
    const v = volts.get(id);
    return v === undefined ? null : levelOf(v);
  });
  const lastHigh = levels.lastIndexOf('high');
  const firstLow = levels.indexOf('low');
  const between = levels.indexOf('between');
  if (firstLow >= 0 && lastHigh > firstLow)
    return {
      open: null,
      verdict: 'contradictory',
      next: { after: elements[firstLow]?.id ?? '' },
      why: `No voltage after ${elements[firstLow]?.id}, and voltage again after ${elements[lastHigh]?.id}: was the meter on the same minus? Measure there again.`,
    };
  if (between >= 0 && elements[between]?.kind !== 'input')
    return {
      open: elements[between]?.id ?? null,
      verdict: 'weak',
      why: `After ${elements[between]?.id} only part of the voltage is left: poor contact, partly broken wire, or another load on this loop.`,
    };
  const lost = lossIn(source, elements, volts);
  if (lost !== null) return lost;
  // Behind the last element is the minus itself.
  const low = firstLow < 0 ? elements.length - 1 : firstLow;
  const unseen = low - (lastHigh + 1);
  if (measured.length === 0 || unseen > 0) {
    const at = elements[lastHigh + 1 + Math.floor((unseen - 1) / 2)] ?? elements[0];
    return {
      open: null,
      verdict: 'measure',
      ...(at === undefined ? {} : { next: { after: at.id } }),
      why: 'The voltage is lost in between: measure halfway.',
    };
  }
  const breaks = elements[low];
  if (breaks !== undefined && breaks.kind !== 'input') {
    if (bit === 1)
      return {
        open: breaks.id,
        verdict: 'bit-contradicts',
        why: `No voltage after ${breaks.id}, yet the drive shows the input on: another input was read, the input is inverted, or it is fed from elsewhere.`,
      };
    return {
      open: breaks.id,
      verdict: 'open',
      why: `Voltage before ${breaks.id} and none after it: ${kindWords[breaks.kind]}.`,
    };
  }
  return behindTheInput(elements, bit, selector);
}

/** Volts lost before the input, where there should be none, although the input may still switch on; null: none. */
function lossIn(
  source: Loop['source'],
  elements: readonly LoopElement[],
  volts: ReadonlyMap<string, number>,
): LoopVerdict | null {
  let before = { volts: source.volts, at: -1 };
  for (const [i, { id, kind }] of elements.entries()) {
    if (kind === 'input') return null;
    const here = volts.get(id);
    if (here === undefined) continue;
    const lost_V = before.volts - here;
    if (here >= on_V && lost_V > mostLost_V) {
      const between = elements.slice(before.at + 1, i);
      const halfway = between[Math.floor((between.length - 1) / 2)];
      const only = between.length === 0;
      return {
        open: only ? id : null,
        verdict: 'voltage-drop',
        ...(only || halfway === undefined ? {} : { next: { after: halfway.id } }),
        why: `${Number(lost_V.toFixed(1))} V are lost ${only ? `over ${id}` : `up to ${id}`}: worn contact or poor joint. The input switches on now, and fails when it gets worse.`,
      };
    }
    before = { volts: here, at: i };
  }
  return null;
}

/** The loop is complete: the whole voltage is over the input. */
function behindTheInput(
  elements: readonly LoopElement[],
  bit: 0 | 1 | undefined,
  selector: 'source' | 'sink' | undefined,
): LoopVerdict {
  if (bit !== 0)
    return {
      open: null,
      verdict: 'complete',
      why:
        bit === 1
          ? 'The loop is complete, and the drive input is on.'
          : 'The loop is complete: full voltage across the input. Now read its bit.',
    };
  const wired = wiredAs(elements);
  if (selector !== undefined && selector !== wired)
    return {
      open: null,
      verdict: 'selector',
      why: `The loop is complete but the bit is 0: wired as ${wired}, and the inputs are set to ${selector}.`,
    };
  return {
    open: null,
    verdict: 'input',
    why:
      selector === undefined
        ? 'The loop is complete but the bit is 0: check the source/sink selector first, then the input itself.'
        : 'The loop is complete, the selector correct, but the bit is 0: the input has failed; try another one.',
  };
}
