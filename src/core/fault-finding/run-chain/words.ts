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
      ? { headline: 'Nothing is open so far.', detail: `Not looked at yet: ${unseen}. ${look}` }
      : { headline: 'No inhibit found.', detail: links.find((l) => l.id === 'output')?.why ?? '' };
  const open = links.find((l) => l.id === firstOpen);
  return {
    headline: `${nameOf(firstOpen)}: open.`,
    detail: `${open?.why ?? ''}${unknownBefore.length > 0 ? ` But nobody looked at what stands before it: ${unseen}. ${look}` : ''}`,
  };
}
