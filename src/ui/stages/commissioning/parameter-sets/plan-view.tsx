import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { foundBefore, type JobState, type KeptSet } from '@/core/logbook';
import { planWrites, type PlanStep, type UnitSet, type WritePlan } from '@/core/parameter-sets/parameters';
import { Secondary } from '../../../kit/buttons';
import { StateMark } from '../../../kit/state-mark';
import { dateTime } from '../../../kit/time';
import { ConfirmRun } from './confirm-run';
import { EndedRun, OpenRun } from './run-view';
import { stillAnswers, type SetRuns } from './use-set-runs';
import { Text } from '../../../kit/text';

function Steps({ steps }: { steps: readonly PlanStep[] }) {
  return (
    <Box as="ol" aria-label="Plan" listStyleType="decimal" pl="8">
      {steps.map((s, i) => (
        <Box as="li" key={`${i} ${s.number}`} py="1.5" borderBottom="1px solid" borderColor="line">
          <Text>
            <Text as="span" fontFamily="mono">
              {s.number}
            </Text>{' '}
            {s.name}: {s.shownFrom} → <Text as="b">{s.shownTo}</Text>
          </Text>
          <Text color="soft" fontSize="0.9rem">
            {s.why}
            {s.standstill ? '; at standstill' : ''}
            {s.lock > 0 ? '; access code needed' : ''}
          </Text>
        </Box>
      ))}
    </Box>
  );
}

/** Values that are left out, and why. */
export function SkippedValues({ title, skipped }: { title: string; skipped: WritePlan['skipped'] }) {
  return skipped.length === 0 ? null : (
    <Box mt="4">
      <Text fontWeight="500">{title}</Text>
      {skipped.map((s) => (
        <Text key={s.number} color="soft">
          {s.number} {s.name}: {s.why}
        </Text>
      ))}
    </Box>
  );
}

function Planned({ plan }: { plan: WritePlan }) {
  return (
    <>
      {plan.stuck.length > 0 && (
        <Text color="failed" fontWeight="500" mb="2">
          These depend on each other and are not written: {plan.stuck.join(', ')}.
        </Text>
      )}
      <Steps steps={plan.steps} />
      <SkippedValues title="Not written" skipped={plan.skipped} />
    </>
  );
}

/**
 * From what is in the drive to a set, in the order that spares most; the run that writes it, and what became of it. Nothing
 * of the plan is kept but what was written: read out, and the plan is what is left to do.
 */
export function PlanView({
  set,
  kept,
  state,
  target,
  runs,
  choose,
}: {
  /** The set that is to be in the drive; of the drive's own type. */
  set: UnitSet;
  kept: KeptSet;
  state: JobState;
  /** Null: no drive answers. */
  target: string | null;
  runs: SetRuns;
  /** Takes another set. */
  choose: (id: string) => void;
}) {
  const { seen, sets, registers, setRuns } = state;
  const [asked, setAsked] = useState(false);
  const plan = useMemo(
    () => (seen === null ? null : planWrites({ ...set, values: seen.values }, set.values)),
    [set, seen],
  );
  const open = runs.runs.find((r) => r.state !== 'ended');
  const ended = setRuns.filter((r) => r.end !== null).at(-1);
  const found = ended === undefined ? undefined : foundBefore(sets, ended);
  const trouble = runs.trouble !== null && (
    <Text role="alert" color="failed" fontWeight="500" mb="2">
      {runs.trouble}
    </Text>
  );
  if (open !== undefined)
    return (
      <>
        {trouble}
        <OpenRun run={open} busy={runs.busy} act={(deed) => void runs.act(open.id, deed)} />
      </>
    );
  const readAt = seen?.readAt ?? null;
  const inDrive = sets.filter((s) => s.source === 'read-out').at(-1)?.firmware ?? null;
  const otherFirmware = kept.firmware !== null && inDrive !== null && kept.firmware !== inDrive;
  const changedSince = registers.writes.some((w) => w.outcome !== 'failed' && w.askedAt > (readAt ?? 0));
  const steps = plan?.steps.length ?? 0;
  return (
    <>
      {trouble}
      {plan === null || readAt === null ? (
        <Text>Read out the drive first: the plan starts from its current values.</Text>
      ) : (
        <>
          <Text role="status" fontWeight="500" mb="2">
            {steps === 0
              ? 'The drive already has this set.'
              : `${steps} to write, compared with the read-out of ${dateTime(readAt)}.`}
          </Text>
          {otherFirmware && (
            <Text mb="2" color="doubt" fontWeight="500">
              <StateMark mark="doubt" label={null} /> The set was made with firmware {kept.firmware}, the
              drive has {inDrive}: parameters may have other meanings. Compare at the end.
            </Text>
          )}
          {steps > 0 && target === null && (
            <Text mb="2">
              No drive answers over the link: enter the values at the keypad. “Keys” shows the sequence.
            </Text>
          )}
          {steps > 0 && target !== null && changedSince && (
            <Text mb="2" color="doubt" fontWeight="500">
              Values were written since the last read-out: read out again before writing more.
            </Text>
          )}
          {steps > 0 && target !== null && !changedSince && !asked && (
            <Secondary mb="3" onClick={() => setAsked(true)}>
              Write all {steps}
            </Secondary>
          )}
          {asked && target !== null && !changedSince && steps > 0 && (
            <ConfirmRun
              what={`Write ${steps} values`}
              busy={runs.busy}
              cancel={() => setAsked(false)}
              go={() => {
                setAsked(false);
                const { typeId, rating } = set;
                void runs.begin({ set: kept.id, name: kept.name, target, typeId, rating }, plan.steps);
              }}
            />
          )}
          <Planned plan={plan} />
        </>
      )}
      {ended !== undefined && (
        <EndedRun
          key={ended.id}
          run={ended}
          busy={runs.busy}
          act={(deed) => void runs.act(ended.id, deed)}
          answers={() => stillAnswers(ended.target)}
          back={found === undefined || found.id === kept.id ? null : () => choose(found.id)}
        />
      )}
    </>
  );
}
