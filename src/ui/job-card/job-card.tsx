'use client';
import { Box } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useState, type ComponentType } from 'react';
import type { DriveType } from '@/core/equipment/catalogue';
import {
  isLoose,
  levelsOf,
  mustStayDead,
  stageAddress,
  stageLines,
  type Entry,
  type Person,
} from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import { commonMeter } from '@/core/equipment/power-stage';
import type { Consequence } from '@/core/bench/story';
import { BenchConclusion } from '../panels/diagnosis/conclusion';
import { Levels } from '../panels/diagnosis/levels';
import { Story } from '../panels/diagnosis/story';
import { useDiagnosis } from '../panels/diagnosis/use-diagnosis';
import { Island } from '../kit/island';
import { NotTaken } from '../kit/kept-note';
import { rememberOpenJob } from '../kit/open-job';
import { ownJson } from '../kit/own-json';
import { TopBar } from '../kit/top-bar';
import { dateTime, span } from '../kit/time';
import { useNow } from '../kit/use-now';
import { StageEdge } from './edge';
import type { StageProps } from '../job-store/stage-props';
import { Notice } from '../kit/notice';
import { Margin } from './margin';
import { Troubles } from './troubles';
import { useStage } from './use-stage';
import { useFormDrafts } from '../job-store/form-drafts';
import { useJob, type JobStore } from '../job-store/use-job';
import { DraftsContext } from '../kit/drafts';
import { Text } from '../kit/text';

const loading = () => <Text role="status">opening…</Text>;

/** A stage comes alive by itself, after the card. */
const onIsland = <Props extends object>(Stage: ComponentType<Props>) =>
  function StageIsland(props: Props) {
    return (
      <Island deaf>
        <Stage {...props} />
      </Island>
    );
  };

const LooseSheet = dynamic(() => import('./loose-sheet').then((m) => m.LooseSheet), { loading });
// Each stage comes when it is opened: the first load of the card stays small.
const CallStage = dynamic(() => import('../stages/call/call-stage').then((m) => onIsland(m.CallStage)), {
  loading,
});
const NameplatesStage = dynamic(
  () => import('../stages/nameplates/nameplates-stage').then((m) => onIsland(m.NameplatesStage)),
  { loading },
);
const AsFoundStage = dynamic(
  () => import('../stages/as-found/as-found-stage').then((m) => onIsland(m.AsFoundStage)),
  { loading },
);
const InspectionStage = dynamic(
  () => import('../stages/inspection/inspection-stage').then((m) => onIsland(m.InspectionStage)),
  { loading },
);
const MakeSafeStage = dynamic(
  () => import('../stages/make-safe/make-safe-stage').then((m) => onIsland(m.MakeSafeStage)),
  { loading },
);
const FaultFindingStage = dynamic(
  () => import('../stages/fault-finding/fault-finding-stage').then((m) => onIsland(m.FaultFindingStage)),
  { loading },
);
const BenchTestStage = dynamic(
  () => import('../stages/bench-test/bench-test-stage').then((m) => onIsland(m.BenchTestStage)),
  { loading },
);
const MotorAndCableStage = dynamic(
  () => import('../stages/motor-and-cable/motor-and-cable-stage').then((m) => onIsland(m.MotorAndCableStage)),
  { loading },
);
const CommissioningStage = dynamic(
  () => import('../stages/commissioning/commissioning-stage').then((m) => onIsland(m.CommissioningStage)),
  { loading },
);
const RepairOrReplaceStage = dynamic(
  () =>
    import('../stages/repair-or-replace/repair-or-replace-stage').then((m) =>
      onIsland(m.RepairOrReplaceStage),
    ),
  { loading },
);
const PreparationStage = dynamic(
  () => import('../stages/preparation/preparation-stage').then((m) => onIsland(m.PreparationStage)),
  { loading },
);
const ReplacementStage = dynamic(
  () => import('../stages/replacement/replacement-stage').then((m) => onIsland(m.ReplacementStage)),
  { loading },
);
const HandOverStage = dynamic(
  () => import('../stages/hand-over/hand-over-stage').then((m) => onIsland(m.HandOverStage)),
  { loading },
);
const FirstPowerUpStage = dynamic(
  () => import('../stages/first-power-up/first-power-up-stage').then((m) => onIsland(m.FirstPowerUpStage)),
  { loading },
);

function Clock({ store }: { store: JobStore }) {
  const now = useNow(store.clockOffset_ms, 10_000);
  const opened = store.state.opened?.payload;
  if (opened === undefined || opened.stoppedAt === null || now === 0) return null;
  const stopped_min = (now - Date.parse(opened.stoppedAt)) / 60_000;
  const allowed = opened.downtimeAllowed_min;
  const over = allowed !== null && stopped_min > allowed;
  return (
    <Text
      as="span"
      fontFamily="mono"
      fontSize="0.95rem"
      display={{ base: 'none', md: 'inline' }}
      whiteSpace="nowrap"
    >
      stopped {span(stopped_min)}
      {allowed !== null && ` · allowed ${span(allowed)}`}
      {over && ' · over'}
    </Text>
  );
}

/** Was the newest thing that this person entered refused, or does it not count? */
function notTaken({ state, refused, unsent }: JobStore, { id }: Person): boolean {
  const last = state.log.findLast((line) => line.entry.by.id === id);
  return refused.length > 0 || (last !== undefined && last.void !== null && !unsent.has(last.entry.id));
}

/** A job as a traveller card on the bench: edge, work, margin. */
export function JobCard({
  jobId,
  log,
  generation,
  imported,
  person,
  people,
  limits,
  catalogue,
  knownSources,
  consequences,
}: {
  jobId: string;
  /** Its entries as JSON. One text: React would send thousands of objects piece by piece, at several times the cost. */
  log: string;
  /** The life of the database that they are from. */
  generation: string;
  /** Where the job came from; null: it was opened here. */
  imported: { at: string } | null;
  person: Person;
  people: readonly Person[];
  limits: Limits;
  catalogue: readonly DriveType[];
  knownSources: readonly string[];
  consequences: readonly Consequence[];
}) {
  const [entries] = useState(() => ownJson<Entry[]>(log));
  const store = useJob({ jobId, initial: entries, generation, person, limits });
  const { state } = store;
  const lines = useMemo(() => stageLines(state, limits), [state, limits]);
  const { drafts, clashes } = useFormDrafts(jobId, person.id);
  const { open, goTo } = useStage(jobId, lines);
  const onBench = open === 'bench' || open === 'hand-over';
  const benchStage = onBench ? (state.drive?.stage ?? null) : null;
  const diagnosis = useDiagnosis(benchStage, commonMeter, state.readings);
  const given: StageProps = { jobId, store, person, limits, catalogue, knownSources, goTo };
  const dead = mustStayDead(state);
  const machine = state.opened?.payload.machine;
  useEffect(() => {
    if (machine !== undefined)
      rememberOpenJob({ address: `/jobs/${jobId}/${stageAddress(open)}`, name: machine });
  }, [jobId, open, machine]);

  return (
    <DraftsContext.Provider value={drafts}>
      <NotTaken.Provider value={notTaken(store, person)}>
        <TopBar inJob people={people} person={person} clock={<Clock store={store} />}>
          <Text as="span" color="benchSoft" display={{ base: 'none', '2xl': 'inline' }} whiteSpace="nowrap">
            {state.opened?.payload.site}
          </Text>
          <Text as="span" fontWeight="500" truncate minW="0" maxW={{ base: '27vw', sm: 'none' }}>
            {state.opened?.payload.machine}
          </Text>
          <Text as="span" color="benchSoft" display={{ base: 'none', '2xl': 'inline' }} whiteSpace="nowrap">
            {state.drive !== null && `${state.drive.maker} ${state.drive.type}`}
            {state.drive?.serial && ` · no. ${state.drive.serial}`}
          </Text>
        </TopBar>
        <Troubles store={store} clashes={clashes} />
        <Box
          bg="card"
          mx={{ base: 0, md: 5 }}
          mb={{ base: 0, md: 5 }}
          borderRadius={{ base: 0, md: '4px' }}
          minH="calc(100dvh - 76px)"
          display="grid"
          gridTemplateColumns={{
            base: 'minmax(0, 1fr)',
            md: '206px minmax(0, 1fr)',
            lg: '206px minmax(0, 1fr) 300px',
          }}
          alignItems="stretch"
        >
          <Box
            gridRow={{ base: 'auto', md: '1 / span 2', lg: 'auto' }}
            bg="cardEdge"
            borderRadius={{ md: '4px 0 0 4px' }}
            minW="0"
          >
            <StageEdge jobId={jobId} lines={lines} open={open} goTo={goTo} />
          </Box>
          <Box as="main" px={{ base: 4, md: '26px' }} py="5" minW="0">
            {isLoose(state) && <LooseSheet store={store} open={open} />}
            {open === 'take' && <CallStage {...given} />}
            {open === 'identify' && <NameplatesStage {...given} />}
            {open === 'as-found' && <AsFoundStage {...given} />}
            {open === 'look' && <InspectionStage {...given} />}
            {open === 'trace' && <FaultFindingStage {...given} />}
            {open === 'make-safe' && <MakeSafeStage {...given} />}
            {open === 'bench' && <BenchTestStage {...given} diagnosis={diagnosis} />}
            {open === 'hand-over' && <HandOverStage {...given} diagnosis={diagnosis} />}
            {open === 'motor' && <MotorAndCableStage {...given} />}
            {open === 'decide' && <RepairOrReplaceStage {...given} />}
            {open === 'prepare' && <PreparationStage {...given} />}
            {open === 'swap' && <ReplacementStage {...given} />}
            {open === 'settings' && <CommissioningStage {...given} />}
            {open === 'first-power' && <FirstPowerUpStage {...given} />}
          </Box>
          <Island deaf>
            <Margin store={store}>
              {imported !== null && (
                <Notice tone="doubt" headline="Imported from another installation.">
                  On {dateTime(imported.at)}. Its people and its machine are not those of this shop.
                </Notice>
              )}
              {dead.length > 0 && !onBench && open !== 'trace' && (
                <Notice tone="failed" headline="Do not restore mains to read the display.">
                  Because of {dead.join(', ')}.
                </Notice>
              )}
              {onBench && state.drive !== null && (
                <>
                  <BenchConclusion stage={state.drive.stage} state={diagnosis} />
                  <Levels levels={levelsOf(state, diagnosis.diagnosis?.verdict ?? null)} />
                  {diagnosis.diagnosis !== null && (
                    <Story diagnosis={diagnosis.diagnosis} table={consequences} />
                  )}
                </>
              )}
            </Margin>
          </Island>
        </Box>
      </NotTaken.Provider>
    </DraftsContext.Provider>
  );
}
