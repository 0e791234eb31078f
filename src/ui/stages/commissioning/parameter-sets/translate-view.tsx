import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Values } from '@/core/equipment/drive-words';
import {
  translationOutcomes,
  translate,
  type TranslationOutcome,
  type TranslatedRow,
  type RatedUnit,
  type UnitSet,
} from '@/core/parameter-sets/parameters';
import { Primary } from '../../../kit/buttons';
import { KeptNote } from '../../../kit/kept-note';
import { Select, choiceOptions } from '../../../kit/field';
import { StateMark, type Mark } from '../../../kit/state-mark';
import { Text } from '../../../kit/text';

const words: Readonly<Record<TranslationOutcome, string>> = {
  carried: 'carried',
  converted: 'converted',
  clamped: 'clamped',
  'to-choose': 'to choose',
  'no-home': 'no match',
};
const marks: Readonly<Record<TranslationOutcome, Mark>> = {
  carried: 'sound',
  converted: 'sound',
  clamped: 'doubt',
  'to-choose': 'failed',
  'no-home': 'unprobed',
};
/** What needs a look first. */
const order: readonly TranslationOutcome[] = ['to-choose', 'clamped', 'converted', 'no-home', 'carried'];

const isOpen = ({ outcome, to, options }: TranslatedRow): boolean =>
  outcome === 'to-choose' && to !== null && to.value === null && options.length > 0;

function Row({ row, choose }: { row: TranslatedRow; choose: (value: number | null) => void }) {
  const { from, to, outcome, sum, reason, options } = row;
  const chosen = outcome === 'to-choose' && to !== null && to.value !== null;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '1.2fr 1.2fr 1fr' }}
      columnGap="4"
      borderBottom="1px solid"
      borderColor="line"
      py="2"
    >
      <Text>
        <Text as="span" fontFamily="mono">
          {from.number}
        </Text>{' '}
        {from.name}: {from.shown}
      </Text>
      <Box>
        {to !== null && (
          <Text>
            <Text as="span" fontFamily="mono">
              {to.number}
            </Text>{' '}
            {to.name}: <Text as="b">{to.value === null ? 'open' : to.shown}</Text>
          </Text>
        )}
        {options.length > 0 && (
          <Select
            label={`Choose for ${to?.name ?? from.name}`}
            value={chosen ? String(to.value) : ''}
            onChange={(v) => choose(v === '' ? null : Number(v))}
            options={choiceOptions(options)}
          />
        )}
      </Box>
      <Text color="soft">
        <StateMark mark={chosen ? 'sound' : marks[outcome]} label={null} />{' '}
        {chosen ? 'chosen' : words[outcome]}
        {sum === null ? '' : `: ${sum}`}
        {reason === null ? '' : `: ${reason}`}
      </Text>
    </Box>
  );
}

/** A set on the drive's type: every value in exactly one of five ways, what a person must choose first. */
export function TranslateView({
  set,
  to,
  keep,
}: {
  set: UnitSet;
  to: RatedUnit;
  keep: (values: Values, choices: Record<string, number | null>) => void;
}) {
  const [choices, setChoices] = useState<Record<string, number | null>>({});
  const [kept, setKept] = useState<string | null>(null);
  const made = useMemo(() => translate(set, to, choices), [set, to, choices]);
  const open = made.rows.filter(isOpen).length;
  const rows = order.flatMap((o) => made.rows.filter((r) => r.outcome === o));
  return (
    <>
      <Text role="status" fontWeight="500" mb="2">
        {made.rows.length} values:{' '}
        {translationOutcomes.map((o) => `${made.counts[o]} ${words[o]}`).join(', ')}.
      </Text>
      <Text color="soft" mb="3">
        {made.untouched.length} parameters of the new type stay as the factory set them.
      </Text>
      <Primary
        disabled={open > 0}
        onClick={() => {
          keep(made.values, choices);
          setKept('Saved as a new set.');
        }}
      >
        {open > 0 ? `${open} to choose first` : 'Save translated set'}
      </Primary>
      <KeptNote text={kept} />
      <Box as="ul" aria-label="Translation" listStyleType="none" mt="3">
        {rows.map((row) => (
          <Row
            key={row.from.number}
            row={row}
            choose={(value) => {
              setKept(null);
              setChoices({ ...choices, [row.from.number]: value });
            }}
          />
        ))}
      </Box>
    </>
  );
}
