import { useEffect, useRef, type ReactNode } from 'react';
import { Primary } from './buttons';
import { Heading } from './text';

/** A dialog over the page, as long as it is drawn. The browser keeps the focus in it; Escape closes it. */
export function Dialog({
  name,
  title,
  close,
  children,
}: {
  /** What it is called to those who listen. */
  name: string;
  title: string;
  close: () => void;
  children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => dialog.current?.showModal(), []);
  return (
    <dialog
      ref={dialog}
      onClose={close}
      aria-label={name}
      style={{
        margin: 'auto',
        padding: 24,
        maxWidth: 560,
        background: 'var(--chakra-colors-card)',
        color: 'var(--chakra-colors-ink)',
        border: '2px solid var(--chakra-colors-ink)',
        borderRadius: 4,
      }}
    >
      <Heading as="h2" fontFamily="heading" fontSize="1.3rem" mb="3">
        {title}
      </Heading>
      {children}
      <Primary onClick={() => dialog.current?.close()}>Close</Primary>
    </dialog>
  );
}
