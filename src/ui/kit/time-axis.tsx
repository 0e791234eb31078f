import type { ScaleLinear } from 'd3';

/** The marks of a horizontal axis of time, with what they count below them. */
export function TimeAxis({
  x,
  right,
  height,
  name,
}: {
  x: ScaleLinear<number, number>;
  right: number;
  /** Of the whole chart. */
  height: number;
  name: string;
}) {
  return (
    <g fontSize="11.5" fill="var(--chakra-colors-soft)" style={{ fontFamily: "'IBM Plex Mono'" }}>
      {x.ticks(8).map((t) => (
        <text key={t} x={x(t)} y={height - 19} textAnchor="middle">
          {t}
        </text>
      ))}
      <text x={right} y={height - 3} textAnchor="end">
        {name}
      </text>
    </g>
  );
}
