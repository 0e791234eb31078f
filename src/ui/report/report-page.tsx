'use client';
import { Box, Heading, Text } from '@chakra-ui/react';
import Image from 'next/image';
import NextLink from 'next/link';
import type { ReactNode } from 'react';
import type { Person } from '@/core/logbook';
import type { Report, ReportPart } from '@/core/report';
import { Secondary } from '../kit/buttons';
import { PlainTable } from '../kit/plain-table';
import { TopBar } from '../kit/top-bar';
import { CurveChart } from './curve-chart';

function Headed({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" mt="6">
      <Heading
        as="h3"
        fontFamily="heading"
        fontWeight="600"
        fontSize="1.15rem"
        borderBottom="1px solid"
        borderColor="ink"
        mb="2"
        pb="1"
      >
        {title}
      </Heading>
      {children}
    </Box>
  );
}

const Part = ({ part }: { part: ReportPart }) => (
  <Headed title={part.title}>
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
              <td key={k}>{cell}</td>
            ))}
          </tr>
        ))}
      </PlainTable>
    )}
  </Headed>
);

/** The job report as a page: for the customer first, then the record; it prints as it stands. */
export function ReportPage({
  jobId,
  report,
  people,
  person,
}: {
  jobId: string;
  report: Report;
  people: readonly Person[];
  person: Person;
}) {
  const { signed } = report;
  return (
    <>
      <TopBar people={people} person={person}>
        <Secondary asChild color="benchInk" minH="44px" _hover={{ opacity: 0.8 }}>
          <NextLink href={`/jobs/${jobId}/hand-over`}>Back to the job</NextLink>
        </Secondary>
      </TopBar>
      <Box
        as="main"
        bg="card"
        borderRadius="4px"
        mx={{ base: 0, md: 'auto' }}
        mb="6"
        p={{ base: 4, md: 10 }}
        maxW="960px"
      >
        <Box display="flex" justifyContent="space-between" gap="4" flexWrap="wrap" mb="4">
          <Heading as="h1" fontFamily="heading" fontWeight="600" fontSize="1.8rem">
            {report.title}
          </Heading>
          <Box display="flex" gap="2" className="no-print" flexWrap="wrap">
            {[
              ['PDF, A4', 'report?form=pdf&paper=a4'],
              ['PDF, letter', 'report?form=pdf&paper=letter'],
              ['Archive of the job', 'archive'],
            ].map(([label, path]) => (
              <Secondary asChild key={label}>
                <a href={`/api/v1/jobs/${jobId}/${path}`} download>
                  {label}
                </a>
              </Secondary>
            ))}
          </Box>
        </Box>
        <Box as="dl" display="grid" gridTemplateColumns={{ base: '1fr', sm: '130px 1fr' }} columnGap="4">
          {report.identity.map(([label, value]) => (
            <Box key={label} display="contents">
              <Text as="dt" color="soft">
                {label}
              </Text>
              <dd>{value}</dd>
            </Box>
          ))}
        </Box>
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
            <Part key={part.id} part={part} />
          ))}
          {report.curves.length > 0 && (
            <Headed title="Curves">
              {report.curves.map((c) => (
                <CurveChart key={c.title} curve={c} />
              ))}
            </Headed>
          )}
          {report.photos.length > 0 && (
            <Headed title="Photographs">
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
            </Headed>
          )}
        </Box>
      </Box>
    </>
  );
}
