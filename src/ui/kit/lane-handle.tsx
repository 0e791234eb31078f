import type { ScaleLinear } from 'd3';
import { useRef } from 'react';
import { ChartLabel } from './chart-label';

/** A moment that can be moved: dragged, or by the arrow keys. */
export interface Handle {
  name: string;
  at_s: number;
  /** As it is said, e.g. "8.0 s". */
  shown: string;
  move: (at_s: number) => void;
}

const step_s = 0.1;
/** Half of what a label takes; near the end it is moved in. */
const labelHalf = 40;

/** A grip on the time axis, as tall as the chart. */
export function LaneHandle({
  handle,
  x,
  bottom,
  holding,
}: {
  handle: Handle;
  x: ScaleLinear<number, number>;
  /** Where the axis is. */
  bottom: number;
  /** Told when it is taken and let go: the axis must not move under the hand. */
  holding: (held: boolean) => void;
}) {
  const svg = useRef<SVGSVGElement | null>(null);
  const at = x(handle.at_s);
  const moved = (clientX: number) => {
    const box = svg.current?.getBoundingClientRect();
    const view = svg.current?.viewBox.baseVal;
    if (box === undefined || view === undefined || box.width === 0) return;
    handle.move(x.invert(((clientX - box.left) / box.width) * view.width));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={handle.name}
      aria-valuenow={Number(handle.at_s.toFixed(1))}
      aria-valuetext={handle.shown}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      onPointerDown={(e) => {
        svg.current = e.currentTarget.ownerSVGElement;
        e.currentTarget.setPointerCapture(e.pointerId);
        holding(true);
      }}
      onPointerMove={(e) => {
        if (e.currentTarget.hasPointerCapture(e.pointerId)) moved(e.clientX);
      }}
      onPointerUp={() => holding(false)}
      onPointerCancel={() => holding(false)}
      onKeyDown={(e) => {
        const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }[e.key];
        if (by === undefined) return;
        e.preventDefault();
        handle.move(handle.at_s + by * step_s);
      }}
    >
      <line
        x1={at}
        x2={at}
        y1={8}
        y2={bottom - 44}
        stroke="var(--chakra-colors-ink)"
        strokeWidth="1.4"
        strokeDasharray="2 4"
      />
      <rect x={at - 24} y={bottom - 34} width="48" height="34" fill="transparent" />
      <path
        d={`M${at - 13} ${bottom} v-14 l13 -11 l13 11 v14 z`}
        fill="var(--chakra-colors-ink)"
        stroke="var(--chakra-colors-paper)"
        strokeWidth="1.5"
      />
      <ChartLabel x={Math.min(at, (x.range()[1] ?? at) - labelHalf)} y={bottom - 31} textAnchor="middle">
        {handle.name} {handle.shown}
      </ChartLabel>
    </g>
  );
}
