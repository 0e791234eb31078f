import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { FileLink } from '../../kit/file-link';
import { FieldGrid } from '../../kit/section';
import { TextField } from '../../kit/field';

/** The kept plan as a calendar file, from when the machine is to stand. */
export function CalendarLink({ jobId }: { jobId: string }) {
  const [at, setAt] = useState('');
  const time = at === '' ? NaN : Date.parse(at);
  return (
    <Box mb="3">
      <FieldGrid min="240px">
        <TextField label="Outage starts" type="datetime-local" text={at} set={setAt} />
      </FieldGrid>
      {!Number.isNaN(time) && (
        <FileLink
          href={`/api/v1/jobs/${jobId}/stop-calendar?from=${encodeURIComponent(new Date(time).toISOString())}`}
        >
          Saved plan as calendar file
        </FileLink>
      )}
    </Box>
  );
}
