import { Box } from '@chakra-ui/react';
import { bisector, line, scaleLinear } from 'd3';
import type { ReportCurve } from '@/core/job/report';
import { ChartFrame } from '../../kit/chart-frame';
import { PlainTable } from '../../kit/plain-table';
import { XAxis } from '../../kit/x-axis';
import { YTicks } from '../../kit/y-ticks';
import { Cell, Text } from '../../kit/text';
import { ChartLabel } from '../../kit/chart-label';

const [width, height] = [460, 220];
const inset = { left: 56, right: 14, top: 12, bottom: 40 };

/** A curve of the report, with its values on touch and as a table. */
export function CurveChart({ curve }: { curve: ReportCurve }) {
  const points = curve.series.flatMap((s) => s.points);
  const most = (axis: 0 | 1): number => Math.max(1e-9, ...points.map((p) => p[axis]));
  const x = scaleLinear([0, most(0)], [inset.left, width - inset.right]).nice();
  const y = scaleLinear([0, most(1)], [height - inset.bottom, inset.top]).nice();
  const path = line<[number, number]>(
    (p) => x(p[0]),
    (p) => y(p[1]),
  );
  const measured = curve.series[0]?.points ?? [];
  const nearest = bisector((p: [number, number]) => x(p[0])).center;
  return (
    <Box mb="4" maxW="560px">
      <Text fontWeight="500">{curve.title}</Text>
      <ChartFrame
        name={curve.title}
        label={`${curve.y.label} over ${curve.x.label}, ${measured.length} measured`}
        width={width}
        height={height}
        tableLabel="as a table"
        table={
          <PlainTable heads={[`${curve.x.label}, ${curve.x.unit}`, `${curve.y.label}, ${curve.y.unit}`]}>
            {measured.map((p, i) => (
              <tr key={i}>
                <Cell>{p[0]}</Cell>
                <Cell>{p[1]}</Cell>
              </tr>
            ))}
          </PlainTable>
        }
      >
        {(read) => {
          const at = read === null ? undefined : measured[nearest(measured, read)];
          return (
            <>
              <YTicks ticks={y.ticks(4)} y={y} left={inset.left} right={width - inset.right} />
              <XAxis
                x={x}
                right={width - inset.right}
                height={height}
                ticks={5}
                name={`${curve.x.label}, ${curve.x.unit}; vertical ${curve.y.label}, ${curve.y.unit}`}
              />
              {curve.series.map((s, i) => (
                <path
                  key={s.name}
                  d={path(s.points) ?? ''}
                  fill="none"
                  stroke={i === 0 ? 'var(--chakra-colors-ink)' : 'var(--chakra-colors-slate)'}
                  strokeWidth={i === 0 ? 2.2 : 1.4}
                  strokeDasharray={i === 0 ? undefined : '5 4'}
                />
              ))}
              {measured.map((p, i) => (
                <circle
                  key={i}
                  cx={x(p[0])}
                  cy={y(p[1])}
                  r={p === at ? 8 : 6}
                  fill="var(--chakra-colors-ink)"
                />
              ))}
              {at !== undefined && (
                <ChartLabel
                  x={inset.left + 6}
                  y={inset.top + 6}
                  fontSize="13"
                  fill="var(--chakra-colors-ink)"
                >
                  {at[0]} {curve.x.unit}: {at[1]} {curve.y.unit}
                </ChartLabel>
              )}
            </>
          );
        }}
      </ChartFrame>
    </Box>
  );
}
