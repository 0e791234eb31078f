'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useEffect, useRef } from 'react';
import { stageAddress, type StageId, type StageLine } from '@/core/logbook';
import { VisuallyHidden } from '../kit/buttons';
import { Text } from '../kit/text';

const row = 50;
const stateWords = { done: 'done', todo: 'to do', locked: 'locked' } as const;

/** One notch of the card's edge: punched open, ringed, or a plain hole. */
function Notch({ line, now }: { line: StageLine; now: boolean }) {
  return (
    <svg width="46" height={row} viewBox={`0 0 46 ${row}`} aria-hidden style={{ flex: 'none' }}>
      {line.state === 'done' ? (
        <path
          className="punched"
          d="M0 12 L22 16 A9 9 0 0 1 22 34 L0 38 Z"
          fill="var(--chakra-colors-bench)"
          stroke="var(--chakra-colors-soft)"
        />
      ) : (
        <circle cx="22" cy="25" r="9" fill="var(--chakra-colors-bench)" stroke="var(--chakra-colors-soft)" />
      )}
      {now && line.state !== 'done' && (
        <circle cx="22" cy="25" r="13" fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="2" />
      )}
      {now && line.state === 'done' && (
        <path
          d="M0 8 L23 12.5 A12.8 12.8 0 0 1 23 37.5 L0 42"
          fill="none"
          stroke="var(--chakra-colors-ink)"
          strokeWidth="2"
        />
      )}
      {line.state === 'locked' && (
        <path d="M15 25 H29" stroke="var(--chakra-colors-bench-soft)" strokeWidth="3" strokeLinecap="round" />
      )}
    </svg>
  );
}

/** The stages of the job on the card's edge. On a phone only the notches remain. */
export function StageEdge({
  jobId,
  lines,
  open,
  goTo,
}: {
  jobId: string;
  lines: readonly StageLine[];
  open: StageId;
  goTo: (stage: StageId) => void;
}) {
  // On a phone the strip begins where one is, not at the first stage.
  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const now = strip.current?.querySelector<HTMLElement>('[aria-current]');
    if (strip.current !== null && now)
      strip.current.scrollLeft = now.offsetLeft - strip.current.clientWidth / 2 + 24;
  }, [open]);
  return (
    <Box
      as="nav"
      ref={strip}
      aria-label="Stages of this job"
      position="relative"
      bg="cardEdge"
      borderRadius={{ base: '4px 4px 0 0', md: '4px 0 0 4px' }}
      py={{ base: 0, md: '14px' }}
      display={{ base: 'flex', md: 'block' }}
      overflowX={{ base: 'auto', md: 'visible' }}
      css={{
        '@keyframes punch': { from: { transform: 'scaleX(0)' }, to: { transform: 'scaleX(1)' } },
        '& .punched': { transformOrigin: '0 50%', animation: 'punch 260ms ease-out' },
      }}
    >
      {lines.map((line) => {
        const now = line.id === open;
        return (
          <Box
            key={line.id}
            asChild
            display="flex"
            alignItems="center"
            minH={`${row}px`}
            minW={{ base: '48px', md: 0 }}
            borderRight={{ base: 0, md: '4px solid' }}
            borderBottom={{ base: '4px solid', md: 0 }}
            borderColor={{ base: now ? 'ink' : 'transparent', md: now ? 'ink' : 'transparent' }}
            pr={{ base: 0, md: '2' }}
          >
            <NextLink
              href={`/jobs/${jobId}/${stageAddress(line.id)}`}
              prefetch={false}
              aria-current={now ? 'step' : undefined}
              onClick={(e) => {
                // A new tab is the browser's business; in this one the card stays as it is.
                if (e.metaKey || e.ctrlKey || e.shiftKey || e.altKey) return;
                e.preventDefault();
                goTo(line.id);
              }}
            >
              <Notch line={line} now={now} />
              <Box display={{ base: 'none', md: 'block' }} minW="0">
                <Text
                  fontFamily="heading"
                  fontSize="1.06rem"
                  lineHeight="1.15"
                  fontWeight={now ? 600 : 500}
                  color={
                    line.state === 'locked' || (line.state === 'todo' && line.note === '' && !now)
                      ? 'soft'
                      : 'ink'
                  }
                >
                  {line.name}
                </Text>
                {line.note !== '' && (
                  <Text fontSize="0.78rem" lineHeight="1.2" color="soft">
                    {line.note}
                  </Text>
                )}
              </Box>
              <VisuallyHidden>
                {line.name}, {stateWords[line.state]}
              </VisuallyHidden>
            </NextLink>
          </Box>
        );
      })}
    </Box>
  );
}
