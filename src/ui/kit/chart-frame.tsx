import { Box } from '@chakra-ui/react';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTerms } from './terms';
import { Disclosure } from './why';

/** So many steps of the arrow keys cross a chart. */
const steps = 48;

/** A vertical line where a chart is read. */
export const Crosshair = ({ x, top, bottom }: { x: number; top: number; bottom: number }) => (
  <line x1={x} x2={x} y1={top} y2={bottom} stroke="var(--chakra-colors-focus)" />
);

/**
 * A chart: its drawing, which is read by pointer or arrow keys, and the table of its values behind it.
 * Scales, axes and curves are the drawing's own.
 */
export function ChartFrame({
  name,
  label,
  width,
  height,
  least = 0,
  greatest,
  graspable = false,
  children,
  caption,
  tableLabel = 'table',
  table,
}: {
  /** What the chart is called. */
  name: string;
  /** What the drawing shows, in words. */
  label: string;
  /** Of the drawing, in its own units. */
  width: number;
  height: number;
  /** On the page, px: it scrolls sideways below `least`, and never grows above `greatest`. */
  least?: number;
  greatest?: number;
  /** Something in the drawing can be taken hold of: an image would hide it. */
  graspable?: boolean;
  /** The drawing, given the horizontal place in it that is read; null: none. */
  children: (read: number | null) => ReactNode;
  caption?: ReactNode;
  tableLabel?: string;
  table: ReactNode;
}) {
  const { say } = useTerms();
  const [read, setRead] = useState<number | null>(null);
  const byKey = (e: KeyboardEvent) => {
    // The arrow keys of something that is taken hold of are its own.
    if (e.target !== e.currentTarget) return;
    const step = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
    if (step === undefined && e.key !== 'Escape') return;
    e.preventDefault();
    setRead(
      step === undefined ? null : Math.min(width, Math.max(0, (read ?? width / 2) + (step * width) / steps)),
    );
  };
  return (
    <Box as="figure">
      <Box overflowX="auto" tabIndex={0} role="group" aria-label={name} onKeyDown={byKey}>
        <svg
          viewBox={`0 0 ${width} ${height}`}
          style={{ width: '100%', minWidth: least, maxWidth: greatest, display: 'block' }}
          role={graspable ? 'group' : 'img'}
          aria-label={say(label)}
          onPointerMove={(e) => {
            const box = e.currentTarget.getBoundingClientRect();
            setRead(((e.clientX - box.left) / box.width) * width);
          }}
          onPointerLeave={() => setRead(null)}
        >
          {children(read)}
        </svg>
      </Box>
      {caption}
      <Disclosure label={tableLabel}>{table}</Disclosure>
    </Box>
  );
}
