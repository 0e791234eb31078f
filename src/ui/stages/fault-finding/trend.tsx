import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { JobStore } from '../../job-store/use-job';
import { Primary, Secondary } from '../../kit/buttons';
import { Lanes } from '../../kit/lanes';
import { mostSeries, seriesOf } from './trend-series';
import type { TrendSample, useTrend } from './use-trend';
import { call } from '../../api/call';
import { Text } from '../../kit/text';

/** Live values over time: up to eight, held still when wanted, kept as an entry when asked. */
export function TrendPanel({
  store,
  terminals,
  trend,
}: {
  store: JobStore;
  terminals: readonly { id: string; mark: string }[];
  trend: ReturnType<typeof useTrend>;
}) {
  const all = seriesOf(terminals);
  const [chosen, setChosen] = useState<readonly string[]>([
    'outputFrequency_Hz',
    'outputCurrent_A',
    'busVolts',
  ]);
  const [held, setHeld] = useState<readonly TrendSample[] | null>(null);
  const [said, setSaid] = useState<{ kept: boolean; words: string } | null>(null);
  const { samples, startedAt, clear } = trend;
  const shown = held ?? samples;
  const series = all.filter((s) => chosen.includes(s.id));
  const keep = async () => {
    if (startedAt === null || shown.length === 0) return;
    const names = series.map((s) => (s.unit === '' ? s.name : `${s.name}, ${s.unit}`));
    const rows = shown.map((s): [number, ...(number | null)[]] => [
      Number(s.at_s.toFixed(2)),
      ...series.map((one) => one.of(s)),
    ]);
    const answer = await call('POST /api/v1/trends', { body: { startedAt, names, rows } });
    if (!answer.ok)
      return setSaid({
        kept: false,
        words: 'Not saved: server not reachable. The trend stays on this page.',
      });
    const { sha256 } = answer.value;
    const seconds = (shown[shown.length - 1]?.at_s ?? 0) - (shown[0]?.at_s ?? 0);
    store.record('trend.kept', { sha256, names, seconds });
    setSaid({ kept: true, words: `Trend saved: ${shown.length} samples over ${seconds.toFixed(0)} s.` });
  };
  return (
    <Box as="section" aria-label="Trend" mb="5">
      <Box role="group" aria-label="Values" display="flex" gap="2" flexWrap="wrap" mb="3">
        {all.map((s) => {
          const on = chosen.includes(s.id);
          return (
            <Secondary
              key={s.id}
              aria-pressed={on}
              disabled={!on && chosen.length >= mostSeries}
              bg={on ? 'ink' : 'transparent'}
              color={on ? 'card' : 'ink'}
              onClick={() => setChosen(on ? chosen.filter((c) => c !== s.id) : [...chosen, s.id])}
            >
              {s.name}
            </Secondary>
          );
        })}
      </Box>
      {shown.length === 0 ? (
        <Text color="soft">No values yet: search for drives, then watch live.</Text>
      ) : series.length === 0 ? (
        <Text color="soft">Choose a value.</Text>
      ) : (
        <Lanes name="Trend chart" samples={shown} series={series} />
      )}
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        <Secondary
          disabled={shown.length === 0}
          aria-pressed={held !== null}
          onClick={() => setHeld(held === null ? samples : null)}
        >
          {held === null ? 'Pause' : 'Go on'}
        </Secondary>
        <Secondary
          disabled={shown.length === 0}
          onClick={() => {
            clear();
            setHeld(null);
            setSaid(null);
          }}
        >
          Start again
        </Secondary>
        <Primary disabled={shown.length === 0 || series.length === 0} onClick={() => void keep()}>
          Save trend
        </Primary>
      </Box>
      {said !== null && (
        <Text
          role={said.kept ? 'status' : 'alert'}
          color={said.kept ? 'sound' : 'failed'}
          fontWeight="500"
          mt="1"
        >
          {said.words}
        </Text>
      )}
    </Box>
  );
}
