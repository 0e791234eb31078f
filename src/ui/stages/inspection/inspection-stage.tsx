'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { lookItems, mustStayDead, type LookItem, type Payload, lookWords } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead } from '../../kit/section';
import { Choice, TextField } from '../../kit/field';
import { Photos } from '../../kit/photos';
import { StateMark } from '../../kit/state-mark';
import type { StageProps } from '../../job-store/stage-props';
import { Text } from '../../kit/text';

type Finding = Payload<'look.finding'>;
const answers = [
  { value: 'clear', label: 'clear' },
  { value: 'found', label: 'found' },
  { value: 'not-checked', label: 'cannot check now' },
] as const;
const marks = { clear: 'sound', found: 'failed', 'not-checked': 'unprobed' } as const;

function Item({
  item,
  finding,
  keep,
}: {
  item: LookItem;
  finding: Finding | undefined;
  keep: (f: Finding) => void;
}) {
  const [note, setNote] = useState(finding?.note ?? '');
  const photos = finding?.photos ?? [];
  const state = finding?.state ?? null;
  const { name, hint } = lookWords[item];
  return (
    <Box
      as="li"
      borderBottom="1px solid"
      borderColor="line"
      py="3"
      display="grid"
      gridTemplateColumns={{ base: '1fr', sm: '200px 1fr' }}
      gap="3"
      alignItems="start"
    >
      <Box>
        <Text fontFamily="heading" fontWeight="600" fontSize="1.06rem">
          {state !== null && <StateMark mark={marks[state]} label={null} />} {name}
        </Text>
        <Text fontSize="0.88rem" color="soft">
          {hint}
        </Text>
      </Box>
      <Box>
        <Choice
          label={name}
          hideLabel
          options={answers}
          value={state}
          onChange={(next) => keep({ item, state: next, photos, ...(note === '' ? {} : { note }) })}
        />
        {state === 'found' && (
          <Box mt="2" display="grid" gap="2">
            <TextField
              label="What exactly?"
              text={note}
              maxLength={200}
              set={setNote}
              onBlur={() => {
                if (note.trim() !== (finding?.note ?? ''))
                  keep({ item, state: 'found', note: note.trim(), photos });
              }}
            />
            <Photos
              label={name}
              photos={photos}
              onChange={(next) =>
                keep({ item, state: 'found', photos: next, ...(note === '' ? {} : { note }) })
              }
            />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** Power off: look and smell. */
export function InspectionStage({ store, goTo }: StageProps) {
  const dead = mustStayDead(store.state);
  return (
    <>
      <StageHead title="Inspection">
        Power off. Open covers only as far as possible without reaching in.
      </StageHead>
      <Caution title="The capacitor bank stays charged.">
        A dark display proves nothing. Keep hands out until the drive is proven dead.
      </Caution>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read the display.">
          Signs found: {dead.join(', ')}.
        </Caution>
      )}
      <Box as="ul" listStyleType="none" mb="4">
        {lookItems.map((item) => (
          <Item
            key={item}
            item={item}
            finding={store.state.look[item]}
            keep={(finding) => store.record('look.finding', finding)}
          />
        ))}
      </Box>
      <Primary onClick={() => goTo('make-safe')}>Go to Make safe</Primary>
    </>
  );
}
