'use client';
import { Box } from '@chakra-ui/react';
import Image from 'next/image';
import type { Person } from '@/core/logbook';
import type { TermsProfile } from '@/core/terms';
import type { Report, ReportPart } from '@/core/job/report';
import { DocumentPage, DocumentPart } from '../../kit/document-page';
import { PlainTable } from '../../kit/plain-table';
import { CurveChart } from './curve-chart';
import { Cell, Heading, Text } from '../../kit/text';

const RecordPart = ({ part }: { part: ReportPart }) => (
  <DocumentPart title={part.title} level="h3">
    {part.lines.map((text, i) => (
      <Text key={i} mb="1">
        {text}
      </Text>
    ))}
    {part.table !== null && (
      <PlainTable heads={part.table.heads}>
        {part.table.rows.map((row, i) => (
          <tr key={i}>
            {row.map((cell, k) => (
              <Cell key={k}>{cell}</Cell>
            ))}
          </tr>
        ))}
      </PlainTable>
    )}
  </DocumentPart>
);

/** The job report as a page: for the customer first, then the record; it prints as it stands. */
export function ReportPage({
  jobId,
  report,
  terms,
  people,
  person,
}: {
  jobId: string;
  report: Report;
  /** The customer's. */
  terms: TermsProfile;
  people: readonly Person[];
  person: Person;
}) {
  const { signed } = report;
  return (
    <DocumentPage
      jobId={jobId}
      title={report.title}
      paper="report"
      links={[['Archive of the job', 'archive']]}
      identity={report.identity}
      terms={terms}
      people={people}
      person={person}
    >
      <Box as="section" aria-label="For the customer" fontSize="1.12rem" lineHeight="1.55">
        {report.customer.map((c) => (
          <Box key={c.heading} mt="5">
            <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.3rem" mb="1">
              {c.heading}
            </Heading>
            {c.sentences.map((text, i) => (
              <Text key={i}>{text}</Text>
            ))}
          </Box>
        ))}
      </Box>
      <Box border="2px solid" borderColor="ink" bg="paper" p="4" mt="6">
        {signed === null ? (
          <Text fontWeight="600">Not signed.</Text>
        ) : (
          <>
            {signed.open.length > 0 && <Text mb="2">Taken on by both: {signed.open.join(' ')}</Text>}
            <Box display="flex" gap="8" flexWrap="wrap">
              {signed.names.map((n) => (
                <Box key={n.name}>
                  <Text fontWeight="600" fontSize="1.2rem">
                    {n.name}
                  </Text>
                  <Text color="soft">
                    {n.is}
                    {n.is === '' ? '' : ', '}
                    {signed.at}
                  </Text>
                </Box>
              ))}
            </Box>
          </>
        )}
      </Box>
      <Box as="section" aria-label="For the record">
        <Heading as="h2" fontFamily="heading" fontWeight="600" fontSize="1.5rem" mt="10">
          For the record
        </Heading>
        {report.record.map((part) => (
          <RecordPart key={part.id} part={part} />
        ))}
        {report.curves.length > 0 && (
          <DocumentPart title="Curves" level="h3">
            {report.curves.map((c) => (
              <CurveChart key={c.title} curve={c} />
            ))}
          </DocumentPart>
        )}
        {report.photos.length > 0 && (
          <DocumentPart title="Photographs" level="h3">
            <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(200px, 1fr))" gap="4">
              {report.photos.map((p) => (
                <Box as="figure" key={p.sha256}>
                  <a href={`/api/v1/blobs/${p.sha256}`} target="_blank" rel="noreferrer">
                    <Image
                      src={`/api/v1/blobs/${p.sha256}`}
                      alt={p.caption}
                      width={260}
                      height={190}
                      unoptimized
                      loading="lazy"
                      style={{ objectFit: 'cover', width: '100%', height: 190 }}
                    />
                  </a>
                  <Text as="figcaption" fontSize="0.9rem">
                    {p.caption}
                  </Text>
                </Box>
              ))}
            </Box>
          </DocumentPart>
        )}
      </Box>
    </DocumentPage>
  );
}
