'use client';
import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { countOf, entryWords } from '@/core/logbook';
import { Primary, Secondary } from '../kit/buttons';
import { TextField } from '../kit/field';
import { useNow } from '../kit/use-now';
import type { DeviceRecord } from '../job-store/ports';
import type { FormClash } from '../job-store/form-drafts';
import type { JobStore } from '../job-store/use-job';
import { textsOf, withText, type PayloadText } from './payload-texts';
import { Text } from '../kit/text';

/** A line on what stands between this device and the server. What counts down beside it is not read aloud each second. */
function Line({
  tone,
  children,
  beside = '',
}: {
  tone: 'doubt' | 'failed';
  children: string;
  beside?: ReactNode;
}) {
  return (
    <Box bg={`${tone}Wash`} color="ink" borderLeft="5px solid" borderColor={tone} px="3" py="2" mb="2">
      <Text as="span" role="alert">
        {children}
      </Text>
      <Text as="span" aria-live="off">
        {beside}
      </Text>
    </Box>
  );
}

/** How long until the next try; it ticks only where there is one. */
function NextTry({ at }: { at: number }) {
  const now = useNow(0, 1000);
  if (now === 0) return null;
  const seconds = Math.max(0, Math.round((at - now) / 1000));
  return seconds < 2 ? ' Trying again now.' : ` Next try in ${seconds} s.`;
}

/** What the state of sending means for the person, in one plain line; null: nothing is wrong. */
export function sendingWords({ sending, unsent }: Pick<JobStore, 'sending' | 'unsent'>): string | null {
  if (sending.state === 'ok') return null;
  if (sending.state === 'held')
    return `${countOf(unsent.size, 'log entry')} not taken by the server yet: ${sending.why ?? ''} Stored on this device.`;
  if (sending.why !== null)
    return `Not recorded yet. ${sending.why} ${countOf(unsent.size, 'log entry')} stored on this device, sent automatically when the server can record again.`;
  return unsent.size > 0
    ? `Server not reachable. ${countOf(unsent.size, 'log entry')} stored on this device, sent automatically when it is back.`
    : `Server not reachable. What you enter is stored on this device and sent automatically when it is back.`;
}

/** A refused entry: its reason, and what can be done about it. */
function Refused({ record: { entry, refused }, store }: { record: DeviceRecord; store: JobStore }) {
  const [texts, setTexts] = useState<PayloadText[] | null>(null);
  const editable = textsOf(entry.payload);
  return (
    <Box
      role="alert"
      bg="failedWash"
      color="ink"
      borderLeft="5px solid"
      borderColor="failed"
      px="3"
      py="2"
      mb="2"
    >
      <Text fontWeight="500">
        Not recorded: {entryWords(entry)} ({entry.by.name})
      </Text>
      <Text>
        {refused?.why} {refused?.problems.map((p) => `${p.path}: ${p.allowed}.`).join(' ')}
      </Text>
      {texts !== null && (
        <Box display="grid" gap="2" my="2" maxW="560px">
          {texts.map((one, i) => (
            <TextField
              key={one.path.join('.')}
              label={one.path.join(' ')}
              text={one.text}
              set={(text) => setTexts(texts.map((other, k) => (k === i ? { ...other, text } : other)))}
            />
          ))}
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="2" mt="2">
        {texts === null ? (
          <>
            <Primary onClick={() => store.repeat(entry.id)}>Send again</Primary>
            {editable.length > 0 && (
              <Secondary onClick={() => setTexts(editable)}>Edit and send again</Secondary>
            )}
            <Secondary onClick={() => store.discard(entry.id)}>Discard</Secondary>
          </>
        ) : (
          <>
            <Primary onClick={() => store.repeat(entry.id, texts.reduce(withText, entry.payload as unknown))}>
              Send as edited
            </Primary>
            <Secondary onClick={() => setTexts(null)}>Cancel</Secondary>
          </>
        )}
      </Box>
    </Box>
  );
}

const shown = (value: unknown): string =>
  value === '' || value === null || value === undefined
    ? 'nothing'
    : typeof value === 'string'
      ? `“${value}”`
      : JSON.stringify(value);

/** A form in which something was typed while something else was recorded: both, and the choice. */
function Clashing({ clash: { form, fields, keepTyped, takeRecorded } }: { clash: FormClash }) {
  return (
    <Box
      role="alert"
      bg="doubtWash"
      color="ink"
      borderLeft="5px solid"
      borderColor="doubt"
      px="3"
      py="2"
      mb="2"
    >
      <Text fontWeight="500">
        “{form}” was recorded by somebody else, or in another tab, while you typed. Nothing is saved before
        you choose.
      </Text>
      {fields.map(({ name, label, recorded, typed }) => (
        <Text key={name} overflowWrap="anywhere">
          {label}: recorded {shown(recorded)}, typed {shown(typed)}
        </Text>
      ))}
      <Box display="flex" flexWrap="wrap" gap="2" mt="2">
        <Primary onClick={keepTyped}>Use what I typed</Primary>
        <Secondary onClick={takeRecorded}>Use what is recorded</Secondary>
      </Box>
    </Box>
  );
}

/** What could not be stored, sent or recorded, and forms that clash; nothing is dropped unseen. */
export function Troubles({ store, clashes }: { store: JobStore; clashes: readonly FormClash[] }) {
  const { unstored, refused, sending } = store;
  const line = sendingWords(store);
  return (
    <Box mx={{ base: 3, md: 5 }}>
      {unstored.size > 0 && sending.state !== 'ok' && (
        <Line tone="failed">
          {`This device cannot store ${countOf(unstored.size, 'log entry')}: its storage is full or missing. They are in this page only. Leave this page open until they are sent.`}
        </Line>
      )}
      {line !== null && (
        <Line tone="doubt" beside={sending.nextTry === null ? null : <NextTry at={sending.nextTry} />}>
          {line}
        </Line>
      )}
      {store.startedOver && (
        <Line tone="doubt">
          The server was restored from a backup. This log was loaded again: its newest entries may be missing.
          Compare it with what you know, and enter again what is missing.
        </Line>
      )}
      {clashes.map((clash) => (
        <Clashing key={clash.form} clash={clash} />
      ))}
      {refused.map((record) => (
        <Refused key={record.entry.id} record={record} store={store} />
      ))}
    </Box>
  );
}
