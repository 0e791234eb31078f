'use client';
import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { mayCorrect, mustStayDead, standingEntry, type EntryOf } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { DataTable } from '../../kit/data-table';
import { StageHead, Section } from '../../kit/section';
import { Photos } from '../../kit/photos';
import { dateTime } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { AsFoundForm, familyLabel } from './as-found-form';

const reasons = [
  'unsafe to energise',
  'display dead',
  'no access to the keypad',
  'history was cleared before',
];

/** As found, as it was recorded: it is looked at, and changed only by a correction. */
function Recorded({ entry: { payload, by, at, receivedAt } }: { entry: EntryOf<'as-found.captured'> }) {
  const { active = '', family, slots, selectors = '', photos } = payload;
  return (
    <>
      <Text mb="3" color="soft" suppressHydrationWarning>
        Recorded by {by.name}, {dateTime(receivedAt ?? at)}. It stays as it was found; what is found later
        goes into the notes.
      </Text>
      <Text fontFamily="mono" fontSize="2rem" lineHeight="1.1">
        {active === '' ? 'no alarm' : active}
      </Text>
      <Text mb="4">
        Kind: {familyLabel(family)}
        {selectors !== '' && ` · selectors: ${selectors}`}
      </Text>
      {slots.length > 0 && (
        <Section title="Fault slots, newest first">
          <DataTable
            columns={[
              { head: 'Slot', cell: (s) => s.place, names: true },
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
      <StageHead title="As found">Capture before clear: one long key press may wipe the history.</StageHead>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read it.">
          After {dead.join(', ')} the fault may still be there. Use an external 24 V control supply where the
          type has one, or write why it was not captured.
        </Caution>
      )}
      {recorded === null || correcting ? (
        <AsFoundForm
          known={recorded?.payload ?? null}
          display={store.state.call?.display ?? ''}
          action={recorded === null ? 'Keep and look' : 'Save correction'}
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
            <Primary onClick={() => goTo('look')}>Go on to look</Primary>
            {mayCorrect(recorded, person) && (
              <Secondary onClick={() => setCorrecting(true)}>Correct what was recorded</Secondary>
            )}
          </Box>
        </>
      )}
      {recorded === null && (
        <Section title="Cannot be captured?">
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
