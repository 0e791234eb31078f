// The link of the reference: from an analog input, from presets, or from what the display says alone.
import { controlPlace } from './command';
import {
  carriers,
  meaning,
  saysInput,
  saysParameter,
  type Evidence,
  type ChainFacts,
  type LinkJudgement,
} from './facts';

/** An analog figure as its share of full scale. */
function shareOf(facts: ChainFacts, input: 'AI1' | 'AI2'): number | undefined {
  const value = facts.live[input];
  const signal = meaning(facts, `input.${input}-signal`);
  if (value === undefined || signal === undefined) return undefined;
  return signal === '4-20mA' ? (value - 4) / 16 : signal === '0-20mA' ? value / 20 : value / 10;
}

const presetBits = ['preset-1', 'preset-2', 'preset-3'] as const;

/** @param zero what the display says where it shows no reference; null: it was not read */
function fromAnalog(
  facts: ChainFacts,
  source: 'AI1' | 'AI2',
  zero: string | null,
  evidence: readonly Evidence[],
): LinkJudgement {
  const share = shareOf(facts, source);
  const mark = facts.control.analogInputs.find((a) => a.id === source)?.mark ?? source;
  const unit = meaning(facts, `input.${source}-signal`);
  const more = [
    ...evidence,
    {
      what: mark,
      said:
        facts.live[source] === undefined
          ? 'not read'
          : `${facts.live[source]} ${String(unit).endsWith('V') ? 'V' : 'mA'}`,
    },
    ...saysParameter(facts, `input.${source}-signal`),
  ];
  if (share === undefined && zero === null)
    return {
      state: 'unknown',
      why: `Reference source is ${mark}, not read yet.`,
      evidence: more,
      look: { what: `Read ${mark} in the analog monitor.`, minutes: 1 },
    };
  return share !== undefined && share > 0.01
    ? {
        state: zero === null ? 'closed' : 'open',
        why:
          zero === null
            ? `${mark} gives a reference.`
            : `${mark} has a signal, but the reference is zero: check scaling and reference source.`,
        evidence: more,
      }
    : {
        state: 'open',
        why: `${zero ?? 'No reference.'} Reference source is ${mark}, and ${mark} is at zero: potentiometer, transmitter, wire, or wrong source.`,
        evidence: more,
      };
}

/** @param zero what the display says where it shows no reference; null: it was not read */
function fromPresets(facts: ChainFacts, zero: string | null, evidence: readonly Evidence[]): LinkJudgement {
  const bits = carriers(facts).filter((c) => presetBits.some((b) => b === c.carries));
  const more = [...evidence, ...bits.map(saysInput)];
  if (bits.some((b) => b.on === true) && zero === null)
    return { state: 'closed', why: 'A preset speed is selected.', evidence: more };
  return {
    state: 'open',
    why: 'Reference source is presets, but none is selected or it is zero.',
    evidence: more,
  };
}

/** Is there a reference above the lowest frequency? */
export function reference(facts: ChainFacts): LinkJudgement {
  const at = controlPlace(facts);
  const source = at === undefined ? undefined : meaning(facts, `place.${at}-reference`);
  const shown = facts.live.reference_Hz;
  const lowest = meaning(facts, 'limit.minimum-frequency');
  const evidence = [
    ...(at === undefined ? [] : saysParameter(facts, `place.${at}-reference`)),
    ...(shown === undefined ? [] : [{ what: 'reference shown', said: `${shown} Hz` }]),
  ];
  if (typeof lowest === 'number' && lowest > 0)
    return {
      state: 'closed',
      why: `Minimum frequency is ${lowest} Hz.`,
      evidence: [...evidence, ...saysParameter(facts, 'limit.minimum-frequency')],
    };
  if (shown !== undefined && shown > 0.05) return { state: 'closed', why: 'Reference present.', evidence };
  const zero = shown === undefined ? null : 'The reference is zero: run LED on, shaft stopped.';
  if (source === 'AI1' || source === 'AI2') return fromAnalog(facts, source, zero, evidence);
  if (source === 'preset') return fromPresets(facts, zero, evidence);
  if (zero !== null)
    return {
      state: 'open',
      why: `${zero} Reference source: ${source === undefined ? 'not read' : String(source)}.`,
      evidence,
    };
  return {
    state: 'unknown',
    why: 'The reference was not read.',
    evidence,
    look: { what: 'Read the reference on the display.', minutes: 1 },
  };
}
