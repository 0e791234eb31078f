import type { ScaleLinear } from 'd3';

/** The marks of a horizontal axis, with what they count below them. */
export function XAxis({
  x,
  right,
  height,
  name,
  ticks = 8,
  format = String,
}: {
  x: ScaleLinear<number, number>;
  right: number;
  /** Of the whole chart. */
  height: number;
  name: string;
  /** About so many marks. */
  ticks?: number;
  format?: (value: number) => string;
}) {
  return (
    <g fontSize="11.5" fill="var(--chakra-colors-soft)" style={{ fontFamily: "'IBM Plex Mono'" }}>
      {x.ticks(ticks).map((t) => (
        <text key={t} x={x(t)} y={height - 19} textAnchor="middle">
          {format(t)}
        </text>
      ))}
      <text x={right} y={height - 3} textAnchor="end">
        {name}
      </text>
    </g>
  );
}
