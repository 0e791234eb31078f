import { Box } from '@chakra-ui/react';
import type { KeptReading } from '@/core/logbook';
import { probeKey, type Probe, type Value } from '@/core/equipment/power-stage';
import type { ReadingJudgement } from '@/core/bench/static-diagnosis';
import { markColour, markWord, StateMark, type Mark } from '../../kit/state-mark';
import { busProbe, fillProbe, type PlanRow } from './bench-plan';
import { Cell, Text } from '../../kit/text';

export const shownValue = (value: Value): string =>
  value === 'OL' ? 'OL' : value === 'climbing' ? '↑' : value.toFixed(3);

function ProbeCell({
  as,
  probe,
  own,
  judgement,
  selected,
  unsent,
  select,
}: {
  as: 'td' | 'div';
  probe: Probe;
  own: readonly KeptReading[];
  judgement: ReadingJudgement | undefined;
  selected: boolean;
  unsent: ReadonlySet<string>;
  select: () => void;
}) {
  const last = own[own.length - 1];
  const mark: Mark = last === undefined ? 'unprobed' : (judgement?.state ?? 'unprobed');
  const waiting = last !== undefined && unsent.has(last.entryId);
  const words =
    last === undefined
      ? 'not measured'
      : `${last.value === 'OL' ? 'OL' : shownValue(last.value)}, ${markWord(mark)}`;
  return (
    <Box as={as} p="0" textAlign="right">
      <Box
        asChild
        minH="44px"
        minW={{ base: '46px', xl: '52px' }}
        width="100%"
        px={{ base: '0.5', xl: '1.5' }}
        display="inline-flex"
        flexDirection="column"
        alignItems="flex-end"
        justifyContent="center"
        fontFamily="mono"
        fontSize={{ base: '0.92rem', xl: '1.05rem' }}
        cursor="pointer"
        bg={selected ? 'paper' : 'transparent'}
        boxShadow={selected ? 'inset 0 -3px 0 currentColor' : 'none'}
        color={mark === 'unprobed' ? 'slate' : mark === 'sound' ? 'ink' : markColour(mark)}
        fontStyle={waiting ? 'italic' : 'normal'}
      >
        <button
          type="button"
          onClick={select}
          aria-pressed={selected}
          aria-label={`${probe.red} to ${probe.black}: ${words}${waiting ? ', not saved yet' : ''}`}
        >
          <span style={{ whiteSpace: 'nowrap' }}>
            {last !== undefined && shownValue(last.value)}{' '}
            {(last === undefined || mark !== 'sound') && <StateMark mark={mark} size={13} label={null} />}
            {waiting && '…'}
          </span>
          {own.length > 1 && (
            <span style={{ fontSize: '0.72rem', color: 'var(--chakra-colors-soft)' }}>
              was{' '}
              {own
                .slice(0, -1)
                .map((r) => shownValue(r.value))
                .join(', ')}
            </span>
          )}
        </button>
      </Box>
    </Box>
  );
}

/** All readings with their states; a cell is chosen to take it again. */
export function ReadingsTable({
  rows,
  others,
  readings,
  judgements,
  selected,
  unsent,
  select,
}: {
  rows: readonly PlanRow[];
  /** Probes with no place in the table. */
  others: readonly Probe[];
  readings: readonly KeptReading[];
  judgements: readonly ReadingJudgement[];
  selected: Probe | null;
  unsent: ReadonlySet<string>;
  select: (probe: Probe) => void;
}) {
  const chosen = selected === null ? '' : probeKey(selected);
  const [head] = rows;
  const cell = (probe: Probe, as?: 'div') => (
    <ProbeCell
      as={as ?? 'td'}
      key={probeKey(probe)}
      probe={probe}
      own={readings.filter((r) => probeKey(r) === probeKey(probe))}
      judgement={judgements.find((j) => probeKey(j) === probeKey(probe))}
      selected={probeKey(probe) === chosen}
      unsent={unsent}
      select={() => select(probe)}
    />
  );
  return (
    <Box overflowX="auto">
      <Box
        as="table"
        width="100%"
        css={{ borderCollapse: 'collapse', '& tr': { borderBottom: '1px solid var(--chakra-colors-line)' } }}
      >
        <caption style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden' }}>
          Readings in volts
        </caption>
        <thead>
          <tr>
            <Cell />
            {head?.cells.map(({ terminal }) => (
              <Text
                as="th"
                key={terminal}
                fontFamily="heading"
                fontWeight="500"
                fontSize="0.9rem"
                color="soft"
                textAlign="right"
                px="1.5"
              >
                {terminal}
              </Text>
            ))}
            <Text
              as="th"
              fontFamily="heading"
              fontWeight="500"
              fontSize="0.9rem"
              color="soft"
              textAlign="right"
              px="1.5"
            >
              bus
            </Text>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <Text
                as="th"
                textAlign="left"
                fontFamily="heading"
                fontWeight="500"
                whiteSpace={{ base: 'normal', xl: 'nowrap' }}
                pr="2"
                fontSize="0.95rem"
              >
                {row.title}
                <Text as="span" display="block" fontSize="0.76rem" color="soft" fontWeight="400">
                  {row.hint}
                </Text>
              </Text>
              {row.cells.map(({ probe }) => cell(probe))}
              {row.id === 'upper' ? cell(busProbe) : row.id === 'upper-reverse' ? cell(fillProbe) : <Cell />}
            </tr>
          ))}
        </tbody>
      </Box>
      {others.length > 0 && (
        <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(190px, 1fr))" columnGap="4" mt="2">
          {others.map((probe) => (
            <Box
              key={probeKey(probe)}
              display="grid"
              gridTemplateColumns="1fr auto"
              alignItems="center"
              borderBottom="1px solid"
              borderColor="line"
            >
              <Text as="span" fontFamily="heading" fontWeight="500" fontSize="0.95rem">
                {probe.red} to {probe.black}
              </Text>
              {cell(probe, 'div')}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
