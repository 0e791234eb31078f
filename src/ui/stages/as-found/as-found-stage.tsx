'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { mayCorrect, mustStayDead, standingEntry, timeTextOf, type EntryOf } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { DataTable } from '../../kit/data-table';
import { StageHead, Section } from '../../kit/section';
import { Photos } from '../../kit/photos';
import { dateTime } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { AsFoundForm, familyLabel } from './as-found-form';
import { Text } from '../../kit/text';

const reasons = [
  'unsafe to energise',
  'display dark',
  'no access to the keypad',
  'fault log already cleared',
];

/** As found, as it was recorded: it is looked at, and changed only by a correction. */
function Recorded({ entry }: { entry: EntryOf<'as-found.captured'> }) {
  const { payload, by } = entry;
  const { active = '', family, slots, selectors = '', photos } = payload;
  return (
    <>
      <Text mb="3" color="soft" suppressHydrationWarning>
        Recorded by {by.name}, {dateTime(timeTextOf(entry))}. As found stays unchanged; record later findings
        as notes.
      </Text>
      <Text fontFamily="mono" fontSize="2rem" lineHeight="1.1">
        {active === '' ? 'no fault' : active}
      </Text>
      <Text mb="4">
        Kind: {familyLabel(family)}
        {selectors !== '' && ` · selectors: ${selectors}`}
      </Text>
      {slots.length > 0 && (
        <Section title="Fault log, newest first">
          <DataTable
            columns={[
              { head: 'Log entry', cell: (s) => s.place, names: true },
              { head: 'Code', cell: (s) => s.code },
              { head: 'When', cell: (s) => s.when ?? '' },
            ]}
            rows={slots.map((s, i) => ({ ...s, place: i + 1 }))}
            keyOf={(s) => String(s.place)}
          />
        </Section>
      )}
      {photos.length > 0 && (
        <Box mb="4">
          <Photos label="Display and selectors" photos={photos} />
        </Box>
      )}
    </>
  );
}

/** Freezing what the drive says before anything is reset. */
export function AsFoundStage({ store, person, goTo }: StageProps) {
  const recorded = standingEntry(store.state, 'as-found.captured');
  const [correcting, setCorrecting] = useState(false);
  const dead = mustStayDead(store.state);
  return (
    <>
      <StageHead title="As found">
        Record before resetting: one long key press may erase the fault log.
      </StageHead>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read the display.">
          After {dead.join(', ')} the fault may still be present. Use an external 24 V control supply where
          the type has one, or record why the display was not read.
        </Caution>
      )}
      {recorded === null || correcting ? (
        <AsFoundForm
          known={recorded?.payload ?? null}
          display={store.state.call?.display ?? ''}
          action={recorded === null ? 'Save, go to Inspection' : 'Save correction'}
          onSave={(found) => {
            store.record('as-found.captured', found, recorded?.id);
            setCorrecting(false);
            if (recorded === null) goTo('look');
          }}
        />
      ) : (
        <>
          <Recorded entry={recorded} />
          <Box display="flex" flexWrap="wrap" gap="3">
            <Primary onClick={() => goTo('look')}>Go to Inspection</Primary>
            {mayCorrect(recorded, person) && (
              <Secondary onClick={() => setCorrecting(true)}>Correct the record</Secondary>
            )}
          </Box>
        </>
      )}
      {recorded === null && (
        <Section title="Not readable?">
          <Box display="flex" flexWrap="wrap" gap="2" mt="2">
            {reasons.map((reason) => (
              <Secondary
                key={reason}
                onClick={() => {
                  store.record('as-found.impossible', { reason });
                  goTo('look');
                }}
              >
                {reason}
              </Secondary>
            ))}
          </Box>
        </Section>
      )}
    </>
  );
}
