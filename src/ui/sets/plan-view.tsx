import { parameterAt } from '@/core/drive-words';
import { Box, Text } from '@chakra-ui/react';
import { useMemo, useRef, useState } from 'react';
import type { Control } from '@/core/catalogue';
import type { SeenDrive } from '@/core/logbook';
import { planWrites, type PlanStep, type UnitSet } from '@/core/parameters';
import { Secondary } from '../kit/buttons';
import { StateMark } from '../kit/state-mark';
import { dateTime } from '../kit/time';
import { ConfirmWrite } from '../trace/confirm-write';
import type { WriteWish } from '../trace/use-write';

/** A drive that answers, and how one value is written to it. */
export interface Writer {
  writing: boolean;
  write: (wish: WriteWish) => Promise<boolean>;
}

const wishOf = (control: Control, step: PlanStep, reason: string): WriteWish | null => {
  const parameter = parameterAt(control, step.number);
  return parameter === undefined || step.from === null
    ? null
    : { parameter, from: step.from, to: step.to, reason, trial: false };
};

/** Writes one step after the other; stops at the first that is not taken, or when it is told to. */
function usePlanRun(write: Writer['write']) {
  const [at, setAt] = useState<{ done: number; of: number } | null>(null);
  const [paused, setPaused] = useState(false);
  const stop = useRef(false);
  const go = async (wishes: readonly WriteWish[]): Promise<void> => {
    stop.current = false;
    setPaused(false);
    for (const [i, wish] of wishes.entries()) {
      setAt({ done: i, of: wishes.length });
      if (stop.current || !(await write(wish))) {
        setPaused(true);
        break;
      }
    }
    setAt(null);
  };
  return { at, paused, go, pause: () => void (stop.current = true) };
}

function Steps({ steps }: { steps: readonly PlanStep[] }) {
  return (
    <Box as="ol" aria-label="Plan" listStyleType="decimal" pl="8">
      {steps.map((s) => (
        <Box as="li" key={s.number} py="1.5" borderBottom="1px solid" borderColor="line">
          <Text>
            <Text as="span" fontFamily="mono">
              {s.number}
            </Text>{' '}
            {s.name}: {s.shownFrom} → <Text as="b">{s.shownTo}</Text>
          </Text>
          <Text color="soft" fontSize="0.9rem">
            {s.why}
            {s.standstill ? '; at standstill' : ''}
            {s.lock > 0 ? '; behind a code' : ''}
          </Text>
        </Box>
      ))}
    </Box>
  );
}

/**
 * From what is in the drive to a set, in the order that spares most. Nothing of it is kept but what was written: read
 * out, and the plan is what is left to do.
 */
export function PlanView({
  set,
  name,
  control,
  seen,
  changedSince,
  writer,
}: {
  /** The set that is to be in the drive; of the drive's own type. */
  set: UnitSet;
  name: string;
  control: Control;
  seen: SeenDrive | null;
  /** Something was written since the drive was read. */
  changedSince: boolean;
  /** Null: no drive answers. */
  writer: Writer | null;
}) {
  const [asked, setAsked] = useState(false);
  const plan = useMemo(
    () => (seen === null ? null : planWrites({ ...set, values: seen.values }, set.values)),
    [set, seen],
  );
  const { at, paused, go, pause } = usePlanRun(writer?.write ?? (() => Promise.resolve(false)));
  if (plan === null || seen === null || seen.readAt === null)
    return <Text>Read the drive out first: the plan begins with what is in it.</Text>;
  const wishes = plan.steps.flatMap((s) => wishOf(control, s, `set: ${name}`.slice(0, 200)) ?? []);
  return (
    <>
      <Text role="status" fontWeight="500" mb="2">
        {at !== null
          ? `Writing ${at.done + 1} of ${at.of}…`
          : plan.steps.length === 0
            ? changedSince
              ? 'Everything was taken. Read out again: what one value put back, the read-back of another does not show.'
              : 'The drive has the set.'
            : `${plan.steps.length} to write, from what was read ${dateTime(seen.readAt)}.`}
      </Text>
      {plan.steps.length === 0 && at === null && !changedSince && (
        <Text mb="2">
          Save it in the drive, take its power away, and read out once more: only then it is kept.
        </Text>
      )}
      {paused && at === null && (
        <Text role="alert" color="doubt" fontWeight="500" mb="2">
          <StateMark mark="doubt" label={null} /> Stopped. Read out again: what is in the drive decides what
          is left.
        </Text>
      )}
      {plan.stuck.length > 0 && (
        <Text color="failed" fontWeight="500" mb="2">
          These wait for each other and are not written: {plan.stuck.join(', ')}.
        </Text>
      )}
      {at !== null && (
        <Secondary mb="3" onClick={pause}>
          Pause after this one
        </Secondary>
      )}
      {at === null && plan.steps.length > 0 && (
        <>
          {writer === null ? (
            <Text mb="2">No drive answers over the link: enter them by hand, in this order.</Text>
          ) : changedSince ? (
            <Text mb="2" color="doubt" fontWeight="500">
              Something was written since the drive was read: read out again before more is written.
            </Text>
          ) : (
            !asked &&
            wishes.length > 0 && (
              <Secondary mb="3" onClick={() => setAsked(true)}>
                Write all {wishes.length}
              </Secondary>
            )
          )}
          {asked && writer !== null && !changedSince && (
            <ConfirmWrite
              wishes={wishes}
              writing={writer.writing}
              cancel={() => setAsked(false)}
              go={() => {
                setAsked(false);
                void go(wishes);
              }}
            />
          )}
        </>
      )}
      {at === null && <Steps steps={plan.steps} />}
      {plan.skipped.length > 0 && (
        <Box mt="4">
          <Text fontWeight="500">Not written</Text>
          {plan.skipped.map((s) => (
            <Text key={s.number} color="soft">
              {s.number} {s.name}: {s.why}
            </Text>
          ))}
        </Box>
      )}
    </>
  );
}
