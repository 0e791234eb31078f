import type { SourceKind } from '../bench/make-safe';
import { deadlyFamilies, familyWords } from '../fault-finding/tracing';
import type { LookItem } from './families/inspection/vocabulary';
import type { JobState } from './job-state';

const deadAfterFinding = ['smell', 'soot', 'fuses', 'capacitors', 'moisture', 'lugs'] as const;
const deadAfterFamily = [...deadlyFamilies, 'charging'] as const;
const findingWords: Partial<Record<LookItem, string>> = { fuses: 'blown fuse', lugs: 'burnt or loose lugs' };

/** Signs after which mains must not come back just to read the display. */
export function mustStayDead({ call, look, asFound }: JobState): string[] {
  const signs = (call?.signs ?? []).map((s) => s.replace('-', ' '));
  const found = deadAfterFinding
    .filter((item) => look[item]?.state === 'found')
    .map((item) => findingWords[item] ?? item);
  const family = asFound !== null && 'captured' in asFound ? asFound.captured.family : 'none';
  const trip = deadAfterFamily.some((f) => f === family) ? [`${familyWords[family]} trip`] : [];
  return [...new Set([...signs, ...found, ...trip])];
}

/** Sources that were met on this job, for the machine's memory. */
export const sourcesMet = (state: JobState): SourceKind[] =>
  (state.safety.sources?.list ?? []).filter((s) => s.state !== 'absent').map((s) => s.kind);
