import { Box, Text } from '@chakra-ui/react';
import { line, scaleLinear } from 'd3';
import { useState } from 'react';
import type { ReportCurve } from '@/core/job/report';
import { PlainTable } from '../../kit/plain-table';
import { Disclosure } from '../../kit/why';
import { YTicks } from '../../kit/y-ticks';

const [width, height] = [460, 220];
const inset = { left: 56, right: 14, top: 12, bottom: 40 };

/** A curve of the report, with its values on touch and as a table. */
export function CurveChart({ curve }: { curve: ReportCurve }) {
  const [at, setAt] = useState<[number, number] | null>(null);
  const points = curve.series.flatMap((s) => s.points);
  const most = (axis: 0 | 1): number => Math.max(1e-9, ...points.map((p) => p[axis]));
  const x = scaleLinear([0, most(0)], [inset.left, width - inset.right]).nice();
  const y = scaleLinear([0, most(1)], [height - inset.bottom, inset.top]).nice();
  const path = line<[number, number]>(
    (p) => x(p[0]),
    (p) => y(p[1]),
  );
  const measured = curve.series[0]?.points ?? [];
  return (
    <Box as="figure" mb="4" maxW="560px">
      <Text as="figcaption" fontWeight="500">
        {curve.title}
      </Text>
      <svg viewBox={`0 0 ${width} ${height}`} style={{ width: '100%', display: 'block' }} aria-hidden>
        <YTicks ticks={y.ticks(4)} y={y} left={inset.left} right={width - inset.right} />
        {x.ticks(5).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={height - inset.bottom + 16}
            textAnchor="middle"
            fontSize="11.5"
            fill="var(--chakra-colors-soft)"
          >
            {t}
          </text>
        ))}
        <text
          x={width - inset.right}
          y={height - 6}
          textAnchor="end"
          fontSize="11.5"
          fill="var(--chakra-colors-soft)"
        >
          {curve.x.label}, {curve.x.unit}; upright {curve.y.label}, {curve.y.unit}
        </text>
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
            r="6"
            fill="var(--chakra-colors-ink)"
            onMouseEnter={() => setAt(p)}
            onMouseLeave={() => setAt(null)}
          />
        ))}
      </svg>
      <Text minH="1.5em" fontFamily="mono" fontSize="0.95rem">
        {at !== null && `${at[0]} ${curve.x.unit}: ${at[1]} ${curve.y.unit}`}
      </Text>
      <Disclosure label="as a table">
        <PlainTable heads={[`${curve.x.label}, ${curve.x.unit}`, `${curve.y.label}, ${curve.y.unit}`]}>
          {measured.map((p, i) => (
            <tr key={i}>
              <td>{p[0]}</td>
              <td>{p[1]}</td>
            </tr>
          ))}
        </PlainTable>
      </Disclosure>
    </Box>
  );
}
