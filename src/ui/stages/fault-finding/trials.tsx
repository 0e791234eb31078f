import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { AlarmFamily } from '@/core/equipment/concepts';
import { parameterAt, shownAs, type Rating, type Values } from '@/core/equipment/drive-words';
import type { DriveWrite } from '@/core/logbook';
import type { ChainLinkId } from '@/core/fault-finding/run-chain';
import { trialsFor } from '@/core/fault-finding/trials';
import type { JobStore } from '../../job-store/use-job';
import { useDraftText } from '../../kit/draft-text';
import { Primary, Secondary } from '../../kit/buttons';
import { TextField } from '../../kit/field';
import { ConfirmWrite } from '../../drive-link/confirm-write';
import { EntryEditor } from './entry-editor';
import { useWrite, type WriteWish } from '../../drive-link/use-write';
import { Text } from '../../kit/text';

/** Trial values that are in the drive: put back, or kept with a reason. */
function OpenTrials({
  writes,
  control,
  values,
  wish,
  keep,
}: {
  writes: readonly DriveWrite[];
  control: Control;
  values: Values;
  wish: (wish: WriteWish) => void;
  keep: (write: DriveWrite, reason: string) => void;
}) {
  const [staying, setStaying] = useState<string | null>(null);
  const [reason, setReason] = useDraftText('why a trial stays');
  return (
    <Box as="ul" aria-label="Trial values in the drive" listStyleType="none">
      {writes.map((w) => {
        const parameter = parameterAt(control, w.number);
        return (
          <Box as="li" key={w.id} borderLeft="5px solid" borderColor="doubt" pl="3" py="1" mb="3">
            <Text>
              <b>
                {w.number} {w.name}
              </b>
              : {w.shownFrom} → {w.shownTo}, {w.by.name}.
              {w.outcome === 'uncertain' || w.outcome === 'asked'
                ? ' Not known whether the drive accepted it: read out.'
                : ''}
            </Text>
            <Box display="flex" gap="2" flexWrap="wrap" mt="1">
              {parameter !== undefined && (
                <Secondary
                  onClick={() =>
                    wish({
                      parameter,
                      from: values[w.number] ?? w.to,
                      to: w.from,
                      reason: 'restored after the trial',
                      trial: false,
                      restores: w.id,
                    })
                  }
                >
                  Restore {w.shownFrom}
                </Secondary>
              )}
              <Secondary onClick={() => setStaying(staying === w.id ? null : w.id)}>Keep value…</Secondary>
            </Box>
            {staying === w.id && (
              <Box maxW="460px" mt="2">
                <TextField label="Reason for keeping it" text={reason} maxLength={200} set={setReason} />
                <Primary
                  mt="2"
                  waitsFor={reason.trim() === '' ? 'Enter the reason.' : null}
                  onClick={() => {
                    keep(w, reason.trim());
                    setReason('');
                    setStaying(null);
                  }}
                >
                  Keep value with this reason
                </Primary>
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** One entry changed for a moment tells whether it was it; old and new value are kept, and it is put back. */
export function Trials({
  store,
  control,
  rating,
  values,
  target,
  link,
  family,
  open,
}: {
  store: JobStore;
  control: Control;
  rating: Rating;
  values: Values;
  target: string | null;
  link: ChainLinkId | null;
  family: AlarmFamily | undefined;
  open: readonly DriveWrite[];
}) {
  const [wish, setWish] = useState<WriteWish | null>(null);
  const [any, setAny] = useState(false);
  const [refusals, setRefusals] = useState(0);
  const [note, setNote] = useState<string | null>(null);
  const { writing, trouble, write } = useWrite(store, target, setNote);
  const ideas = trialsFor({ control, rating, values }, family === undefined ? { link } : { link, family });
  const ready = target !== null && Object.keys(values).length > 0;
  return (
    <Box as="section" aria-label="Trials" mb="5">
      {!ready && (
        <Text color="soft">
          A trial writes to the drive: search for drives and read out first. Without a link, change the
          parameter at the keypad, note the old value, and restore it.
        </Text>
      )}
      {wish !== null && (
        <ConfirmWrite
          // After a refusal both questions are asked again: one of them may have been answered wrongly.
          key={`${wish.parameter.number} ${wish.to} ${refusals}`}
          wishes={[wish]}
          writing={writing}
          cancel={() => setWish(null)}
          go={() => void write(wish).then((took) => (took ? setWish(null) : setRefusals((n) => n + 1)))}
        />
      )}
      {trouble !== null && (
        <Text role="alert" color="failed" mb="2">
          {trouble}
        </Text>
      )}
      <Text role="status" color="sound" fontWeight="500">
        {note}
      </Text>
      {open.length > 0 && (
        <OpenTrials
          writes={open}
          control={control}
          values={values}
          wish={setWish}
          keep={(w, reason) => store.record('trial.kept', { asked: w.id, reason })}
        />
      )}
      {ready && wish === null && (
        <Box display="grid" gap="2" justifyItems="start">
          {ideas.map(({ parameter, to, why }) => (
            <Box key={`${parameter.number} ${to}`}>
              <Secondary
                textAlign="left"
                onClick={() =>
                  setWish({ parameter, from: values[parameter.number] ?? to, to, reason: why, trial: true })
                }
              >
                Try {parameter.number} {parameter.name}: {shownAs(parameter, to)}
              </Secondary>
              <Text fontSize="0.92rem" color="soft">
                {why}
              </Text>
            </Box>
          ))}
          <Secondary onClick={() => setAny(!any)} aria-expanded={any}>
            Write another parameter
          </Secondary>
          {any && (
            <Box width="100%">
              <EntryEditor control={control} rating={rating} values={values} wish={setWish} />
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
