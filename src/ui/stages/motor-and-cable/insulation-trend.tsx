import { Box } from '@chakra-ui/react';
import { bisector, extent, line, scaleLog, scaleUtc } from 'd3';
import { formatSignificant } from '@/core/numerics/figures';
import type { TrendPoint, InsulationTrend } from '@/core/motor/motor-history';
import { ChartFrame } from '../../kit/chart-frame';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { day } from '../../kit/time';
import { Disclosure } from '../../kit/why';
import { YTicks } from '../../kit/y-ticks';
import { Cell, Text } from '../../kit/text';
import { ChartLabel } from '../../kit/chart-label';

const width = 640;
const height = 190;
const inset = { left: 64, right: 92, top: 30, bottom: 30 };
const mostDates = 5;
const marks: Readonly<Record<TrendPoint['verdict'], Mark>> = {
  pass: 'sound',
  doubtful: 'doubt',
  fail: 'failed',
};
const month_ms = 30 * 86_400_000;

/** What falls too fast, in words. */
function Falling({ trend }: { trend: InsulationTrend }) {
  if (trend.falling === null) return null;
  return (
    <Box>
      <Text color="doubt" fontWeight="500">
        <StateMark mark="doubt" label={null} /> {trend.falling.text}
      </Text>
      <Disclosure>{trend.falling.sum}. Half is common practice, no source.</Disclosure>
    </Box>
  );
}

/** Megohms over the years on a logarithmic scale, against the least that is good enough. */
function Chart({ trend, name }: { trend: InsulationTrend; name: string }) {
  const times = trend.points.map((p) => Date.parse(p.at));
  const [from = 0, to = 0] = extent(times);
  const x = scaleUtc([from - month_ms, to + month_ms], [inset.left, width - inset.right]);
  const values = [...trend.points.map((p) => Math.max(p.corrected_Mohm, 0.01)), trend.minimum_Mohm];
  const y = scaleLog([Math.min(...values) / 2, Math.max(...values) * 2], [height - inset.bottom, inset.top]);
  const at = (p: TrendPoint): [number, number] => [x(Date.parse(p.at)), y(Math.max(p.corrected_Mohm, 0.01))];
  const nearest = bisector((p: TrendPoint) => at(p)[0]).center;
  const ticks = x.ticks(mostDates);
  const dates = ticks.filter((_, i) => i % Math.ceil(ticks.length / mostDates) === 0);
  const decades = y.ticks().filter((t) => Number.isInteger(Math.log10(t)));
  return (
    <ChartFrame
      name={name}
      label={`${name}: ${trend.points.length} tests, MΩ at 40 °C over time`}
      width={width}
      height={height}
      greatest={width}
      caption={<Falling trend={trend} />}
      table={
        <PlainTable heads={['Day', 'MΩ at 40 °C', 'Verdict']}>
          {trend.points.map((p) => (
            <tr key={`${p.jobId} ${p.at}`}>
              <Cell>{day(p.at)}</Cell>
              <Cell>{formatSignificant(p.corrected_Mohm)}</Cell>
              <Cell>{p.verdict}</Cell>
            </tr>
          ))}
        </PlainTable>
      }
    >
      {(read) => {
        const shown = trend.points[read === null ? trend.points.length - 1 : nearest(trend.points, read)];
        return (
          <>
            <g style={{ fontFamily: "'IBM Plex Mono'" }} fontSize="11.5" fill="var(--chakra-colors-soft)">
              <YTicks ticks={decades} y={y} left={inset.left} right={width - inset.right} />
              <text x={4} y={14}>
                MΩ
              </text>
              {dates.map((t) => (
                <text key={t.getTime()} x={x(t)} y={height - 10} textAnchor="middle">
                  {t.toISOString().slice(0, 7)}
                </text>
              ))}
            </g>
            <line
              x1={inset.left}
              x2={width - inset.right}
              y1={y(trend.minimum_Mohm)}
              y2={y(trend.minimum_Mohm)}
              stroke="var(--chakra-colors-failed)"
              strokeDasharray="6 5"
            />
            <ChartLabel
              x={width - inset.right + 6}
              y={y(trend.minimum_Mohm) + 4}
              fontSize="11.5"
              fill="var(--chakra-colors-failed)"
            >
              min {trend.minimum_Mohm} MΩ
            </ChartLabel>
            <path
              d={line()(trend.points.map(at)) ?? ''}
              fill="none"
              stroke="var(--chakra-colors-ink)"
              strokeWidth="2"
            />
            {trend.points.map((p) => (
              <circle
                key={`${p.jobId} ${p.at}`}
                cx={at(p)[0]}
                cy={at(p)[1]}
                r={p === shown ? 7 : 5}
                fill={`var(--chakra-colors-${marks[p.verdict]})`}
              />
            ))}
            {shown !== undefined && (
              <ChartLabel x={inset.left} y={14} fontSize="13" fill="var(--chakra-colors-ink)">
                {day(shown.at)}: {formatSignificant(shown.corrected_Mohm)} MΩ
              </ChartLabel>
            )}
          </>
        );
      }}
    </ChartFrame>
  );
}

/** How one insulation went over the years. */
export function InsulationTrendChart({ trend, name }: { trend: InsulationTrend; name: string }) {
  return (
    <Box my="3">
      <Text fontWeight="500">
        {name}, at 40 °C, over {trend.points.length} tests
      </Text>
      <Chart trend={trend} name={name} />
    </Box>
  );
}
