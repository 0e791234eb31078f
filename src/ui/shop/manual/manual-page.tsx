'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { Person } from '@/core/logbook';
import type { ManualReading } from '@/core/reading/manual';
import { draftFrom, genericDraft, learntFrom, type TypeDraft } from '@/core/reading/type-draft';
import { Secondary } from '../../kit/buttons';
import { CardPage } from '../../kit/card-page';
import { TextField } from '../../kit/field';
import { FileButton } from '../../kit/file-button';
import { Notice } from '../../kit/notice';
import { FieldGrid, Section } from '../../kit/section';
import { Item, Text } from '../../kit/text';
import { DraftReview } from './draft-review';
import { FinishForm } from './finish-form';
import { isPdf, keepManual, manualOf } from './manual-store';
import { useDraft, type DraftState } from './use-draft';
import { useManual, type Reading } from './use-manual';

/** A draft that the server has, and its version. */
interface Stored {
  draft: TypeDraft;
  version: number;
}

function Progress({ reading, cancel }: { reading: Reading; cancel: () => void }) {
  if (reading.state === 'idle') return null;
  if (reading.state === 'trouble')
    return (
      <Notice tone="failed" headline="The file could not be read">
        <span role="alert">{reading.said}</span>
      </Notice>
    );
  return (
    <Box display="flex" gap="4" alignItems="center" flexWrap="wrap" mb="3">
      <Text role="status">
        Reading {reading.name}
        {reading.pages > 0 && `: ${reading.pages} ${reading.pages === 1 ? 'page' : 'pages'} so far`}…
      </Text>
      <Secondary onClick={cancel}>Cancel</Secondary>
    </Box>
  );
}

/** What the reading says of itself: pages without text, rows that could not be read. */
function Findings({ reading: { findings, unread } }: { reading: ManualReading }) {
  return (
    <>
      {findings.map(({ code, text }) => (
        <Notice key={code} tone="doubt" headline="Please note">
          {text}
        </Notice>
      ))}
      {unread.length > 0 && (
        <Section title={`Rows that could not be read: ${unread.length}`}>
          <Box
            as="ul"
            pl="5"
            maxH="220px"
            overflowY="auto"
            tabIndex={0}
            role="region"
            aria-label="Unread rows"
          >
            {unread.map(({ page, text }, i) => (
              <Item key={`${page} ${i}`}>
                Page {page}: {text}
              </Item>
            ))}
          </Box>
        </Section>
      )}
    </>
  );
}

function Saved({ state, trouble, again }: Pick<DraftState, 'state' | 'trouble'> & { again: () => void }) {
  if (state === 'not-saved')
    return (
      <Notice tone="failed" headline="The draft is not saved">
        <Text role="alert" mb="2">
          {trouble}
        </Text>
        <Secondary onClick={again}>Save again</Secondary>
      </Notice>
    );
  return (
    <Text role="status" color="soft" mb="3">
      {state === 'saved' ? 'Saved as a draft.' : 'Saving…'}
    </Text>
  );
}

/** A manual becomes a draft of a drive type: read here, checked by a person, saved after each answer. */
export function ManualPage({
  people,
  person,
  drafts,
}: {
  people: readonly Person[];
  person: Person;
  drafts: readonly Stored[];
}) {
  const { reading, read, cancel } = useManual();
  const { shown, open, begin, change, again } = useDraft();
  const [result, setResult] = useState<ManualReading | null>(null);
  const [maker, setMaker] = useState('');
  const [range, setRange] = useState('');
  const [missing, setMissing] = useState(false);
  /** The manual whose pages are shown beside its rows. */
  const [pdf, setPdf] = useState<Blob | null>(null);
  const isNamed = (): boolean => {
    const named = maker.trim() !== '' && range.trim() !== '';
    setMissing(!named);
    return named;
  };
  const withoutManual = () => {
    if (!isNamed()) return;
    setPdf(null);
    begin(genericDraft({ id: v7(), maker: maker.trim(), range: range.trim() }));
  };
  const take = async (file: File) => {
    if (!isNamed()) return;
    const manual = await read(file, learntFrom(drafts.map((d) => d.draft)));
    setResult(manual);
    if (manual === null || manual.entries.length + manual.alarms.length === 0) return;
    const id = v7();
    setPdf(isPdf(file) ? file : null);
    if (isPdf(file)) void keepManual(id, file);
    begin(draftFrom(manual, { id, maker: maker.trim(), range: range.trim(), source: file.name }));
  };
  const openStored = ({ draft, version }: Stored) => {
    setPdf(null);
    void manualOf(draft.id).then(setPdf);
    open(draft, version);
  };
  return (
    <CardPage
      title="Read a manual"
      about="The maker’s manual or parameter list becomes a draft of a drive type. The file is read on this device."
      people={people}
      person={person}
    >
      <Section title="Manual">
        <FieldGrid min="260px">
          <TextField label="Maker" text={maker} set={setMaker} hint="As on the rating label" />
          <TextField label="Range" text={range} set={setRange} hint="The type family, without size" />
        </FieldGrid>
        {missing && (
          <Text role="alert" color="failed" mb="2">
            Enter maker and range first, then choose again.
          </Text>
        )}
        <Box my="3" display="flex" gap="3" flexWrap="wrap" alignItems="center">
          <FileButton
            label="Choose manual"
            said="Manual or parameter list"
            accept=".pdf,.xlsx,.csv,.txt,.tsv,.eds,.dcf"
            disabled={reading.state === 'reading'}
            take={(file) => void take(file)}
          />
          <Secondary onClick={withoutManual}>Go on without a manual</Secondary>
        </Box>
        <Text color="soft" mb="3">
          PDF, also of scans, spreadsheet (.xlsx), CSV, text, EDS or DCF. Without a manual: the parameters
          that everybody sets, by name.
        </Text>
        <Progress reading={reading} cancel={cancel} />
      </Section>
      {drafts.length > 0 && shown === null && (
        <Section title="Drafts">
          <Box as="ul" listStyleType="none" p="0" m="0" display="flex" gap="3" flexWrap="wrap">
            {drafts.map(({ draft, version }) => (
              <Item key={draft.id}>
                <Secondary onClick={() => openStored({ draft, version })}>
                  Open {draft.maker} {draft.range}, {draft.parameters.length} parameters
                </Secondary>
              </Item>
            ))}
          </Box>
        </Section>
      )}
      {result !== null && <Findings reading={result} />}
      {shown !== null && (
        <>
          <Notice
            tone="slate"
            headline={`${shown.draft.maker} ${shown.draft.range}: ${shown.draft.parameters.length} parameters, ${shown.draft.alarms.length} faults`}
          >
            Read from {shown.draft.source}. Compare values that matter with the manual before you use them.
          </Notice>
          <Saved state={shown.state} trouble={shown.trouble} again={() => void again()} />
          <DraftReview draft={shown.draft} manual={pdf} change={change}>
            <FinishForm key={shown.draft.id} draft={shown.draft} saved={shown.state === 'saved'} />
          </DraftReview>
        </>
      )}
    </CardPage>
  );
}
