import type { RunChain } from './chain';

/** The chain in a sentence, and what to do next. */
export function chainWords({ links, firstOpen, unknownBefore, next }: RunChain): {
  headline: string;
  detail: string;
} {
  const nameOf = (id: string): string => links.find((l) => l.id === id)?.name ?? id;
  const unseen = unknownBefore.map(nameOf).join(', ');
  const look = next === null ? '' : `Next: ${next.what}`;
  if (firstOpen === null)
    return unknownBefore.length > 0
      ? { headline: 'No open condition so far.', detail: `Not checked yet: ${unseen}. ${look}` }
      : { headline: 'No run inhibit found.', detail: links.find((l) => l.id === 'output')?.why ?? '' };
  const open = links.find((l) => l.id === firstOpen);
  return {
    headline: `${nameOf(firstOpen)}: open.`,
    detail: `${open?.why ?? ''}${unknownBefore.length > 0 ? ` Earlier steps not checked: ${unseen}. ${look}` : ''}`,
  };
}
