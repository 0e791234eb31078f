import { Box } from '@chakra-ui/react';
import { figureWords, type WaveDiagnosis } from '@/core/power-up/waveform-diagnosis';
import { Secondary } from '../../kit/buttons';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import type { Judging } from './use-waves';
import { Cell, Text } from '../../kit/text';

const marks: Readonly<Record<WaveDiagnosis['verdict'], Mark>> = {
  sound: 'sound',
  fault: 'failed',
  doubtful: 'doubt',
  unexplained: 'doubt',
  'nothing-measured': 'unprobed',
};
const shownCauses = 4;
const share = (p: number): string =>
  p >= 0.995 ? 'over 99 %' : p < 0.01 ? 'under 1 %' : `${Math.round(100 * p)} %`;
const figure = (value: number): string => String(Number(value.toPrecision(3)));

/** What the measurement says, in a sentence; the ranking behind why. */
export function WaveConclusion({ judging, stop }: { judging: Judging; stop: () => void }) {
  const { progress, diagnosis, trouble } = judging;
  if (trouble !== null)
    return (
      <Text role="alert" color="failed">
        {trouble}
      </Text>
    );
  if (progress !== null)
    return (
      <Box display="flex" alignItems="center" gap="3" my="3" role="status">
        <progress value={progress} max={1} aria-label="faults compared" />
        <Text>{Math.round(100 * progress)} % of the faults of this unit compared</Text>
        <Secondary onClick={stop}>Stop</Secondary>
      </Box>
    );
  if (diagnosis === null) return null;
  const [best] = diagnosis.found;
  const same = diagnosis.found.filter((f) => diagnosis.same.includes(f.id));
  return (
    <Box role="status" aria-label="Conclusion" border="2px solid" borderColor="ink" p="3" my="3" bg="paper">
      <Box display="flex" gap="3" alignItems="baseline">
        <StateMark mark={marks[diagnosis.verdict]} size={18} />
        <Text fontSize="1.25rem" fontWeight="600" lineHeight="1.25">
          {diagnosis.headline}
        </Text>
      </Box>
      {best !== undefined && best.first !== '' && diagnosis.verdict !== 'unexplained' && (
        <Text mt="1">Check first: {best.first}.</Text>
      )}
      {same.length > 0 && (
        <Text mt="1">With these values it looks the same as: {same.map((f) => f.name).join('; ')}.</Text>
      )}
      {diagnosis.notes.map((n) => (
        <Text key={n} mt="1" color="soft">
          {n}
        </Text>
      ))}
      {best !== undefined && (
        <Disclosure>
          {best.differs.length > 0 && (
            <PlainTable heads={['figure', 'measured', 'good unit', 'with this cause']}>
              {best.differs.map((d) => (
                <tr key={d.key}>
                  <Cell>{figureWords(d.key)}</Cell>
                  <Cell>
                    {figure(d.measured)} {d.unit}
                  </Cell>
                  <Cell>
                    {figure(d.sound)} {d.unit}
                  </Cell>
                  <Cell>
                    {figure(d.expected)} {d.unit}
                  </Cell>
                </tr>
              ))}
            </PlainTable>
          )}
          <PlainTable heads={['cause', 'probability', 'deviation (σ)', 'at load']}>
            {diagnosis.found.slice(0, shownCauses).map((f) => (
              <tr key={f.id}>
                <Cell>{f.name}</Cell>
                <Cell>{share(f.probability)}</Cell>
                <Cell>{figure(Math.sqrt(f.misfit))}</Cell>
                <Cell>{Math.round(100 * f.share)} %</Cell>
              </tr>
            ))}
          </PlainTable>
          <Text>
            Every fault of this unit was simulated at this load and compared with the measurements; the
            tolerance allows for assumed supply, ESR and choke (common practice, no source).
          </Text>
        </Disclosure>
      )}
    </Box>
  );
}

/** As it is kept in the log. */
export const keptConclusion = (d: WaveDiagnosis) => ({
  verdict: d.verdict,
  headline: d.headline,
  causes: d.found.slice(0, shownCauses).map(({ id, name, probability }) => ({ id, name, probability })),
});
