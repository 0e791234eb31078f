import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import * as z from 'zod';
import { againstHandOver, handOverItems, type HandOverItem } from '@/core/job/hand-over';
import { timeTextOf, type Person } from '@/core/logbook';
import type { Release } from '@/core/job/release';
import type { Swap } from '@/core/job/swap';
import type { StageProps } from '../../job-store/stage-props';
import { SignButton } from '../../panels/sign-button';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { Field, TextField } from '../../kit/field';
import { filledText } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { StateMark, type Mark } from '../../kit/state-mark';
import { dateTime } from '../../kit/time';
import { BackButton, BackForm } from './back-form';
import { Text } from '../../kit/text';

const marks: Readonly<Record<HandOverItem['state'], Mark>> = {
  done: 'sound',
  failed: 'failed',
  open: 'unprobed',
};
const words: Readonly<Record<HandOverItem['state'], string>> = {
  done: 'passed',
  failed: 'failed',
  open: 'open',
};

const lineOf = (item: HandOverItem): string => `${item.title}: ${item.text}`;

/** Who takes it over, and what both take on, each with the reason. */
const namesSchema = (signer: string, open: readonly string[]) =>
  z.object({
    second: filledText('Enter who takes over').refine(
      (name) => name.toLowerCase() !== signer.toLowerCase(),
      'Must be another person than the signer',
    ),
    secondIs: z.string().trim(),
    taken: z
      .record(z.string(), z.string().trim())
      .refine((taken) => open.every((id) => (taken[id] ?? '') !== ''), 'Each open item needs a reason'),
  });
type Names = ReturnType<typeof namesSchema>;
const noNames: z.input<Names> = { second: '', secondIs: '', taken: {} };

/** Two names under what was seen, done and left open. */
export function TwoNames({
  never,
  byName,
  person,
  waiting,
  sign,
}: {
  /** What must be settled first. */
  never: readonly HandOverItem[];
  /** What may stay open when both take it on. */
  byName: readonly HandOverItem[];
  person: Person;
  waiting: boolean;
  sign: (names: z.output<Names>) => void;
}) {
  const schema = namesSchema(
    person.name,
    byName.map((i) => i.id),
  );
  const { typed, read, text, set } = useTypedForm('two names', schema, noNames);
  return (
    <>
      {never.length > 0 && (
        <Text color="failed" fontWeight="500" mb="2">
          Cannot be handed over yet: {never.map((i) => i.title.toLowerCase()).join(', ')}.
        </Text>
      )}
      {byName.length > 0 && (
        <Box mb="2">
          <Text fontWeight="500">Items that stay open, each accepted by both with a reason:</Text>
          {byName.map((i) => (
            <Box key={i.id} my="2">
              <TextField
                label={lineOf(i)}
                hint="Reason for accepting"
                maxLength={200}
                text={typed.taken[i.id] ?? ''}
                set={(reason) => set('taken', { ...typed.taken, [i.id]: reason })}
              />
            </Box>
          ))}
        </Box>
      )}
      <FieldGrid min="220px">
        <Field label="Taken over by" maxLength={200} {...text('second')} />
        <Field label="Function" maxLength={200} hint="E.g. shift lead" {...text('secondIs')} />
      </FieldGrid>
      <SignButton
        person={person}
        waiting={waiting}
        held={never.length > 0 || read === null}
        why={
          never.length === 0 && read === null
            ? `Taken over by${byName.length > 0 ? ', and a reason for each line that stays open' : ''}.`
            : null
        }
        sign={() => read !== null && sign(read)}
      />
    </>
  );
}

/** A machine goes back: what is seen, what is still to be, and two names. */
export function HandOverPanel(props: StageProps & { swap: Swap | null; release: Release | null }) {
  const { store, person, swap, release } = props;
  const { state } = store;
  const items = handOverItems(state, swap, release);
  const { never, byName } = againstHandOver(items);
  const [open, setOpen] = useState<string | null>(null);
  const signed = state.swap.signedOff;
  return (
    <>
      <Caution title="The machine will start automatically.">
        Inform everybody before the override ends, and keep clear while the machine returns to automatic.
      </Caution>
      <Section title="Checklist">
        <Box as="ol" listStyleType="none" aria-label="Checklist">
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
      <Section title="Signatures">
        {signed !== null ? (
          <Text>
            <StateMark mark="sound" label={null} /> Handed over by {signed.by.name} to {signed.payload.second}
            , {dateTime(timeTextOf(signed))}. Any later change removes the signature.
          </Text>
        ) : (
          <TwoNames
            never={never}
            byName={byName}
            person={person}
            waiting={store.unsent.size > 0}
            sign={({ second, secondIs, taken }) =>
              store.record('job.signed-off', {
                second,
                secondIs,
                open: byName.map((i) => ({
                  id: i.id,
                  text: lineOf(i).slice(0, 1000),
                  reason: taken[i.id] ?? '',
                })),
                seq: state.seq,
              })
            }
          />
        )}
      </Section>
    </>
  );
}
