'use client';
import { Box } from '@chakra-ui/react';
import { line, scaleLinear } from 'd3';
import { busVoltsAfter, discharge, type DischargingBank } from '@/core/bench/discharge';
import { ChartFrame, Crosshair } from '../../kit/chart-frame';
import { PlainTable } from '../../kit/plain-table';
import { XAxis } from '../../kit/x-axis';
import { YTicks } from '../../kit/y-ticks';
import { countdown } from '../../kit/time';
import { Cell, Text } from '../../kit/text';
import { ChartLabel } from '../../kit/chart-label';

const width = 560;
const height = 210;
const inset = { left: 52, right: 14, top: 12, bottom: 36 };

/**
 * The bus running down through its bleeder, with both limits, and the line that an open bleeder
 * would give: level, for ever.
 */
export default function DischargeChart({
  bank,
  startVolts,
  limits,
  elapsed_s,
}: {
  bank: DischargingBank;
  startVolts: number;
  limits: { hands_V: number; test_V: number };
  elapsed_s: number | null;
}) {
  const toHands = discharge({ ...bank, startVolts, limitVolts: limits.hands_V });
  const toTest = discharge({ ...bank, startVolts, limitVolts: limits.test_V });
  const end_s = Math.max(toTest.seconds * 1.08, 10);
  const x = scaleLinear([0, end_s], [inset.left, width - inset.right]);
  const y = scaleLinear([0, startVolts * 1.05], [height - inset.bottom, inset.top]);
  const points = Array.from({ length: 121 }, (_, i) => (i / 120) * end_s);
  const path =
    line<number>(
      (t) => x(t),
      (t) => y(busVoltsAfter({ ...bank, startVolts }, t)),
    )(points) ?? '';
  const marks = [
    { label: `hands ${limits.hands_V} V`, volts: limits.hands_V, seconds: toHands.seconds },
    { label: `test ${limits.test_V} V`, volts: limits.test_V, seconds: toTest.seconds },
  ];
  return (
    <Box my="3">
      <ChartFrame
        name="Calculated bus voltage"
        label={`Calculated bus voltage: ${limits.hands_V} V after ${countdown(toHands.seconds)}, ${limits.test_V} V after ${countdown(toTest.seconds)} minutes`}
        width={width}
        height={height}
        greatest={width}
        caption={
          <Text as="figcaption" fontSize="0.9rem" color="soft">
            Calculated; not a proof. {limits.hands_V} V after {countdown(toHands.seconds)} min,{' '}
            {limits.test_V} V after {countdown(toTest.seconds)} min.
          </Text>
        }
        tableLabel="calculation and table"
        table={
          <>
            v = {startVolts.toFixed(0)} V × e^(−t ÷ {toTest.tau_s.toFixed(0)} s); R·C ={' '}
            {bank.bleederOhm / 1000} kΩ × {bank.capacitance_uF} µF; stored {toTest.storedEnergy_J.toFixed(0)}{' '}
            J. RC discharge, any textbook.
            <PlainTable heads={['min', 'V']}>
              {x.ticks(8).map((s) => (
                <tr key={s}>
                  <Cell>{countdown(s)}</Cell>
                  <Cell>{busVoltsAfter({ ...bank, startVolts }, s).toFixed(1)}</Cell>
                </tr>
              ))}
            </PlainTable>
          </>
        }
      >
        {(read) => {
          const shown_s = read === null ? elapsed_s : Math.min(end_s, Math.max(0, x.invert(read)));
          return (
            <>
              <g style={{ fontFamily: "'IBM Plex Mono'" }} fontSize="11.5" fill="var(--chakra-colors-soft)">
                <YTicks ticks={y.ticks(4)} y={y} left={inset.left} right={width - inset.right} />
                <text x={4} y={inset.top + 6}>
                  V
                </text>
              </g>
              <XAxis
                x={x}
                right={width - inset.right}
                height={height}
                ticks={6}
                format={countdown}
                name="minutes since isolation"
              />
              <line
                x1={x(0)}
                x2={x(end_s)}
                y1={y(startVolts)}
                y2={y(startVolts)}
                stroke="var(--chakra-colors-failed)"
                strokeDasharray="6 5"
                strokeWidth="1.6"
              />
              <ChartLabel
                x={x(end_s) - 4}
                y={y(startVolts) + 15}
                textAnchor="end"
                fontSize="12"
                fill="var(--chakra-colors-failed)"
              >
                bleeder open: never
              </ChartLabel>
              <path d={path} fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="2.4" />
              {marks.map((m) => (
                <g key={m.label}>
                  <circle cx={x(m.seconds)} cy={y(m.volts)} r="4.5" fill="var(--chakra-colors-doubt)" />
                  <ChartLabel
                    x={x(m.seconds)}
                    y={y(m.volts) - 9}
                    textAnchor="end"
                    fontSize="12"
                    fill="var(--chakra-colors-ink)"
                  >
                    {m.label}
                  </ChartLabel>
                </g>
              ))}
              {shown_s !== null && shown_s <= end_s && (
                <g>
                  <Crosshair x={x(shown_s)} top={inset.top} bottom={height - inset.bottom} />
                  <ChartLabel
                    x={x(shown_s) + 5}
                    y={inset.top + 40}
                    style={{ fontFamily: "'IBM Plex Mono'" }}
                    fontSize="13"
                    fill="var(--chakra-colors-ink)"
                  >
                    {countdown(shown_s)} {busVoltsAfter({ ...bank, startVolts }, shown_s).toFixed(0)} V
                  </ChartLabel>
                </g>
              )}
            </>
          );
        }}
      </ChartFrame>
    </Box>
  );
}
