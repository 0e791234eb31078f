// The links that hold the unit still without a fault: STO, enable, interlock, coast.
import {
  carriers,
  inputsKnown,
  lookAtInput,
  lookAtParameter,
  meaning,
  saysInput,
  saysParameter,
  serialBit,
  type Carrier,
  type ChainFacts,
  type LinkJudgement,
} from './facts';
import { inputFunctionNames, type InputFunction } from '../../equipment/concepts';

/** Are both channels of the safe torque off released? Null where the type has none. */
export function safeStop({ control, live }: ChainFacts): LinkJudgement | null {
  const { safeStop: pair } = control;
  if (pair === null) return null;
  const seen = pair.channels.map((c) => ({ ...c, on: live.inputs?.[c.id] }));
  const evidence = seen.map(({ mark, on }) => ({
    what: `STO ${mark}`,
    said: on === undefined ? 'not read' : on ? 'on' : 'off',
  }));
  const marks = pair.channels.map((c) => c.mark).join(' and ');
  if (seen.every((c) => c.on === true))
    return { state: 'closed', why: 'Both STO channels have voltage.', evidence };
  if (seen.some((c) => c.on === undefined) && live.state !== 'safe-stop')
    return {
      state: 'unknown',
      why: 'STO channels not read.',
      evidence,
      look: { what: `Measure ${marks} against ${pair.return}: both need 24 V.`, minutes: 2 },
    };
  const off = seen.filter((c) => c.on === false);
  const [one] = off;
  if (off.length === 1 && one !== undefined)
    return {
      state: 'open',
      why: `STO channel ${one.mark} is off, the other on: contact, wire, or welded contact in the other channel.`,
      evidence,
    };
  return {
    state: 'open',
    why: `Both STO channels are off: guard or E-stop open, ${pair.supply} missing, or return ${pair.return} not connected to the minus of its source.`,
    evidence,
  };
}

/** Inputs that must be on, those that must be off, and what is said of them. */
function inputsOf(facts: ChainFacts, functions: readonly InputFunction[]): Carrier[] {
  return carriers(facts).filter((c) => functions.includes(c.carries));
}

function allMustBe(
  facts: ChainFacts,
  list: readonly Carrier[],
  wanted: (c: Carrier) => boolean,
  { none, closed }: { none: LinkJudgement; closed: string },
): LinkJudgement {
  const evidence = list.map(saysInput);
  const broken = list.find((c) => c.on !== undefined && c.on !== wanted(c));
  if (broken !== undefined)
    return {
      state: 'open',
      why: `${broken.mark} carries “${inputFunctionNames[broken.carries]}” and is ${broken.on === true ? 'on' : 'off'}: it inhibits the drive without a fault.`,
      evidence,
    };
  const unread = list.find((c) => c.on === undefined);
  if (unread !== undefined)
    return { state: 'unknown', why: `${unread.mark} was not read.`, evidence, look: lookAtInput(unread) };
  if (!inputsKnown(facts))
    return {
      state: 'unknown',
      why: 'Not all input functions were read: another input may have it.',
      evidence,
      look: { what: 'Read every input function; do not assume defaults.', minutes: 3 },
    };
  return list.length === 0 ? none : { state: 'closed', why: closed, evidence };
}

/** Is the enable input on, where one is needed? */
export function enable(facts: ChainFacts): LinkJudgement {
  const list = inputsOf(facts, ['enable']);
  const needed = meaning(facts, 'run.enable-needed');
  const evidence = saysParameter(facts, 'run.enable-needed');
  return allMustBe(facts, list, () => true, {
    none:
      needed === 'yes'
        ? { state: 'open', why: 'Enable required, but no input has this function.', evidence }
        : { state: 'closed', why: 'No enable input, and none required.', evidence },
    closed: 'Enable present. It is required in keypad control too.',
  });
}

/** Are all interlock inputs on? */
export const interlock = (facts: ChainFacts): LinkJudgement =>
  allMustBe(
    facts,
    inputsOf(facts, ['interlock', 'external-trip', 'external-trip-break', 'fast-stop-break', 'coast-break']),
    (c) => c.carries !== 'external-trip',
    {
      none: { state: 'closed', why: 'No interlock input.', evidence: [] },
      closed: 'All interlocks closed.',
    },
  );

/** Is nothing asking for a coast stop? */
export function coast(facts: ChainFacts): LinkJudgement {
  const source = meaning(facts, 'coast.source');
  const control = meaning(facts, 'run.serial-control');
  const evidence = [...saysParameter(facts, 'coast.source'), ...saysParameter(facts, 'run.serial-control')];
  if (control === 'off' || source === 'terminals' || source === 'both')
    return { state: 'closed', why: 'The serial link cannot coast the drive.', evidence };
  if (source === undefined && control === undefined)
    return {
      state: 'unknown',
      why: 'Not read whether the serial link may coast the drive.',
      evidence,
      look: lookAtParameter(facts, 'coast.source'),
    };
  const bit = serialBit(facts, 'coast-release', ['coast released', 'coast']);
  if (bit.on === undefined)
    return { state: 'unknown', why: 'The serial control word was not read.', evidence, look: bit.look };
  const word = [...evidence, bit.said];
  return bit.on
    ? { state: 'closed', why: 'The serial link releases coast.', evidence: word }
    : {
        state: 'open',
        why: 'Coast commanded over the serial link: the controller does not release it, or there is no controller and the serial control word is still active.',
        evidence: word,
      };
}
