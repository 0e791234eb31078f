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
    return { state: 'closed', why: 'Both channels have their voltage.', evidence };
  if (seen.some((c) => c.on === undefined) && live.state !== 'safe-stop')
    return {
      state: 'unknown',
      why: 'The channels were not read.',
      evidence,
      look: { what: `Measure ${marks} against ${pair.return}: both need 24 V.`, minutes: 2 },
    };
  const off = seen.filter((c) => c.on === false);
  const [one] = off;
  if (off.length === 1 && one !== undefined)
    return {
      state: 'open',
      why: `Channel ${one.mark} is off, the other on: its contact, its wire, or a welded partner.`,
      evidence,
    };
  return {
    state: 'open',
    why: `Both channels are off: a guard or emergency stop is open, ${pair.supply} is missing, or the return ${pair.return} is not tied to the minus of the source that feeds them.`,
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
      why: `${broken.mark} carries “${inputFunctionNames[broken.carries]}” and is ${broken.on === true ? 'on' : 'off'}: it holds the unit still, without an alarm.`,
      evidence,
    };
  const unread = list.find((c) => c.on === undefined);
  if (unread !== undefined)
    return { state: 'unknown', why: `${unread.mark} was not read.`, evidence, look: lookAtInput(unread) };
  if (!inputsKnown(facts))
    return {
      state: 'unknown',
      why: 'Not every input function was read: another input may carry it.',
      evidence,
      look: { what: 'Walk the input functions: do not take the defaults for granted.', minutes: 3 },
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
        ? { state: 'open', why: 'An enable is needed, and no input carries it.', evidence }
        : { state: 'closed', why: 'No input carries an enable, and none is needed.', evidence },
    closed: 'The enable is there. It is needed from the keypad too.',
  });
}

/** Are all interlock inputs on? */
export const interlock = (facts: ChainFacts): LinkJudgement =>
  allMustBe(
    facts,
    inputsOf(facts, ['interlock', 'external-trip', 'external-trip-break', 'fast-stop-break', 'coast-break']),
    (c) => c.carries !== 'external-trip',
    {
      none: { state: 'closed', why: 'No input carries an interlock.', evidence: [] },
      closed: 'Every interlock is made.',
    },
  );

/** Is nothing asking for a coast stop? */
export function coast(facts: ChainFacts): LinkJudgement {
  const source = meaning(facts, 'coast.source');
  const control = meaning(facts, 'run.serial-control');
  const evidence = [...saysParameter(facts, 'coast.source'), ...saysParameter(facts, 'run.serial-control')];
  if (control === 'off' || source === 'terminals' || source === 'both')
    return { state: 'closed', why: 'The serial side alone cannot hold it still.', evidence };
  if (source === undefined && control === undefined)
    return {
      state: 'unknown',
      why: 'Not read whether the serial side may coast it.',
      evidence,
      look: lookAtParameter(facts, 'coast.source'),
    };
  const bit = serialBit(facts, 'coast-release', ['coast released', 'coast']);
  if (bit.on === undefined)
    return { state: 'unknown', why: 'The serial control word was not read.', evidence, look: bit.look };
  const word = [...evidence, bit.said];
  return bit.on
    ? { state: 'closed', why: 'The serial side lets it run.', evidence: word }
    : {
        state: 'open',
        why: 'The serial side says coast, with no wire on any input: the controller does not release it, or there is none and the unit still listens.',
        evidence: word,
      };
}
