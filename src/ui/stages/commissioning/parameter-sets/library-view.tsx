import { Box, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { Rating, Values } from '@/core/equipment/drive-words';
import type { Payload } from '@/core/logbook';
import type { LibrarySet } from '@/core/parameter-sets/set-files';
import { ActRow } from '../../../kit/act-row';
import { Secondary } from '../../../kit/buttons';
import { Field } from '../../../kit/field';
import { StateMark } from '../../../kit/state-mark';
import { dateTime } from '../../../kit/time';

interface Whole {
  name?: string;
  typeId: string;
  rating?: Rating;
  values: Values;
  strangers?: { number: string; text: string }[];
  serial?: string;
  identity?: { revision: string };
  firmware?: string;
}

const noServer = 'The server does not answer: sets of other jobs are not here. Those of this job are.';

function useLibrary(jobId: string, text: string) {
  const [got, setGot] = useState<{ sets: LibrarySet[] | null; trouble: string | null }>({
    sets: null,
    trouble: null,
  });
  useEffect(() => {
    const leaving = new AbortController();
    const soon = setTimeout(() => {
      fetch(`/api/v1/jobs/${jobId}/set-library?text=${encodeURIComponent(text)}`, { signal: leaving.signal })
        .then(async (answer) => {
          if (!answer.ok) throw new Error();
          setGot({ sets: ((await answer.json()) as { sets: LibrarySet[] }).sets, trouble: null });
        })
        .catch(() => {
          if (!leaving.signal.aborted) setGot({ sets: null, trouble: noServer });
        });
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
    try {
      const answer = await fetch(`/api/v1/sets/${from.id}`);
      if (!answer.ok) throw new Error();
      const { set } = (await answer.json()) as { set: Whole };
      const firmware = set.firmware ?? set.identity?.revision;
      take({
        name: `${from.name}, ${from.machine}, ${from.at.slice(0, 10)}`.slice(0, 200),
        typeId: set.typeId,
        rating: set.rating ?? rating,
        values: set.values,
        strangers: set.strangers ?? [],
        source: 'file',
        ...(set.serial === undefined ? {} : { serial: set.serial }),
        ...(firmware === undefined || firmware === '' ? {} : { firmware }),
      });
    } catch {
      setFailed('The set could not be fetched. Nothing was changed; try again.');
    }
  };
  return (
    <>
      <Box maxW="520px" mb="2">
        <Field
          label="Machine, serial number, type or name"
          value={text}
          maxLength={80}
          onChange={(e) => setText(e.target.value)}
        />
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
                  <StateMark mark="sound" label={null} /> last good: {s.good}
                </Text>
              )}
            </Box>
            {s.jobId === jobId ? (
              <Text color="soft">in this job</Text>
            ) : (
              <Secondary onClick={() => void fetchSet(s)}>Take it into this job</Secondary>
            )}
          </ActRow>
        ))}
      </Box>
    </>
  );
}
