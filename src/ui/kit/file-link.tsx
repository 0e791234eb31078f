'use client';
import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState, type MouseEvent, type ReactNode } from 'react';
import { call, callFile } from '../api/call';
import { Secondary } from './buttons';
import { saveFile } from './save-text';
import { Text } from './text';

/** A file that takes less is there before anybody asks where it is, ms. */
const unseen_ms = 700;
/** How often the server is asked how many wait, ms. */
const look_ms = 2000;

type Making = { waiting: number | null };

const others = (waiting: number): string => (waiting === 1 ? '1 more waits' : `${waiting} more wait`);

/**
 * A link to a file that the server makes. It tells when that takes a while and how many wait, can be cancelled, and says
 * why there is none; without scripts it is a plain link.
 * @param href an address of ours that answers with the file
 */
export function FileLink({ href, children }: { href: string; children: ReactNode }) {
  const [making, setMaking] = useState<Making | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const isMaking = making !== null;
  useEffect(() => {
    if (!isMaking) return;
    const timer = setInterval(() => {
      void call('GET /api/v1/work', {}).then((answer) => {
        if (answer.ok) setMaking((now) => now && { waiting: answer.value.waiting });
      });
    }, look_ms);
    return () => clearInterval(timer);
  }, [isMaking]);

  const fetchIt = async (event: MouseEvent) => {
    event.preventDefault();
    if (running.current !== null) return;
    const controller = new AbortController();
    running.current = controller;
    setTrouble(null);
    const slow = setTimeout(() => setMaking({ waiting: null }), unseen_ms);
    const got = await callFile(href, controller.signal);
    clearTimeout(slow);
    running.current = null;
    if (controller.signal.aborted) return;
    setMaking(null);
    if (got.ok) saveFile(got.name, got.content);
    else setTrouble(got.error);
  };
  const cancel = () => {
    running.current?.abort();
    running.current = null;
    setMaking(null);
  };
  return (
    <Box>
      <Secondary asChild>
        <a href={href} download onClick={(event) => void fetchIt(event)} aria-busy={making !== null}>
          {children}
        </a>
      </Secondary>
      {making !== null && (
        <Box display="flex" alignItems="center" gap="2">
          <Text role="status">
            Creating file…{making.waiting !== null && making.waiting > 0 && ` ${others(making.waiting)}.`}
          </Text>
          <Secondary onClick={cancel}>Cancel</Secondary>
        </Box>
      )}
      {trouble !== null && (
        <Text role="alert" color="failed" fontWeight="500" maxW="40ch">
          Not created: {trouble}
        </Text>
      )}
    </Box>
  );
}
