import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { conceptIds, conceptOf, type ConceptId } from '@/core/equipment/concepts';
import type { Coverage } from '@/core/reading/coverage';
import {
  draftCoverage,
  questionsOf,
  withMeaning,
  type DraftParameter,
  type Question,
  type TypeDraft,
} from '@/core/reading/type-draft';
import { Primary, Secondary } from '../../kit/buttons';
import { DataTable, type Column } from '../../kit/data-table';
import { Select, TextField } from '../../kit/field';
import { FieldGrid, Section } from '../../kit/section';
import { StateMark, type Mark } from '../../kit/state-mark';
import { Text } from '../../kit/text';
import { PageView } from './page-view';
import { givenOf, rangeOf } from './parameter-words';

const toolNames: Readonly<Record<Coverage['tool'], string>> = {
  'fault-finding': 'Fault finding',
  'start-up': 'Start-up sheet',
  'run-chain': 'Run chain',
};

const nothing = 'none';
const meanings = [
  { value: nothing, label: 'nothing that every drive has' },
  ...conceptIds
    .map((id) => ({ value: id, label: conceptOf(id).name }))
    .sort((a, b) => a.label.localeCompare(b.label)),
];
const isConcept = (text: string): text is ConceptId => conceptIds.some((id) => id === text);

/** How far each tool works, and what it lacks. */
function CoverageList({ coverage }: { coverage: readonly Coverage[] }) {
  return (
    <Box
      as="ul"
      aria-label="How complete it is"
      listStyleType="none"
      m="0"
      mb="4"
      p="0"
      display="flex"
      gap="5"
      flexWrap="wrap"
    >
      {coverage.map(({ tool, percent, missing }) => (
        <Box as="li" key={tool} minW="190px">
          <Text fontWeight="600">{toolNames[tool]}</Text>
          <Text fontFamily="mono" fontSize="1.6rem" lineHeight="1.2">
            {percent} %
          </Text>
          <Text color="soft" fontSize="0.88rem">
            {missing[0] === undefined
              ? percent === 100
                ? 'complete'
                : 'no fault table was read'
              : `${missing[0].without}${missing.length > 1 ? ` and ${missing.length - 1} more` : ''}`}
          </Text>
        </Box>
      ))}
    </Box>
  );
}

const confidenceOf = ({ concept }: DraftParameter): string =>
  concept === null ? '' : `${Math.round(100 * concept.confidence)} %`;

/** One doubtful meaning: what it may be, and what depends on it. */
function Asked({
  question: { parameter, guess, unlocks },
  manual,
  answer,
}: {
  question: Question;
  manual: Blob | null;
  answer: (concept: ConceptId | null) => void;
}) {
  const [other, setOther] = useState<string>(guess);
  return (
    <Box
      bg="paper"
      borderLeft="5px solid"
      borderColor="doubt"
      px="3"
      py="2.5"
      mb="4"
      aria-label="Question"
      role="group"
    >
      <Text fontWeight="600" fontSize="1.1rem">
        Is {parameter.number} <q>{parameter.name}</q> the {conceptOf(guess).name}?
      </Text>
      <Text color="soft" mb="2">
        Read with {confidenceOf(parameter)} confidence on page {parameter.page}.{' '}
        {unlocks[0] !== undefined && `Without it: ${unlocks.map((u) => u.without).join('; ')}.`}
      </Text>
      {manual !== null && parameter.page > 0 && (
        <PageView manual={manual} page={parameter.page} box={parameter.box} />
      )}
      <FieldGrid min="260px">
        <Select label="Meaning" value={other} onChange={setOther} options={meanings} />
      </FieldGrid>
      <Box display="flex" gap="3" flexWrap="wrap" mt="2">
        <Primary onClick={() => answer(isConcept(other) ? other : null)}>
          {other === guess ? 'Yes, save' : 'Save meaning'}
        </Primary>
        <Secondary onClick={() => answer(null)}>It is something else</Secondary>
      </Box>
    </Box>
  );
}

const isOpen = ({ meaning, concept }: DraftParameter): boolean =>
  meaning.concept === null && meaning.by === 'read' && concept !== null;
const markOf = (parameter: DraftParameter): Mark => {
  if (isOpen(parameter)) return 'doubt';
  return parameter.meaning.concept === null ? 'unprobed' : 'sound';
};
const whoSays = (parameter: DraftParameter): string => {
  if (parameter.meaning.by === 'person') return 'chosen';
  if (parameter.meaning.concept !== null) return 'read';
  return isOpen(parameter) ? 'not sure' : '';
};

/** What is known of a draft: how far the tools work, what is to be asked, and all parameters and faults. */
export function DraftReview({
  draft,
  manual,
  change,
  children,
}: {
  draft: TypeDraft;
  /** The PDF it was read from; null where this device does not have it. */
  manual: Blob | null;
  change: (draft: TypeDraft) => void;
  /** What comes before the long lists. */
  children: ReactNode;
}) {
  const [asked, setAsked] = useState('');
  const [edited, setEdited] = useState<string | null>(null);
  const [looked, setLooked] = useState<DraftParameter | null>(null);
  const questions = questionsOf(draft);
  const [question] = questions;
  const words = asked.trim().toLowerCase();
  const rows = draft.parameters.filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(words));
  const choose = (number: string, concept: ConceptId | null) => {
    setEdited(null);
    change(withMeaning(draft, number, concept));
  };
  const columns: Column<DraftParameter>[] = [
    { head: 'Parameter', names: true, by: (p) => p.number, cell: (p) => p.number },
    { head: 'Name', by: (p) => p.name, cell: (p) => p.name },
    { head: 'Range or choices', cell: rangeOf },
    { head: 'Factory', cell: givenOf },
    {
      head: 'Meaning',
      by: (p) => (p.meaning.concept === null ? '' : conceptOf(p.meaning.concept).name),
      cell: (p) =>
        edited === p.number ? (
          <Select
            label={`Meaning of ${p.number}`}
            value={p.meaning.concept ?? nothing}
            onChange={(value) => choose(p.number, isConcept(value) ? value : null)}
            options={meanings}
          />
        ) : (
          <Secondary aria-label={`Change the meaning of ${p.number}`} onClick={() => setEdited(p.number)}>
            <StateMark mark={markOf(p)} label={null} />
            {p.meaning.concept === null ? 'none' : conceptOf(p.meaning.concept).name}
          </Secondary>
        ),
    },
    { head: 'By', by: whoSays, cell: whoSays },
    {
      head: 'Page',
      by: (p) => p.page,
      cell: (p) =>
        p.page === 0 ? (
          ''
        ) : manual === null ? (
          p.page
        ) : (
          <Secondary
            px="3"
            aria-label={`Show ${p.number} on page ${p.page} of the manual`}
            aria-pressed={looked?.number === p.number}
            onClick={() => setLooked(looked?.number === p.number ? null : p)}
          >
            {p.page}
          </Secondary>
        ),
    },
  ];
  return (
    <>
      <Section title="How complete it is">
        <CoverageList coverage={draftCoverage(draft)} />
      </Section>
      {question !== undefined && (
        <Section title={`Questions: ${questions.length}`}>
          <Asked
            key={question.parameter.number}
            question={question}
            manual={manual}
            answer={(concept) => choose(question.parameter.number, concept)}
          />
        </Section>
      )}
      {children}
      <Section title="Parameters">
        <FieldGrid>
          <TextField label="Find" text={asked} set={setAsked} hint="Number or name" />
        </FieldGrid>
        <Text role="status" color="soft" mb="1">
          {rows.length} of {draft.parameters.length} parameters
        </Text>
        {manual !== null && looked !== null && (
          <PageView manual={manual} page={looked.page} box={looked.box} />
        )}
        <Box maxH="520px" overflowY="auto" tabIndex={0} role="region" aria-label="Parameters of the draft">
          <DataTable rows={rows} keyOf={(p) => p.number} columns={columns} />
        </Box>
      </Section>
      {draft.alarms.length > 0 && (
        <Section title="Faults">
          <DataTable
            rows={draft.alarms}
            keyOf={(a) => a.code}
            columns={[
              { head: 'Code', names: true, by: (a) => a.code, cell: (a) => a.code },
              { head: 'Name', by: (a) => a.name, cell: (a) => a.name },
              {
                head: 'Family',
                by: (a) => a.meaning.family ?? '',
                cell: (a) => a.meaning.family ?? 'not known',
              },
              { head: 'Page', by: (a) => a.page, cell: (a) => a.page },
            ]}
          />
        </Section>
      )}
    </>
  );
}
