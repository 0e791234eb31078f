import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { Rating } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import type { LibrarySet } from '@/core/parameter-sets/set-files';
import { ActRow } from '../../../kit/act-row';
import { Secondary } from '../../../kit/buttons';
import { TextField } from '../../../kit/field';
import { StateMark } from '../../../kit/state-mark';
import { dateTime } from '../../../kit/time';
import { call } from '../../../api/call';
import { Text } from '../../../kit/text';

const noServer = 'Server not reachable: only parameter sets of this job are available.';

function useLibrary(jobId: string, text: string) {
  const [got, setGot] = useState<{ sets: LibrarySet[] | null; trouble: string | null }>({
    sets: null,
    trouble: null,
  });
  useEffect(() => {
    const leaving = new AbortController();
    const soon = setTimeout(() => {
      const load = async () => {
        const answer = await call('GET /api/v1/jobs/:id/set-library', {
          params: { id: jobId },
          query: { text },
          signal: leaving.signal,
        });
        if (leaving.signal.aborted) return;
        setGot(answer.ok ? { sets: answer.value.sets, trouble: null } : { sets: null, trouble: noServer });
      };
      void load();
    }, 200);
    return () => {
      clearTimeout(soon);
      leaving.abort();
    };
  }, [jobId, text]);
  return got;
}

/** Sets of all jobs by machine, unit and type; one that is taken is a set of this job, and says where it came from. */
export function LibraryView({
  jobId,
  rating,
  take,
}: {
  jobId: string;
  rating: Rating;
  take: (set: Payload<'set.kept'>) => void;
}) {
  const [text, setText] = useState('');
  const [failed, setFailed] = useState<string | null>(null);
  const { sets, trouble } = useLibrary(jobId, text);
  const fetchSet = async (from: LibrarySet) => {
    setFailed(null);
    const answer = await call('GET /api/v1/sets/:id', { params: { id: from.id } });
    if (!answer.ok) return setFailed('The set could not be loaded. Nothing was changed; try again.');
    const { set } = answer.value;
    const firmware = 'identity' in set ? set.identity.revision : set.firmware;
    take({
      name: `${from.name}, ${from.machine}, ${from.at.slice(0, 10)}`.slice(0, 200),
      typeId: set.typeId,
      rating: set.rating ?? rating,
      values: set.values,
      strangers: 'strangers' in set ? set.strangers : [],
      source: 'file',
      ...(set.serial === undefined ? {} : { serial: set.serial }),
      ...(firmware === undefined || firmware === '' ? {} : { firmware }),
    });
  };
  return (
    <>
      <Box maxW="520px" mb="2">
        <TextField label="Machine, serial number, type or name" text={text} maxLength={80} set={setText} />
      </Box>
      <Text role="status" mb="2" color={trouble !== null || failed !== null ? 'failed' : undefined}>
        {failed ?? trouble ?? (sets === null ? 'Looking…' : `${sets.length} sets, this machine’s first.`)}
      </Text>
      <Box as="ul" aria-label="Library" listStyleType="none">
        {(sets ?? []).map((s) => (
          <ActRow key={s.id}>
            <Box flex="1 1 300px">
              <Text fontWeight="500">
                {s.machine}: {s.name}
              </Text>
              <Text color="soft" fontSize="0.92rem">
                {s.site}, {s.typeId}
                {s.serial === null ? '' : `, serial number ${s.serial}`}
                {s.firmware === null ? '' : `, firmware ${s.firmware}`}, {s.values} values, {s.checksum},{' '}
                {dateTime(Date.parse(s.at))}
                {s.sameMachine ? ', this machine' : ''}
              </Text>
              {s.good !== null && (
                <Text color="sound" fontWeight="500">
                  <StateMark mark="sound" label={null} /> marked good: {s.good}
                </Text>
              )}
            </Box>
            {s.jobId === jobId ? (
              <Text color="soft">in this job</Text>
            ) : (
              <Secondary onClick={() => void fetchSet(s)}>Copy into this job</Secondary>
            )}
          </ActRow>
        ))}
      </Box>
    </>
  );
}
