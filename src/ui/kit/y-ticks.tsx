/** The marks of a vertical axis, each with its line across the chart. */
export function YTicks({
  ticks,
  y,
  left,
  right,
}: {
  ticks: readonly number[];
  y: (value: number) => number;
  /** Where the lines begin and end. */
  left: number;
  right: number;
}) {
  return (
    <g style={{ fontFamily: "'IBM Plex Mono'" }} fontSize="11.5" fill="var(--chakra-colors-soft)">
      {ticks.map((t) => (
        <g key={t}>
          <line x1={left} x2={right} y1={y(t)} y2={y(t)} stroke="var(--chakra-colors-line)" />
          <text x={left - 6} y={y(t) + 4} textAnchor="end">
            {t}
          </text>
        </g>
      ))}
    </g>
  );
}
