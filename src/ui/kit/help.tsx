'use client';
import { Box } from '@chakra-ui/react';
import { CircleQuestionMark } from 'lucide-react';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';

/** What one does on a page. It comes when it is asked for: the first load of a page stays small. */
export const HelpSheet = dynamic(() => import('./help-sheet').then((m) => m.HelpSheet), { ssr: false });

/** Does a key that is pressed there belong to what is typed? */
const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** What one does on this page and with which keys: behind a button and the key `?`. */
export function Help() {
  const path = usePathname();
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== '?' || e.defaultPrevented || isTyping(e.target)) return;
      e.preventDefault();
      setOpen(true);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <Box
        asChild
        display="grid"
        placeItems="center"
        w={{ base: '36px', sm: '44px' }}
        h="44px"
        cursor="pointer"
        color="benchInk"
      >
        <button type="button" onClick={() => setOpen(true)} aria-label="Help for this page">
          <CircleQuestionMark size={20} aria-hidden />
        </button>
      </Box>
      {open && <HelpSheet path={path} close={() => setOpen(false)} />}
    </>
  );
}
