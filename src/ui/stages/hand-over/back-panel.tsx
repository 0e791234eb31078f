import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { againstHandOver, handOverItems, type HandOverItem } from '@/core/job/hand-over';
import type { Swap } from '@/core/job/swap';
import type { StageProps } from '../../job-store/stage-props';
import { SignButton } from '../../panels/sign-button';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { TextField } from '../../kit/field';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { dateTime } from '../../kit/time';
import { BackButton, BackForm } from './back-form';

const marks: Readonly<Record<HandOverItem['state'], Mark>> = {
  done: 'sound',
  failed: 'failed',
  open: 'unprobed',
};
const words: Readonly<Record<HandOverItem['state'], string>> = {
  done: 'seen and right',
  failed: 'not right',
  open: 'open',
};

/** A machine goes back: what is seen, what is still to be, and two names. */
export function HandOverPanel(props: StageProps & { swap: Swap | null }) {
  const { store, person, swap } = props;
  const { state } = store;
  const items = handOverItems(state, swap);
  const { never, byName } = againstHandOver(items);
  const [open, setOpen] = useState<string | null>(null);
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const [second, setSecond] = useState('');
  const [secondIs, setSecondIs] = useState('');
  const signed = state.swap.signedOff;
  const same = second.trim().toLowerCase() === person.name.toLowerCase();
  const held = never.length > 0 || byName.some((i) => !taken.has(i.id)) || second.trim() === '' || same;
  return (
    <>
      <Caution title="From here on it moves by itself.">
        Tell everybody before the override ends, and keep clear of the machine while it takes its reference
        again.
      </Caution>
      <Section title="To do and to see">
        <Box as="ol" listStyleType="none" aria-label="To do and to see">
          {items.map((i) => (
            <Box as="li" key={i.id} borderBottom="1px solid" borderColor="line" py="1.5">
              <Box
                display="grid"
                gridTemplateColumns={{ base: '1fr', md: '11em minmax(0, 1fr) auto' }}
                columnGap="3"
                alignItems="center"
              >
                <Text fontWeight="600">
                  <StateMark mark={marks[i.state]} label={null} /> {i.title}
                </Text>
                <Text>
                  <Text as="span" color="soft">
                    {words[i.state]}.{' '}
                  </Text>
                  {i.text}
                </Text>
                <BackButton
                  item={i}
                  open={open === i.id}
                  toggle={() => setOpen(open === i.id ? null : i.id)}
                  goTo={props.goTo}
                />
              </Box>
              {open === i.id && <BackForm item={i} {...props} done={() => setOpen(null)} />}
            </Box>
          ))}
        </Box>
      </Section>
      <Section title="Two names">
        {signed !== null ? (
          <Text>
            <StateMark mark="sound" label={null} /> Handed over by {signed.by.name} to {signed.payload.second}
            , {dateTime(signed.receivedAt ?? signed.at)}. What changes from here on takes the signature off.
          </Text>
        ) : (
          <>
            {never.length > 0 && (
              <Text color="failed" fontWeight="500" mb="2">
                Cannot be handed over yet: {never.map((i) => i.title.toLowerCase()).join(', ')}.
              </Text>
            )}
            {byName.length > 0 && (
              <Box mb="2">
                <Text fontWeight="500">What stays open is taken on by both, each by name:</Text>
                {byName.map((i) => (
                  <Tick
                    key={i.id}
                    label={`${i.title}: ${i.text}`}
                    checked={taken.has(i.id)}
                    onChange={(on) => {
                      const next = new Set(taken);
                      if (on) next.add(i.id);
                      else next.delete(i.id);
                      setTaken(next);
                    }}
                  />
                ))}
              </Box>
            )}
            <FieldGrid min="220px">
              <TextField
                label="Who takes it over"
                text={second}
                maxLength={200}
                error={same && second !== '' ? 'The second name is somebody else' : undefined}
                set={setSecond}
              />
              <TextField
                label="Who that is"
                text={secondIs}
                maxLength={200}
                hint="e.g. shift lead"
                set={setSecondIs}
              />
            </FieldGrid>
            <SignButton
              person={person}
              waiting={store.unsent.size > 0}
              held={held}
              sign={() =>
                store.record('job.signed-off', {
                  second: second.trim(),
                  secondIs: secondIs.trim(),
                  open: byName.map((i) => ({ id: i.id, text: `${i.title}: ${i.text}`.slice(0, 1000) })),
                  seq: state.seq,
                })
              }
            />
          </>
        )}
      </Section>
    </>
  );
}
