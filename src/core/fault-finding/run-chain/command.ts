// The links of command: control place, run, direction, limits, output.
import { inputFunctionNames } from '../../equipment/concepts';
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
  type Evidence,
  type ChainFacts,
  type LinkJudgement,
} from './facts';

type Place = 'local' | 'remote';

const carrierOf = (facts: ChainFacts, ...functions: Carrier['carries'][]): Carrier | undefined =>
  carriers(facts).find((c) => functions.includes(c.carries));

/** The place that holds, as far as parameters, input and display tell. */
export function controlPlace(facts: ChainFacts): Place | undefined {
  if (facts.live.place !== undefined) return facts.live.place;
  const selected = meaning(facts, 'place.selected');
  if (selected === 'local' || selected === 'remote') return selected;
  const selector = carrierOf(facts, 'local-remote')?.on;
  return selected === 'by-input' && selector !== undefined ? (selector ? 'remote' : 'local') : undefined;
}

/** Is the control place known, and does it agree with its selector? */
export function place(facts: ChainFacts): LinkJudgement {
  const at = controlPlace(facts);
  const selector = carrierOf(facts, 'local-remote');
  const evidence = [
    ...saysParameter(facts, 'place.selected'),
    ...(facts.live.place === undefined ? [] : [{ what: 'local/remote shown', said: facts.live.place }]),
    ...(selector === undefined ? [] : [saysInput(selector)]),
  ];
  if (at === undefined)
    return {
      state: 'unknown',
      why: 'The local/remote selection is not known.',
      evidence,
      look: { what: 'Read on the display: local or remote?', minutes: 1 },
    };
  return {
    state: 'closed',
    why: `In ${at}: run from ${sourceWords(facts, at, 'run')}, speed from ${sourceWords(facts, at, 'reference')}.`,
    evidence,
  };
}

const sourceWords = (facts: ChainFacts, at: Place, of: 'run' | 'reference'): string =>
  String(meaning(facts, `place.${at}-${of}`) ?? 'not known');

/** Is run given, from where it is taken? */
export function run(facts: ChainFacts): LinkJudgement {
  const at = controlPlace(facts);
  const source = at === undefined ? undefined : meaning(facts, `place.${at}-run`);
  const evidence = at === undefined ? [] : saysParameter(facts, `place.${at}-run`);
  const running = facts.live.state === 'running';
  if (at === undefined || source === undefined)
    return running
      ? { state: 'closed', why: 'The drive is running.', evidence }
      : {
          state: 'unknown',
          why: 'Control source not known.',
          evidence,
          look: lookAtParameter(facts, 'place.remote-run'),
        };
  if (source === 'terminals') return runByTerminals(facts, evidence);
  if (source === 'serial') return runBySerial(facts, evidence);
  const wire = carriers(facts).find(
    (c) => ['run', 'run-forward', 'run-reverse', 'start-pulse'].includes(c.carries) && c.on === true,
  );
  const aside =
    wire === undefined ? '' : ` ${wire.mark} gives run, but in ${at} the control source is the keypad.`;
  return running
    ? { state: 'closed', why: 'Run key pressed.', evidence }
    : {
        state: 'open',
        why: `Control source is the keypad; run was not pressed.${aside}`,
        evidence: [...evidence, ...(wire === undefined ? [] : [saysInput(wire)])],
      };
}

function runByTerminals(facts: ChainFacts, before: readonly Evidence[]): LinkJudgement {
  const wiring = meaning(facts, 'run.wiring');
  const needed =
    wiring === 'three-wire' ? (['stop-break'] as const) : (['run', 'run-forward', 'run-reverse'] as const);
  const list = carriers(facts).filter((c) => needed.some((n) => n === c.carries));
  const evidence = [...before, ...saysParameter(facts, 'run.wiring'), ...list.map(saysInput)];
  if (wiring === undefined && list.length === 0)
    return {
      state: 'unknown',
      why: 'Control source is the terminals; wiring type not read.',
      evidence,
      look: lookAtParameter(facts, 'run.wiring'),
    };
  if (list.length === 0)
    return {
      state: 'open',
      why: `Control source is the terminals, but no input has the function “${inputFunctionNames[needed[0]]}”.`,
      evidence,
    };
  const given = list.some((c) => c.on === true);
  const unread = list.find((c) => c.on === undefined);
  if (wiring === 'three-wire') {
    const [stop] = list;
    if (stop?.on === false)
      return { state: 'open', why: `The stop contact on ${stop.mark} is open.`, evidence };
    if (facts.live.state === 'running') return { state: 'closed', why: 'Started.', evidence };
    return stop?.on === undefined
      ? {
          state: 'unknown',
          why: 'The stop input was not read.',
          evidence,
          ...(stop === undefined ? {} : { look: lookAtInput(stop) }),
        }
      : { state: 'open', why: 'Three-wire control: waiting for the start pulse.', evidence };
  }
  if (given) return { state: 'closed', why: 'Run command present at the terminals.', evidence };
  if (unread !== undefined)
    return { state: 'unknown', why: `${unread.mark} was not read.`, evidence, look: lookAtInput(unread) };
  return {
    state: 'open',
    why: `No run command at the terminals: ${list.map((c) => c.mark).join(', ')} off.`,
    evidence,
  };
}

function runBySerial(facts: ChainFacts, before: readonly Evidence[]): LinkJudgement {
  const evidence = [...before, ...saysParameter(facts, 'run.serial-control')];
  if (meaning(facts, 'run.serial-control') === 'off')
    return { state: 'open', why: 'Control source is the serial link, but serial control is off.', evidence };
  const bit = serialBit(facts, 'run', ['run', 'no run']);
  if (bit.on === undefined)
    return { state: 'unknown', why: 'The serial control word was not read.', evidence, look: bit.look };
  const word = [...evidence, bit.said];
  return bit.on
    ? { state: 'closed', why: 'The controller gives run.', evidence: word }
    : { state: 'open', why: 'The controller gives no run command.', evidence: word };
}

/** Is the wanted direction allowed? */
export function direction(facts: ChainFacts): LinkJudgement {
  const reversing = carriers(facts).filter(
    (c) => (c.carries === 'run-reverse' || c.carries === 'reverse') && c.on === true,
  );
  const forward = carrierOf(facts, 'run', 'run-forward');
  const serial = facts.live.serial?.['reverse'] === true;
  const reverse = meaning(facts, 'limit.reverse');
  const evidence = [...saysParameter(facts, 'limit.reverse'), ...reversing.map(saysInput)];
  const both = reversing.find((c) => c.carries === 'run-reverse') !== undefined && forward?.on === true;
  if (both)
    return {
      state: 'open',
      why: 'Forward and reverse are commanded at the same time.',
      evidence: [...evidence, saysInput(forward)],
    };
  if (reversing.length === 0 && !serial)
    return inputsKnown(facts)
      ? { state: 'closed', why: 'Forward.', evidence }
      : {
          state: 'unknown',
          why: 'Not all input functions were read: one may command reverse.',
          evidence,
          look: { what: 'Read the input functions.', minutes: 3 },
        };
  if (reverse === undefined)
    return {
      state: 'unknown',
      why: 'Reverse commanded; not read whether it is allowed.',
      evidence,
      look: lookAtParameter(facts, 'limit.reverse'),
    };
  return reverse === 'locked'
    ? { state: 'open', why: 'Reverse commanded, but reverse is disabled.', evidence }
    : { state: 'closed', why: 'Reverse is allowed.', evidence };
}

/** Does a limit hold the output at zero? */
export function limitsLink(facts: ChainFacts): LinkJudgement {
  const named = ['limit.current', 'limit.current-amps', 'limit.torque', 'limit.maximum-frequency'] as const;
  const set = named.flatMap((concept) => {
    const value = meaning(facts, concept);
    return typeof value === 'number' ? [{ concept, value }] : [];
  });
  const evidence = set.flatMap(({ concept }) => saysParameter(facts, concept));
  const shut = set.find(({ value }) => value <= 0);
  if (shut !== undefined) return { state: 'open', why: 'A limit is zero: no output.', evidence };
  return set.length === 0
    ? { state: 'unknown', why: 'No limit was read.', evidence, look: lookAtParameter(facts, 'limit.torque') }
    : { state: 'closed', why: 'No limit is zero.', evidence };
}

/** Does the output run? */
export function output({ live }: ChainFacts): LinkJudgement {
  const evidence = [
    ...(live.state === undefined ? [] : [{ what: 'state', said: live.state }]),
    ...(live.outputFrequency_Hz === undefined
      ? []
      : [{ what: 'output', said: `${live.outputFrequency_Hz} Hz` }]),
  ];
  if (live.outputFrequency_Hz === undefined)
    return {
      state: 'unknown',
      why: 'The output was not read.',
      evidence,
      look: { what: 'Read the output frequency.', minutes: 1 },
    };
  return live.outputFrequency_Hz > 0
    ? {
        state: 'closed',
        why: 'Output frequency present: if the shaft does not turn, check between drive and shaft.',
        evidence,
      }
    : { state: 'open', why: 'No output.', evidence };
}
