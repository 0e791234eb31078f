import { Box, chakra } from '@chakra-ui/react';
import { missingParts } from '@/core/job/release';
import type { OpenIssue } from '@/core/logbook';

const Jump = chakra('button', {
  base: { textDecoration: 'underline', cursor: 'pointer', minH: '28px', px: '1', fontWeight: '500' },
});

/** What is missing before signing, each part a way to where it is put right. */
export function Missing({
  issues,
  goTo,
}: {
  issues: readonly OpenIssue[];
  goTo: (panel: 'place' | 'sheet' | 'run') => void;
}) {
  const { place, steps, sheet } = missingParts(issues);
  const parts = [
    ...(place ? [{ panel: 'place', words: 'supply and installation' } as const] : []),
    ...(sheet > 0
      ? [
          {
            panel: 'sheet',
            words: `${sheet} open issue${sheet === 1 ? '' : 's'} under the start-up sheet`,
          } as const,
        ]
      : []),
    ...(steps > 0
      ? [{ panel: 'run', words: `${steps} step${steps === 1 ? '' : 's'} of the commissioning run` } as const]
      : []),
  ];
  return (
    <Box as="section" aria-label="Missing before signing" display="flex" flexWrap="wrap" alignItems="center">
      {parts.length === 0 ? 'Nothing is missing: sign under the start-up sheet.' : 'Missing before signing:'}
      {parts.map(({ panel, words }) => (
        <Jump key={panel} type="button" onClick={() => goTo(panel)}>
          {words}
        </Jump>
      ))}
    </Box>
  );
}
