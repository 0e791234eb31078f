import { bisector, curveStepAfter, extent, line, scaleLinear } from 'd3';
import { useState } from 'react';
import { ChartFrame, Crosshair } from './chart-frame';
import { LaneHandle, type Handle } from './lane-handle';
import { PlainTable } from './plain-table';
import { XAxis } from './x-axis';
import { YTicks } from './y-ticks';
import { Cell } from './text';
import { ChartLabel } from './chart-label';

const width = 720;
const lane = 96;
const inset = { left: 58, right: 12, bottom: 36 };

const shownFigure = (value: number | null): string =>
  value === null ? '' : String(Number(value.toFixed(2)));

/** A lane's range: what came, with some air, and never nothing. */
function rangeOf(values: readonly number[], unit: string): [number, number] {
  if (unit === 'bit') return [-0.1, 1.1];
  const [low = 0, high = 1] = extent(values);
  const air = Math.max(0.05 * (high - low), 0.02 * Math.abs(high), 0.5);
  return [low - air, high + air];
}

/** One lane: a value with its unit; `bit` is drawn in steps. */
export interface Lane<S> {
  id: string;
  name: string;
  unit: string;
  of: (sample: S) => number | null;
  /** A line that must not be crossed, e.g. the trip level. */
  limit?: { value: number; name: string };
}

/** A level that must not be crossed. */
const LimitLine = ({ at, name }: { at: number; name: string }) => (
  <g>
    <line
      x1={inset.left}
      x2={width - inset.right}
      y1={at}
      y2={at}
      stroke="var(--chakra-colors-failed)"
      strokeDasharray="6 5"
    />
    <ChartLabel
      x={width - inset.right - 4}
      y={at + 12}
      textAnchor="end"
      fontSize="11.5"
      fill="var(--chakra-colors-failed)"
    >
      {name}
    </ChartLabel>
  </g>
);

/** Values over one time axis, each in a lane with its own scale: units never share one. */
export function Lanes<S extends { at_s: number }>({
  name,
  samples,
  series,
  marks = [],
  handles = [],
}: {
  /** What the chart is called to those who listen. */
  name: string;
  samples: readonly S[];
  series: readonly Lane<S>[];
  /** Moments with a name. */
  marks?: readonly { at_s: number; name: string }[];
  /** Moments that can be moved. */
  handles?: readonly Handle[];
}) {
  const [held_s, setHeld_s] = useState<number | null>(null);
  const first = samples[0]?.at_s ?? 0;
  const ends = samples[samples.length - 1]?.at_s ?? 1;
  // While a handle is held the axis stays where it is.
  const last = held_s ?? Math.max(ends, ...handles.map((h) => h.at_s * 1.04));
  const grips = handles.length > 0 ? 40 : 0;
  const height = series.length * lane + grips + inset.bottom;
  const x = scaleLinear([first, Math.max(last, first + 10)], [inset.left, width - inset.right]);
  const nearest = bisector((s: S) => s.at_s).center;
  return (
    <ChartFrame
      name={name}
      label={`${series.map((s) => s.name).join(', ')} over ${(last - first).toFixed(0)} seconds`}
      width={width}
      height={height}
      least={540}
      graspable={handles.length > 0}
      table={
        <PlainTable heads={['s', ...series.map((s) => (s.unit === '' ? s.name : `${s.name}, ${s.unit}`))]}>
          {samples.slice(-20).map((s) => (
            <tr key={s.at_s}>
              <Cell>{s.at_s.toFixed(1)}</Cell>
              {series.map((one) => (
                <Cell key={one.id}>{shownFigure(one.of(s))}</Cell>
              ))}
            </tr>
          ))}
        </PlainTable>
      }
    >
      {(read) => {
        const shown = samples[read === null ? samples.length - 1 : nearest(samples, x.invert(read))];
        return (
          <>
            {series.map((one, i) => {
              const points = samples.flatMap((s) => {
                const value = one.of(s);
                return value === null ? [] : [{ at_s: s.at_s, value }];
              });
              const top = i * lane + 8;
              const y = scaleLinear(
                rangeOf(
                  [...points.map((p) => p.value), ...(one.limit === undefined ? [] : [one.limit.value])],
                  one.unit,
                ),
                [top + lane - 16, top + 20],
              );
              const path = line<{ at_s: number; value: number }>()
                .x((p) => x(p.at_s))
                .y((p) => y(p.value));
              const now = shown === undefined ? null : one.of(shown);
              return (
                <g key={one.id}>
                  <YTicks
                    ticks={one.unit === 'bit' ? [0, 1] : y.ticks(3)}
                    y={y}
                    left={inset.left}
                    right={width - inset.right}
                  />
                  {one.limit !== undefined && <LimitLine at={y(one.limit.value)} name={one.limit.name} />}
                  <path
                    d={(one.unit === 'bit' ? path.curve(curveStepAfter) : path)(points) ?? ''}
                    fill="none"
                    stroke="var(--chakra-colors-ink)"
                    strokeWidth="2"
                  />
                  <ChartLabel x={inset.left + 6} y={top + 10} fontSize="13" fill="var(--chakra-colors-ink)">
                    {one.name}
                    {one.unit === 'bit' || one.unit === '' ? '' : `, ${one.unit}`}
                    {now === null ? '' : `: ${Number(now.toFixed(2))}`}
                  </ChartLabel>
                </g>
              );
            })}
            {marks.map((m) => (
              <g key={m.name}>
                <line
                  x1={x(m.at_s)}
                  x2={x(m.at_s)}
                  y1={4}
                  y2={height - inset.bottom}
                  stroke="var(--chakra-colors-failed)"
                  strokeWidth="1.6"
                />
                <ChartLabel
                  x={x(m.at_s) - 5}
                  y={16}
                  textAnchor="end"
                  fontSize="12.5"
                  fill="var(--chakra-colors-failed)"
                >
                  {m.name}
                </ChartLabel>
              </g>
            ))}
            {handles.map((h) => (
              <LaneHandle
                key={h.name}
                handle={h}
                x={x}
                bottom={height - inset.bottom}
                holding={(held) => setHeld_s(held ? last : null)}
              />
            ))}
            {shown !== undefined && read !== null && (
              <Crosshair x={x(shown.at_s)} top={4} bottom={height - inset.bottom} />
            )}
            <XAxis x={x} right={width - inset.right} height={height} name="seconds" />
          </>
        );
      }}
    </ChartFrame>
  );
}
