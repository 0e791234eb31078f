/** The four states: shape, word and colour together, never colour alone. */
export type Mark = 'sound' | 'doubt' | 'failed' | 'unprobed';

const words: Record<Mark, string> = {
  sound: 'normal',
  doubt: 'doubtful',
  failed: 'failed',
  unprobed: 'not measured',
};
const colours: Record<Mark, string> = {
  sound: 'var(--chakra-colors-sound)',
  doubt: 'var(--chakra-colors-doubt)',
  failed: 'var(--chakra-colors-failed)',
  unprobed: 'var(--chakra-colors-slate)',
};

export const markColour = (mark: Mark): string => colours[mark];
export const markWord = (mark: Mark): string => words[mark];

/** Filled disc, half disc, cross or ring. `label` null hides it from readers that hear the word beside it. */
export function StateMark({ mark, size = 14, label }: { mark: Mark; size?: number; label?: string | null }) {
  const colour = colours[mark];
  const said = label === undefined ? words[mark] : label;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      style={{ display: 'inline-block', verticalAlign: '-0.1em', flex: 'none' }}
      {...(said === null ? { 'aria-hidden': true } : { role: 'img', 'aria-label': said })}
    >
      {mark === 'sound' && <circle cx="8" cy="8" r="6.5" fill={colour} />}
      {mark === 'doubt' && (
        <>
          <circle cx="8" cy="8" r="6" fill="none" stroke={colour} strokeWidth="1.8" />
          <path d="M8 2a6 6 0 0 1 0 12z" fill={colour} />
        </>
      )}
      {mark === 'failed' && (
        <path d="M3 3l10 10M13 3L3 13" stroke={colour} strokeWidth="2.8" strokeLinecap="round" />
      )}
      {mark === 'unprobed' && <circle cx="8" cy="8" r="6" fill="none" stroke={colour} strokeWidth="1.8" />}
    </svg>
  );
}
