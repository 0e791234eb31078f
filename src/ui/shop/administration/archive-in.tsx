import { Box } from '@chakra-ui/react';
import NextLink from 'next/link';
import { useState } from 'react';
import { Section } from '../../kit/section';
import { FileButton } from '../../kit/file-button';
import type { ApiProblem, TakenIn } from '@/api/contract';
import { call } from '../../api/call';
import { Text } from '../../kit/text';

type Said = { taken: TakenIn } | { error: string; problems: readonly ApiProblem[] };

async function send(file: File): Promise<Said> {
  const answer = await call('POST /api/v1/archives', { file });
  if (answer.ok) return { taken: answer.value };
  return answer.status === 0
    ? { error: 'Server not reachable. The file was not changed: try again.', problems: [] }
    : answer;
}

/** A job from another installation, as the archive it was given out in. */
export function ArchiveIn() {
  const [said, setSaid] = useState<Said | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (file: File) => {
    setBusy(true);
    setSaid(await send(file));
    setBusy(false);
  };
  return (
    <Section title="Import jobs">
      <Text mb="2">
        Imports a job archive (.zip, from the job report) with all log entries, photographs and names.
        Importing it twice is harmless.
      </Text>
      <FileButton
        label="Import archive"
        said="Job archive"
        accept=".zip,application/zip"
        disabled={busy}
        take={(file) => void take(file)}
      />
      <Box role="status" mt="2">
        {busy && <Text>Importing…</Text>}
        {!busy && said !== null && 'taken' in said && (
          <Text>
            {said.taken.fresh === 0
              ? `${said.taken.machine} was imported before, with all its ${said.taken.entries} log entries.`
              : `${said.taken.machine}: ${said.taken.fresh} log entries imported.`}{' '}
            <NextLink href={`/jobs/${said.taken.jobId}`}>Open job</NextLink>
          </Text>
        )}
        {!busy && said !== null && 'error' in said && (
          <Box color="failed">
            <Text fontWeight="500">{said.error}</Text>
            {said.problems.slice(0, 6).map((p) => (
              <Text key={p.path} fontSize="0.92rem">
                {p.path}: {p.allowed}
              </Text>
            ))}
          </Box>
        )}
      </Box>
    </Section>
  );
}
