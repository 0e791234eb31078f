// Why a drive does not run.
import { coast, enable, interlock, safeStop } from './permissives';
import { direction, limitsLink, output, place, run } from './command';
import { reference } from './reference';
import { precharge, supply, trip } from './power';
import type { RunChain } from './chain';
import type { ChainFacts, LinkJudgement, ChainLink, ChainLinkId } from './facts';

export type { RunChain } from './chain';
export { chainWords } from './words';
export { enableGiven, runGiven } from './run-given';

export {
  linkIds,
  type ChainControl,
  type Evidence,
  type ChainFacts,
  type ChainLink,
  type ChainLinkId,
  type NextLook,
} from './facts';

const links: readonly {
  id: ChainLinkId;
  name: string;
  judge: (facts: ChainFacts) => LinkJudgement | null;
}[] = [
  { id: 'supply', name: 'Supply', judge: supply },
  { id: 'precharge', name: 'Precharge', judge: precharge },
  { id: 'trip', name: 'No trip', judge: trip },
  { id: 'safe-stop', name: 'STO', judge: safeStop },
  { id: 'enable', name: 'Enable', judge: enable },
  { id: 'interlock', name: 'Interlocks', judge: interlock },
  { id: 'coast', name: 'No coast', judge: coast },
  { id: 'place', name: 'Local/remote', judge: place },
  { id: 'run', name: 'Run', judge: run },
  { id: 'direction', name: 'Direction', judge: direction },
  { id: 'reference', name: 'Reference', judge: reference },
  { id: 'limits', name: 'Limits', judge: limitsLink },
  { id: 'output', name: 'Output', judge: output },
];

/** The chain of permissives of a unit, from the supply to its output. */
export function runChain(facts: ChainFacts): RunChain {
  const judged = links.flatMap(({ id, name, judge }): ChainLink[] => {
    const link = judge(facts);
    return link === null ? [] : [{ id, name, ...link }];
  });
  // The output is what the rest is about: that it is dead is the question, not the answer.
  const chain = judged.filter((l) => l.id !== 'output');
  const open = chain.findIndex((l) => l.state === 'open');
  const before = (open < 0 ? chain : chain.slice(0, open)).filter((l) => l.state === 'unknown');
  const [next] = before
    .flatMap((l) => (l.look === undefined ? [] : [{ ...l.look, settles: l.id }]))
    .sort((a, b) => a.minutes - b.minutes);
  return {
    links: judged,
    firstOpen: chain[open]?.id ?? null,
    unknownBefore: before.map((l) => l.id),
    next: next ?? null,
  };
}
