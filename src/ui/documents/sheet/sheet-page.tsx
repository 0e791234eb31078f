'use client';
import { Box } from '@chakra-ui/react';
import type { Person } from '@/core/logbook';
import type { TermsProfile } from '@/core/terms';
import type { Value } from '@/core/equipment/power-stage';
import { readingStateWords, type Sheet } from '@/core/job/static-sheet';
import { DocumentPage, DocumentPart } from '../../kit/document-page';
import { PlainTable } from '../../kit/plain-table';
import { StateMark, type Mark } from '../../kit/state-mark';
import { dateTime } from '../../kit/time';
import { Cell, Item, Said, Text } from '../../kit/text';

const shown = (v: Value | null): string =>
  v === null ? '' : v === 'OL' || v === 'climbing' ? v : v.toFixed(3);
const markOf = (state: string): Mark =>
  state === 'sound' ? 'sound' : state === 'failed' ? 'failed' : state === 'doubt' ? 'doubt' : 'unprobed';
const verdictMark: Record<string, Mark> = {
  'not-shorted': 'sound',
  faulty: 'failed',
  doubtful: 'doubt',
  invalid: 'doubt',
};

function Readings({ sheet }: { sheet: Sheet }) {
  return (
    <PlainTable heads={['red', 'black', 'value, V', 'earlier', 'expected', 'state', 'by']}>
      {sheet.readings.map((r) => (
        <tr key={`${r.red}>${r.black}`}>
          <Cell>{r.red}</Cell>
          <Cell>{r.black}</Cell>
          <Text as="td" fontFamily="mono" fontSize="1.05rem">
            {shown(r.values[r.values.length - 1] ?? null)}
          </Text>
          <Text as="td" fontFamily="mono" color="soft">
            {r.values.slice(0, -1).map(shown).join(', ')}
          </Text>
          <Text as="td" fontFamily="mono" color="soft">
            {shown(r.expected)}
          </Text>
          <Cell>
            <StateMark mark={markOf(r.state)} label={null} /> {readingStateWords[r.state]}
          </Cell>
          <Cell>{r.by}</Cell>
        </tr>
      ))}
    </PlainTable>
  );
}

/** The dead proof: who, with which meter, and every reading. */
function MadeSafe({ safety }: { safety: NonNullable<Sheet['safety']> }) {
  return (
    <DocumentPart title="Made safe">
      <Text fontWeight="600">{safety.statement}</Text>
      <Text>
        By {safety.by}. Meter proven {safety.meter}. Limits: {safety.limits}.
      </Text>
      <Box
        as="ul"
        listStyleType="none"
        mt="2"
        display="grid"
        gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }}
        columnGap="6"
      >
        {safety.figures.map((f) => (
          <Box
            as="li"
            key={`${f.between} ${f.quantity} ${f.where}`}
            display="flex"
            justifyContent="space-between"
            borderBottom="1px solid"
            borderColor="line"
          >
            <span>
              <Said>
                {f.between} {f.quantity}, {f.where}
              </Said>
            </span>
            <Text as="span" fontFamily="mono">
              {f.below ? '< ' : ''}
              {f.volts} V
            </Text>
          </Box>
        ))}
      </Box>
    </DocumentPart>
  );
}

/** The static-test sheet as a page; it prints as it stands. */
export function SheetPage({
  jobId,
  sheet,
  terms,
  people,
  person,
}: {
  jobId: string;
  sheet: Sheet;
  /** The customer's. */
  terms: TermsProfile;
  people: readonly Person[];
  person: Person;
}) {
  return (
    <DocumentPage
      jobId={jobId}
      title={sheet.title}
      paper="sheet"
      identity={sheet.identity.map((i) => [i.label, i.value] as const)}
      terms={terms}
      people={people}
      person={person}
    >
      <Box border="2px solid" borderColor="ink" bg="paper" p="4" mt="5">
        <Text fontFamily="heading" fontWeight="600" fontSize="1.5rem" lineHeight="1.15" mb="1">
          {sheet.conclusion.headline}
        </Text>
        <Text>{sheet.conclusion.detail}</Text>
        <Text mt="2">
          <StateMark mark={verdictMark[sheet.conclusion.verdict] ?? 'doubt'} label={null} /> Verdict level:{' '}
          <strong>{sheet.conclusion.level}</strong>
        </Text>
        <Text mt="1" fontSize="0.92rem">
          {sheet.levels.map((l) => `${l.name}: ${l.state}`).join('; ')}.
        </Text>
      </Box>
      <DocumentPart title="Readings">
        <Readings sheet={sheet} />
      </DocumentPart>
      {sheet.safety !== null && <MadeSafe safety={sheet.safety} />}
      {sheet.modules.map((m) => (
        <DocumentPart key={m.name} title={`Module by lamp and battery: ${m.name}`}>
          <Text fontWeight="600">{m.verdict.replace('-', ' ')}</Text>
          <Box as="ul" pl="5" listStyleType="disc">
            {m.devices.map((d) => (
              <Item key={d.name}>
                {d.name}: {d.verdict.replace('-', ' ')}. {d.why}
              </Item>
            ))}
          </Box>
        </DocumentPart>
      ))}
      <DocumentPart title="As found and inspection">
        <Text>{sheet.asFound.join('; ')}.</Text>
        <Text>
          {sheet.look.map((l) => `${l.item}: ${l.state}${l.note === '' ? '' : ` (“${l.note}”)`}`).join('; ')}
        </Text>
      </DocumentPart>
      <DocumentPart title="What this test cannot see">
        <Box as="ul" pl="5" listStyleType="disc">
          {sheet.unseen.map((u) => (
            <Item key={u}>{u}</Item>
          ))}
        </Box>
      </DocumentPart>
      {sheet.traces.map((t) => (
        <DocumentPart key={t.trouble} title={`Traced: ${t.trouble}`}>
          <Box as="ol" pl="5" listStyleType="decimal">
            {t.steps.map((s) => (
              <Item key={s}>{s}</Item>
            ))}
          </Box>
          {t.causes.map((c) => (
            <Text key={c} fontWeight="500">
              {c}
            </Text>
          ))}
        </DocumentPart>
      ))}
      {sheet.changes.length > 0 && (
        <DocumentPart title="Jumpers, writes and loop checks">
          {sheet.changes.map((c) => (
            <Text key={c}>{c}</Text>
          ))}
        </DocumentPart>
      )}
      {sheet.questions.length > 0 && (
        <DocumentPart title="Questions">
          {sheet.questions.map((q) => (
            <Text key={q.text}>
              “{q.text}” <strong>{q.answer ?? 'open'}</strong>
            </Text>
          ))}
        </DocumentPart>
      )}
      {sheet.voided.length > 0 && (
        <DocumentPart title="Invalid log entries">
          {sheet.voided.map((v) => (
            <Text key={`${v.at} ${v.why}`} suppressHydrationWarning>
              {dateTime(v.at)}, {v.by}: {v.why}
            </Text>
          ))}
        </DocumentPart>
      )}
      <DocumentPart title="Signed">
        <Text suppressHydrationWarning>
          {sheet.signature === null
            ? 'Not signed.'
            : `${sheet.signature.name}, ${sheet.signature.role}, ${dateTime(sheet.signature.at)}`}
        </Text>
      </DocumentPart>
    </DocumentPage>
  );
}
