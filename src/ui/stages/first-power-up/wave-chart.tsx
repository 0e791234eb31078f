import { Box } from '@chakra-ui/react';
import { bisectCenter, line, scaleLinear } from 'd3';
import { useMemo } from 'react';
import { ChartFrame, Crosshair } from '../../kit/chart-frame';
import { PlainTable } from '../../kit/plain-table';
import { XAxis } from '../../kit/x-axis';
import { YTicks } from '../../kit/y-ticks';
import { keysOf, valueAt } from '@/core/numerics/arrays';
import { Cell } from '../../kit/text';
import { ChartLabel } from '../../kit/chart-label';

export interface Curve {
  name: string;
  /** Sound is dashed, what is measured is dotted, what is shown now is drawn out. */
  style: 'sound' | 'now' | 'measured' | 'raw';
  /** s. */
  t: Float64Array;
  v: Float64Array;
}

export interface WaveLane {
  id: string;
  name: string;
  unit: string;
  curves: readonly Curve[];
}

const width = 760;
const lowLane = 104;
const tallLane = 190;
const inset = { left: 58, right: 12, bottom: 42 };

const looks: Readonly<
  Record<Curve['style'], { stroke: string; width: number; dash?: string; opacity?: number }>
> = {
  raw: { stroke: 'slate', width: 0.8, opacity: 0.45 },
  sound: { stroke: 'slate', width: 1.6, dash: '6 4' },
  now: { stroke: 'ink', width: 2 },
  measured: { stroke: 'failed', width: 1.8, dash: '2 3' },
};
const styleWords: Readonly<Record<Curve['style'], string>> = {
  sound: 'good unit (dashed)',
  now: 'calculated (solid)',
  measured: 'measured (dotted)',
  raw: 'pulses (thin)',
};

function rangeOf(curves: readonly Curve[]): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const { v } of curves)
    for (const value of v) {
      if (value < low) low = value;
      if (value > high) high = value;
    }
  if (!Number.isFinite(low)) return [0, 1];
  // A dead line is drawn as one, not as its last decimals.
  if (high - low < 1e-3 && Math.max(Math.abs(low), Math.abs(high)) < 1) return [-1, 1];
  const air = Math.max(0.06 * (high - low), 0.004 * Math.max(Math.abs(low), Math.abs(high)), 0.02);
  return [low - air, high + air];
}

type StyleWords = Partial<Record<Curve['style'], string>>;

function Legend({ lanes, words }: { lanes: readonly WaveLane[]; words: StyleWords }) {
  const styles = keysOf(looks).filter((s) => lanes.some((l) => l.curves.some((c) => c.style === s)));
  return (
    <Box display="flex" flexWrap="wrap" gap="4" fontSize="0.9rem" mb="1">
      {styles.map((s) => (
        <Box key={s} display="inline-flex" alignItems="center" gap="2">
          <svg width="34" height="8" aria-hidden>
            <line
              x1="0"
              x2="34"
              y1="4"
              y2="4"
              stroke={`var(--chakra-colors-${looks[s].stroke})`}
              strokeWidth={looks[s].width}
              strokeDasharray={looks[s].dash}
            />
          </svg>
          {words[s] ?? styleWords[s]}
        </Box>
      ))}
    </Box>
  );
}

const curveAt = ({ t, v }: Curve, at: number): number | undefined =>
  t.length === 0 ? undefined : v[bisectCenter(t, at)];
const shown = (value: number | undefined): string =>
  value === undefined ? '' : String(Number(value.toPrecision(4)));

/** So few points are drawn as points too. */
const fewPoints = 40;

const axes = { ms: { name: 'milliseconds', per_s: 1000 }, s: { name: 'seconds', per_s: 1 } } as const;

/** Curves over one time axis, each quantity in a lane of its own. */
export function WaveChart({
  name,
  lanes,
  axis = 'ms',
  words = {},
}: {
  name: string;
  lanes: readonly WaveLane[];
  axis?: keyof typeof axes;
  /** What the styles are called here, where that is something else. */
  words?: StyleWords;
}) {
  const { name: axisName, per_s } = axes[axis];
  const laneHeight = lanes.length === 1 ? tallLane : lowLane;
  const height = lanes.length * laneHeight + inset.bottom;
  const first = Math.min(...lanes.flatMap((l) => l.curves.map((c) => c.t[0] ?? Infinity)));
  const last = Math.max(...lanes.flatMap((l) => l.curves.map((c) => c.t[c.t.length - 1] ?? -Infinity)));
  const x = useMemo(
    () => scaleLinear([0, Math.max(1e-6, last - first) * per_s], [inset.left, width - inset.right]),
    [first, last, per_s],
  );
  const drawn = useMemo(
    () =>
      lanes.map((lane, i) => {
        const top = i * laneHeight + 8;
        const y = scaleLinear(rangeOf(lane.curves.filter((c) => c.style !== 'raw')), [
          top + laneHeight - 16,
          top + 22,
        ]);
        const raw = lane.curves.some((c) => c.style === 'raw');
        if (raw) y.domain(rangeOf(lane.curves));
        return {
          lane,
          top,
          y,
          paths: lane.curves.map(({ t, v, style, name: curve }) => ({
            style,
            curve,
            d:
              line<number>(
                (_, k) => x((valueAt(t, k) - first) * per_s),
                (value) => y(value),
              )(Array.from(v)) ?? '',
          })),
        };
      }),
    [lanes, x, first, per_s, laneHeight],
  );
  if (!Number.isFinite(first) || !Number.isFinite(last)) return null;
  const times = Array.from({ length: 21 }, (_, k) => first + ((last - first) * k) / 20);
  return (
    <>
      <Legend lanes={lanes} words={words} />
      <ChartFrame
        name={name}
        label={`${lanes.map((l) => l.name).join(', ')} over ${((last - first) * per_s).toFixed(0)} ${axisName}`}
        width={width}
        height={height}
        least={540}
        table={
          <PlainTable
            heads={[axis, ...lanes.flatMap((l) => l.curves.map((c) => `${l.name}, ${c.name}, ${l.unit}`))]}
          >
            {times.map((t) => (
              <tr key={t}>
                <Cell>{((t - first) * per_s).toFixed(1)}</Cell>
                {lanes.flatMap((l) =>
                  l.curves.map((c) => (
                    <Cell key={`${l.id} ${c.name} ${c.style}`}>{shown(curveAt(c, t))}</Cell>
                  )),
                )}
              </tr>
            ))}
          </PlainTable>
        }
      >
        {(read) => {
          const at = read === null ? null : first + x.invert(read) / per_s;
          return (
            <>
              {drawn.map(({ lane, top, y, paths }) => (
                <g key={lane.id}>
                  <YTicks ticks={y.ticks(3)} y={y} left={inset.left} right={width - inset.right} />
                  {paths.map(({ style, curve, d }) => (
                    <path
                      key={`${curve} ${style}`}
                      d={d}
                      fill="none"
                      stroke={`var(--chakra-colors-${looks[style].stroke})`}
                      strokeWidth={looks[style].width}
                      strokeDasharray={looks[style].dash}
                      opacity={looks[style].opacity}
                      strokeLinejoin="round"
                    />
                  ))}
                  {lane.curves
                    .filter((c) => c.style === 'measured' && c.t.length <= fewPoints)
                    .flatMap((c) =>
                      Array.from(c.t, (t, k) => (
                        <circle
                          key={`${c.name} ${t} ${k}`}
                          cx={x((t - first) * per_s)}
                          cy={y(valueAt(c.v, k))}
                          r="4"
                          fill="var(--chakra-colors-failed)"
                        />
                      )),
                    )}
                  <ChartLabel x={inset.left + 6} y={top + 12} fontSize="13" fill="var(--chakra-colors-ink)">
                    {lane.name}, {lane.unit}
                    {at !== null &&
                      `: ${lane.curves
                        .filter((c) => c.style !== 'raw')
                        .map((c) => `${c.name} ${shown(curveAt(c, at))}`)
                        .join(' · ')}`}
                  </ChartLabel>
                </g>
              ))}
              {at !== null && (
                <Crosshair x={x((at - first) * per_s)} top={4} bottom={height - inset.bottom} />
              )}
              <XAxis x={x} right={width - inset.right} height={height} name={axisName} />
            </>
          );
        }}
      </ChartFrame>
    </>
  );
}
