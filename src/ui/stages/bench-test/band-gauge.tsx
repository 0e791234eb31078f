import { Box } from '@chakra-ui/react';
import { probeKey, type Probe } from '@/core/equipment/power-stage';
import { directBand, directJunction, type ReadingJudgement } from '@/core/bench/static-diagnosis';
import type { KeptReading } from '@/core/logbook';
import { StateMark, markWord } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { Text } from '../../kit/text';

const width = 300;
const from_V = 0.2;
const to_V = 0.8;
const x = (volts: number): number =>
  ((Math.min(Math.max(volts, from_V), to_V) - from_V) / (to_V - from_V)) * width;

/** Other probes that read a junction of the same kind on the same side. */
function peerReadings(probe: Probe, readings: readonly KeptReading[]): { name: string; volts: number }[] {
  const mine = directJunction(probe);
  if (mine === null) return [];
  const [group, , side] = mine.split('.');
  const newest = new Map(readings.map((r) => [probeKey(r), r]));
  return [...newest.values()].flatMap((r) => {
    const other = directJunction(r);
    if (other === null || other === mine || typeof r.value !== 'number') return [];
    const [g, name = '', s] = other.split('.');
    return g === group && s === side && group !== 'brk' ? [{ name, volts: r.value }] : [];
  });
}

/** The normal range, the readings of the other two phases, and this reading. */
export function BandGauge({
  probe,
  readings,
  judgement,
}: {
  probe: Probe;
  readings: readonly KeptReading[];
  judgement: ReadingJudgement | undefined;
}) {
  const band = directBand(probe);
  const peers = peerReadings(probe, readings);
  const own = readings.filter((r) => probeKey(r) === probeKey(probe));
  if (band === null && own.length === 0) return null;
  return (
    <Box
      fontSize="0.9rem"
      display="flex"
      flexWrap="wrap"
      columnGap="5"
      rowGap="1"
      alignItems="center"
      minH="44px"
    >
      {band !== null && (
        <svg
          width={width + 40}
          height="34"
          viewBox={`-20 0 ${width + 40} 34`}
          role="img"
          aria-label={`Normal range ${band[0]} to ${band[1]} volts${peers.map((s) => `, ${s.name} ${s.volts}`).join('')}`}
        >
          <rect
            x={x(band[0])}
            y="8"
            width={x(band[1]) - x(band[0])}
            height="10"
            fill="var(--chakra-colors-sound)"
            opacity="0.28"
          />
          <line x1="0" x2={width} y1="18" y2="18" stroke="var(--chakra-colors-soft)" />
          {[0.2, 0.35, 0.5, 0.65, 0.8].map((v) => (
            <text
              key={v}
              x={x(v)}
              y="31"
              textAnchor="middle"
              fontSize="11"
              style={{ fontFamily: "'IBM Plex Mono'" }}
              fill="var(--chakra-colors-soft)"
            >
              {v.toFixed(2)}
            </text>
          ))}
          {peers.map((s) => (
            <line
              key={s.name}
              x1={x(s.volts)}
              x2={x(s.volts)}
              y1="4"
              y2="18"
              stroke="var(--chakra-colors-ink)"
              strokeWidth="2"
            />
          ))}
          {own.map(
            (r) =>
              typeof r.value === 'number' && (
                <path
                  key={r.entryId}
                  d={`M${x(r.value)} 17 l-5 -9 h10 z`}
                  fill="var(--chakra-colors-focus)"
                />
              ),
          )}
        </svg>
      )}
      <Box>
        <Text>
          {band === null
            ? 'No normal range for this test. '
            : `Normal range ${band[0].toFixed(2)}–${band[1].toFixed(2)} V. `}
          {peers.length > 0 &&
            `Other phases ${peers.map((s) => `${s.name} ${s.volts.toFixed(3)}`).join(', ')}. `}
        </Text>
        {judgement !== undefined && (
          <Text>
            <StateMark mark={judgement.state} label={null} /> {markWord(judgement.state)}; a good unit with
            the same diode drops shows{' '}
            {judgement.expected === 'OL' ? 'OL' : `${judgement.expected.toFixed(3)} V`}
            {judgement.off_V !== null &&
              `, ${judgement.off_V >= 0 ? '+' : '−'}${Math.abs(judgement.off_V * 1000).toFixed(0)} mV deviation`}
            .{' '}
            <Disclosure>
              Diode drops are fitted from the readings of this unit, and every test is calculated as a
              circuit. The range is common practice, no source; agreement with the other two phases is
              stronger evidence than the range.
            </Disclosure>
          </Text>
        )}
      </Box>
    </Box>
  );
}
