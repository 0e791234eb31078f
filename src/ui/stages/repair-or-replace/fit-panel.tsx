import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { FitRow } from '@/core/replacement/replacement';
import { unitsOf, type Swap } from '@/core/job/swap';
import type { StageProps } from '../../job-store/stage-props';
import { FileLink } from '../../kit/file-link';
import { Primary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { useTypedForm } from '../../kit/typed-form';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Disclosure } from '../../kit/why';
import { AskedForm } from './asked-form';
import { typedUnit, unitsSchema } from './typed-units';
import { UnitPicker } from './unit-picker';
import { Cell, Said, Text } from '../../kit/text';

const marks: Readonly<Record<FitRow['verdict'], Mark>> = {
  fits: 'sound',
  adapts: 'doubt',
  'does-not': 'failed',
  ask: 'unprobed',
};
const words: Readonly<Record<FitRow['verdict'], string>> = {
  fits: 'fits',
  adapts: 'adapts',
  'does-not': 'does not',
  ask: 'to ask',
};
const heads: Readonly<Record<FitRow['verdict'], string>> = {
  fits: 'It fits.',
  adapts: 'It fits with the changes listed below.',
  'does-not': 'It does not fit as entered.',
  ask: 'Not known yet: something must be clarified first.',
};
const actionWords = { buy: 'Buy', move: 'Move', change: 'Change', ask: 'Ask' } as const;
const order = ['does-not', 'ask', 'adapts', 'fits'] as const;

/** What comes out, what goes in, what the place asks, and row by row whether that fits. */
export function FitPanel({ jobId, store, catalogue, swap }: StageProps & { swap: Swap | null }) {
  const units = unitsOf(store.state);
  const form = useTypedForm('units out and in', unitsSchema(catalogue), {
    old: typedUnit(units?.old ?? null),
    next: typedUnit(units?.next ?? null),
  });
  const [kept, setKept] = useState<string | null>(null);
  const fit = swap?.fit ?? null;
  const sized = (form.read?.next?.typeId ?? null) !== null;
  const keep = form.submit((read) => {
    store.record('swap.units', read);
    setKept('Both units saved.');
  });
  return (
    <>
      <Section title="Old and new unit">
        <form onSubmit={keep} noValidate>
          <UnitPicker label="Old unit" side="old" {...{ catalogue, form }} />
          <UnitPicker label="New unit" side="next" {...{ catalogue, form }} />
          <Primary type="submit">Save both units</Primary>
          <KeptNote text={kept} refused={form.refused} />
        </form>
      </Section>
      {fit === null || swap === null ? (
        <Text mb="3">Choose the new unit to check every row.</Text>
      ) : (
        <Section title="Does it fit?">
          <Text role="status" fontSize="1.2rem" fontWeight="600" mb="1">
            <StateMark mark={marks[fit.verdict]} label={null} size={18} /> {heads[fit.verdict]}
          </Text>
          <Text mb="3" color="soft">
            {fit.counts.fits} fit, {fit.counts.adapts} adapt, {fit.counts['does-not']} do not,{' '}
            {fit.counts.ask} to ask.
          </Text>
          {fit.actions.length > 0 && (
            <Box as="ul" listStyleType="none" mb="4" aria-label="What to do">
              {fit.actions.map((a) => (
                <Box as="li" key={`${a.row} ${a.text}`} py="1">
                  <Text as="span" fontWeight="600" display="inline-block" minW="5em">
                    {actionWords[a.kind]}
                  </Text>
                  <Said>{a.text}</Said>{' '}
                  <Text as="span" color="soft">
                    ({fit.rows.find((r) => r.id === a.row)?.name})
                  </Text>
                </Box>
              ))}
            </Box>
          )}
          <PlainTable heads={['', 'Row', 'Old', 'New', 'Result']}>
            {[...fit.rows]
              .sort((a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict))
              .map((r) => (
                <tr key={r.id}>
                  <Cell style={{ whiteSpace: 'nowrap' }}>
                    <StateMark mark={marks[r.verdict]} label={null} /> {words[r.verdict]}
                  </Cell>
                  <Cell>{r.name}</Cell>
                  <Cell>{r.old}</Cell>
                  <Cell>{r.next}</Cell>
                  <Cell style={{ minWidth: 220 }}>
                    {r.text}
                    {r.sum !== undefined && (
                      <Disclosure label="calculation">
                        <Text fontFamily="mono">{r.sum}</Text>
                      </Disclosure>
                    )}
                  </Cell>
                </tr>
              ))}
          </PlainTable>
          {sized && swap.units.next !== null && (
            <Box display="flex" gap="2" flexWrap="wrap" mt="3">
              {(['a4', 'letter'] as const).map((paper) => (
                <FileLink key={paper} href={`/api/v1/jobs/${jobId}/drilling?paper=${paper}`}>
                  Drilling template, {paper === 'a4' ? 'A4' : 'letter'}
                </FileLink>
              ))}
              <FileLink href={`/api/v1/jobs/${jobId}/drilling?form=csv`}>Holes, CSV</FileLink>
            </Box>
          )}
        </Section>
      )}
      {swap !== null && <AskedForm asked={swap.asked} store={store} />}
    </>
  );
}
