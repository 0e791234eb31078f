import { Box } from '@chakra-ui/react';
import { choiceNames, type Costed, type Decision } from '@/core/replacement/replacement';
import { PlainTable } from '../../kit/plain-table';
import { Section } from '../../kit/section';
import { StateMark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { Cell, Text } from '../../kit/text';

const money = (n: number): string => Math.round(n).toLocaleString('en-GB').replaceAll(',', ' ');

/** Expected costs as bars: from the least to the most, the middle as a mark. */
function CostRow({ costed, most, best }: { costed: Costed; most: number; best: boolean }) {
  const at = (n: number): string => `${(100 * Math.min(n, most)) / most}%`;
  return (
    <Box as="li" py="2" borderBottom="1px solid" borderColor="line">
      <Box display="flex" justifyContent="space-between" gap="3" flexWrap="wrap">
        <Text fontWeight={best ? 600 : 500}>
          {best && <StateMark mark="sound" label="least expected cost" />} {choiceNames[costed.id]}
        </Text>
        {costed.out === null ? (
          <Text fontFamily="mono" fontSize="1.3rem">
            {money(costed.cost.mid)}
            <Text as="span" fontSize="0.95rem" color="soft">
              {' '}
              ({money(costed.cost.low)} to {money(costed.cost.high)}), {costed.stop_h.toFixed(1)} h downtime
            </Text>
          </Text>
        ) : (
          <Text color="soft">Not possible: {costed.out}</Text>
        )}
      </Box>
      {costed.out === null && (
        <>
          <Box position="relative" height="14px" bg="paper" my="1" aria-hidden>
            <Box
              position="absolute"
              top="3px"
              height="8px"
              bg={best ? 'sound' : 'slate'}
              style={{
                left: at(costed.cost.low),
                width: `calc(${at(costed.cost.high)} - ${at(costed.cost.low)})`,
              }}
              opacity={0.55}
            />
            <Box
              position="absolute"
              top="0"
              height="14px"
              width="3px"
              bg="ink"
              style={{ left: at(costed.cost.mid) }}
            />
          </Box>
          <Disclosure label="calculation">
            {costed.sum.map((line) => (
              <Text key={line} fontFamily="mono" fontSize="0.9rem">
                {line}
              </Text>
            ))}
          </Disclosure>
        </>
      )}
    </Box>
  );
}

function Hinges({ decision }: { decision: Decision }) {
  const { matters, indifferent, best } = decision;
  if (best === null) return <Text>No option is possible as entered.</Text>;
  const blank = matters.filter((m) => m.known === 'blank');
  return (
    <Box mt="3">
      <Text fontWeight="500">
        {matters.length === 0
          ? `No unknown value changes the result: ${choiceNames[best].toLowerCase()}.`
          : blank.length > 0
            ? `Find out first: ${blank[0]?.name ?? ''}.`
            : 'The result depends on values known only as ranges.'}
      </Text>
      {matters.length > 0 && (
        <PlainTable heads={['Value', 'Changes at', 'Then']}>
          {matters.slice(0, 6).map((m) => (
            <tr key={`${m.figure} ${m.when}`}>
              <Cell>
                {m.name}
                {m.known === 'blank' ? ' (not known)' : ''}
              </Cell>
              <Cell>
                {m.when} {m.unit === 'money' ? money(m.turnsAt) : `${m.turnsAt.toFixed(1)} ${m.unit}`}
              </Cell>
              <Cell>{choiceNames[m.then].toLowerCase()}</Cell>
            </tr>
          ))}
        </PlainTable>
      )}
      {indifferent.length > 0 && (
        <Disclosure label="not known, no influence">{indifferent.join('; ')}.</Disclosure>
      )}
    </Box>
  );
}

/** What each choice is expected to cost, and what that depends on. */
export function ExpectedCost({
  decision,
}: {
  /** Null while a figure cannot be read. */
  decision: Decision | null;
}) {
  const most = Math.max(
    1,
    ...(decision?.choices.filter((c) => c.out === null).map((c) => c.cost.high) ?? []),
  );
  return (
    <Section title="Expected cost">
      {decision === null ? (
        <Text color="failed">A value cannot be read: no table yet.</Text>
      ) : (
        <Box role="status" aria-label="Expected cost">
          <Box as="ul" listStyleType="none">
            {decision.choices.map((c) => (
              <CostRow key={c.id} costed={c} most={most} best={c.id === decision.best} />
            ))}
          </Box>
          <Hinges decision={decision} />
          <Disclosure>
            Price, work and downtime, plus the follow-up if it fails. Mid-range values are used; unknown
            values get a wide range. Capacitors older than eight years reduce the chance of success by 5 % a
            year for options that reuse them. Common practice, no source.
          </Disclosure>
        </Box>
      )}
    </Section>
  );
}
