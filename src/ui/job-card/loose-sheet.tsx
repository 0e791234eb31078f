'use client';
import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { BoardLine } from '@/api/board';
import { stageAddress, type StageId } from '@/core/logbook';
import { call } from '../api/call';
import { Primary, Secondary } from '../kit/buttons';
import { TextField } from '../kit/field';
import { Section } from '../kit/section';
import { Text } from '../kit/text';
import type { JobStore } from '../job-store/use-job';

const search_ms = 250;

/** Open jobs that are meant by some words. Null: not asked yet. */
function useOpenJobs(search: string): { jobs: readonly BoardLine[] | null; trouble: string | null } {
  const [found, setFound] = useState<{ jobs: readonly BoardLine[] | null; trouble: string | null }>({
    jobs: null,
    trouble: null,
  });
  useEffect(() => {
    let over = false;
    const look = async () => {
      const answer = await call('GET /api/v1/jobs', { query: { search, sort: 'newest' } });
      if (!over)
        setFound(
          answer.ok
            ? { jobs: answer.value.jobs, trouble: null }
            : { jobs: null, trouble: 'Server not reachable: the jobs cannot be listed.' },
        );
    };
    const timer = setTimeout(() => void look(), search_ms);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [search]);
  return found;
}

/** The jobs to choose from. One press attaches: what it means stands above. */
function ChooseJob({ jobId, open }: { jobId: string; open: StageId }) {
  const router = useRouter();
  const [search, setSearch] = useState('');
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const { jobs, trouble } = useOpenJobs(search);
  const attach = async (toJobId: string) => {
    setBusy(true);
    setRefused(null);
    const answer = await call('POST /api/v1/jobs/:id/attach', { params: { id: jobId }, body: { toJobId } });
    if (answer.ok) return router.push(`/jobs/${toJobId}/${stageAddress(open)}`);
    setRefused(
      answer.status === 0 ? 'Server not reachable. Nothing was moved: try again in a moment.' : answer.error,
    );
    setBusy(false);
  };
  return (
    <Section title="Attach to a job">
      <Text mb="3">
        Only if it was measured on the unit of that job. All log entries go there with their times and names;
        the dead proof is void and begins again.
      </Text>
      <Box display="flex" flexWrap="wrap" gap="3" alignItems="end" mb="3">
        <TextField label="Search jobs" type="search" text={search} set={setSearch} />
        <Secondary asChild>
          <NextLink href={`/jobs/new?sheet=${jobId}`}>New job from this sheet</NextLink>
        </Secondary>
      </Box>
      {(refused ?? trouble) !== null && (
        <Text role="alert" color="failed" mb="3">
          {refused ?? trouble}
        </Text>
      )}
      {jobs === null && trouble === null && <Text role="status">Looking for jobs…</Text>}
      {jobs?.length === 0 && <Text role="status">No open job matches.</Text>}
      <Box display="grid" gap="2">
        {jobs?.slice(0, 8).map((job) => (
          <Secondary
            key={job.jobId}
            disabled={busy}
            onClick={() => void attach(job.jobId)}
            display="block"
            height="auto"
            py="2"
            textAlign="left"
            whiteSpace="normal"
          >
            {job.machine}, {job.site}
            <Text as="span" display="block" color="soft" fontWeight="400">
              {[job.drive, job.complaint].filter((part) => part !== null).join(' · ')}
            </Text>
          </Secondary>
        ))}
      </Box>
    </Section>
  );
}

/** Over the work of a loose sheet: that it is no job, and the way to one. */
export function LooseSheet({ store, open }: { store: JobStore; open: StageId }) {
  const [choosing, setChoosing] = useState(false);
  const { moved } = store.state;
  const waits = store.unsent.size > 0;
  return (
    <Box bg="paper" borderLeft="5px solid" borderColor="line" px="4" py="2" mb="4">
      {moved !== null ? (
        <Box display="flex" flexWrap="wrap" gap="3" alignItems="center">
          <Text>Attached to the job of {moved.payload.machine}. This sheet takes nothing more.</Text>
          <Primary asChild>
            <NextLink href={`/jobs/${moved.payload.toJobId}/${stageAddress(open)}`}>Go on there</NextLink>
          </Primary>
        </Box>
      ) : (
        <Box display="flex" flexWrap="wrap" gap="3" alignItems="center">
          <Text>
            <Text as="span" fontWeight="600">
              Loose sheet.
            </Text>{' '}
            On no job. Power, signatures and writes need one.
          </Text>
          <Secondary
            aria-expanded={choosing}
            disabled={waits}
            onClick={() => setChoosing(!choosing)}
            title={waits ? 'Wait until everything is sent' : undefined}
          >
            {choosing ? 'Not now' : 'Attach to a job'}
          </Secondary>
        </Box>
      )}
      {choosing && moved === null && (
        <Box mt="3">
          <ChooseJob jobId={store.jobId} open={open} />
        </Box>
      )}
    </Box>
  );
}
