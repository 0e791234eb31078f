import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { TemporaryJumper } from '@/core/logbook';
import { useDraftText } from '../../kit/draft-text';
import { Primary, Secondary } from '../../kit/buttons';
import { TextField } from '../../kit/field';
import { Text } from '../../kit/text';

/** What is bridged, since when, by whose word; it blocks the signature until it is out. */
export function JumperRegister({
  jumpers,
  remove,
}: {
  jumpers: readonly TemporaryJumper[];
  remove: (jumper: TemporaryJumper, how: string) => void;
}) {
  const [leaving, setLeaving] = useState<string | null>(null);
  const [how, setHow] = useDraftText('how a jumper was proven out');
  if (jumpers.length === 0) return null;
  const today = new Date().toISOString().slice(0, 10);
  return (
    <Box as="section" aria-label="Temporary jumpers" mb="5">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem" mb="2">
        Temporary jumpers
      </Text>
      <Box as="ul" listStyleType="none">
        {jumpers.map((j) => (
          <Box
            as="li"
            key={j.id}
            borderLeft="5px solid"
            borderColor={j.removed === null ? 'failed' : 'sound'}
            pl="3"
            py="1"
            mb="3"
          >
            <Text textDecoration={j.removed === null ? 'none' : 'line-through'}>
              <b>{j.where}</b>, {j.form === 'jumper' ? 'jumper' : 'set to no function'}: {j.reason}. Accepted
              by {j.approver}.
            </Text>
            {j.removed === null ? (
              <>
                <Text color={j.removeBy < today ? 'failed' : 'doubt'} fontWeight="500">
                  {j.removeBy < today ? 'Overdue: removal was due' : 'Remove by'} {j.removeBy}. The job cannot
                  be signed off before removal.
                </Text>
                <Secondary mt="1" onClick={() => setLeaving(leaving === j.id ? null : j.id)}>
                  Jumper removed…
                </Secondary>
                {leaving === j.id && (
                  <Box maxW="460px" mt="2">
                    <TextField
                      label="How removal was proven"
                      hint="E.g. contact opened: input goes off"
                      text={how}
                      maxLength={200}
                      set={setHow}
                    />
                    <Primary
                      mt="2"
                      waitsFor={how.trim() === '' ? 'Enter how removal was proven.' : null}
                      onClick={() => {
                        remove(j, how.trim());
                        setHow('');
                        setLeaving(null);
                      }}
                    >
                      Mark jumper removed
                    </Primary>
                  </Box>
                )}
              </>
            ) : (
              <Text color="sound">Removed: {j.removed}</Text>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
