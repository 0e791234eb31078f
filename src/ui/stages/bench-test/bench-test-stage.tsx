'use client';
import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { benchLock, stageAddress, type KeptReading } from '@/core/logbook';
import { mayConfirmOpen } from '@/core/bench/meter-stream';
import { probeKey, type Position } from '@/core/equipment/power-stage';
import { conclude, type PositionState } from '@/core/bench/static-diagnosis';
import { Primary, Secondary, VisuallyHidden } from '../../kit/buttons';
import { HelpSheet } from '../../kit/help';
import { StageHead } from '../../kit/section';
import { useNow } from '../../kit/use-now';
import type { StageProps } from '../../job-store/stage-props';
import { BandGauge } from './band-gauge';
import { asideParts, BenchAside, type Aside } from './bench-aside';
import { useLoadedAtRest } from '../../kit/use-loaded-at-rest';
import { BenchHead, ProofNotice } from './bench-head';
import { outsideTable, rowsOf } from './bench-plan';
import { FigureField, type Keys } from './figure-field';
import { MeterBar } from './meter-bar';
import { Guidance, PlanChoice } from './plan-bar';
import { ReadingsTable, shownValue } from './readings-table';
import { Schematic } from './schematic';
import { TerminalStrip } from './terminal-strip';
import { TrapNotice } from './trap-notice';
import type { DiagnosisState } from '../../panels/diagnosis/use-diagnosis';
import { useJudgementSound } from './use-judgement-sound';
import { useMeter } from './use-meter';
import { useSteps, type GuidedSteps } from './use-steps';
import { useWakeLock } from './use-wake-lock';
import { Text } from '../../kit/text';

/** What the keys do with the figure, the step and the last reading. */
const keysFor = (
  { keep, enter, back, open, suggestion }: GuidedSteps,
  last: KeptReading | undefined,
  others: Pick<Keys, 'help' | 'pedal'>,
): Keys => ({
  ...others,
  keep: enter,
  overload: () => keep('OL', 'OL'),
  short: () => keep(0, 'short'),
  climbing: () => keep('climbing', 'climbing'),
  repeat: () => {
    if (last !== undefined) open(last, 'repeat');
  },
  back,
  suggested: () => {
    if (suggestion !== undefined) open(suggestion);
  },
});

/** The static test: one probe, one figure, one key. */
export function BenchTestStage({
  jobId,
  store,
  person,
  limits,
  diagnosis,
  goTo,
}: StageProps & { diagnosis: DiagnosisState }) {
  useLoadedAtRest(asideParts);
  const now = useNow(store.clockOffset_ms);
  const { drive, safety, readings } = store.state;
  const [aside, setAside] = useState<Aside | null>(null);
  const [help, setHelp] = useState(false);
  const [quiet, setQuiet] = useState(false);
  const [metered, setMetered] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const lock = benchLock(safety, drive, limits, person, now === 0 ? safety.lastAt : now);
  useWakeLock(lock.open);

  const stage = drive?.stage ?? null;
  const steps = useSteps({ store, stage, diagnosis, locked: !lock.open, input });
  const { step, keep, open, suggestion, picked } = steps;
  const ready = step !== null && lock.open && aside === null;
  const meter = useMeter(metered, ready, (heard) => {
    if (heard.kind === 'counted') keep(heard.volts, 'meter');
  });
  const last = readings[readings.length - 1];
  const result = diagnosis.diagnosis;
  const judgements = result?.readings ?? [];
  useJudgementSound(last, judgements, quiet);

  const stepKeyNow = step === null ? '' : probeKey(step);
  useEffect(() => {
    if (lock.open) input.current?.focus({ preventScroll: true });
  }, [stepKeyNow, lock.open]);

  if (drive === null || stage === null)
    return (
      <>
        <StageHead title="Bench test">The test plan follows the terminal strip of the drive.</StageHead>
        <Primary onClick={() => goTo('identify')}>Read the drive nameplate first</Primary>
      </>
    );
  if (aside !== null)
    return (
      <BenchAside
        open={aside}
        {...{ jobId, store, drive }}
        locked={lock.open ? null : lock.text}
        close={() => setAside(null)}
      />
    );

  const confirmOpen = () => {
    if (meter !== null && !meter.gone && mayConfirmOpen(meter.now)) keep('OL', 'meter');
  };
  const keys = keysFor(steps, last, { help: () => setHelp(true), pedal: confirmOpen });
  const states: Partial<Record<Position, PositionState>> = Object.fromEntries(
    (result?.positions ?? []).map((p) => [p.component, p.state]),
  );
  const full = steps.kind === 'full';
  const rows = rowsOf(stage, full || readings.some((r) => r.red === 'DC+' || r.black === 'DC-'));

  return (
    <>
      <BenchHead steps={steps} last={last} strip={drive.strip} />
      <ProofNotice lock={lock} safety={safety} goTo={goTo} />
      {result !== null && (
        <TrapNotice
          diagnosis={result}
          editStage={() => setAside('stage')}
          retake={(reason) => store.record('static.retake', { reason })}
          goTo={goTo}
        />
      )}
      <BenchTools
        steps={steps}
        openAside={setAside}
        metered={metered}
        toggleMeter={() => setMetered(!metered)}
      />
      <TerminalStrip
        strip={drive.strip}
        red={picked ?? step?.red ?? null}
        black={picked === null ? (step?.black ?? null) : null}
        picked={picked}
        pick={steps.pick}
      />
      {picked !== null && (
        <Text role="status" fontSize="0.94rem">
          Red on {picked}: now tap the terminal for black.
        </Text>
      )}
      {steps.guided && result !== null && <Guidance diagnosis={result} stage={stage} stale={steps.stale} />}
      <StepNotes steps={steps} />
      {metered && <MeterBar meter={meter} ready={ready} confirmOpen={confirmOpen} />}
      <FigureField
        text={steps.text}
        setText={steps.type}
        keys={keys}
        question={steps.trouble?.kind === 'question' ? steps.trouble : null}
        error={steps.trouble?.kind === 'unreadable' ? steps.trouble.why : null}
        choose={(value) => keep(value, steps.text)}
        disabled={!lock.open}
        idle={step === null}
        inputRef={input}
        suggested={suggestion === undefined ? null : `next: ${suggestion.red} to ${suggestion.black}`}
      />
      {result !== null && <ShortConclusion headline={conclude(result, stage).headline} />}
      {step !== null && (
        <BandGauge
          probe={step}
          readings={readings}
          judgement={judgements.find((j) => probeKey(j) === probeKey(step))}
        />
      )}
      <Box mt="2">
        <ReadingsTable
          rows={rows}
          others={outsideTable([...(full ? steps.plan : []), ...readings], rows)}
          readings={readings}
          judgements={judgements}
          selected={step}
          unsent={store.unsent}
          select={(probe) => open(probe)}
        />
      </Box>
      <BenchFoot
        quiet={quiet}
        toggleQuiet={() => setQuiet(!quiet)}
        openHelp={() => setHelp(true)}
        toSheet={readings.length === 0 ? null : () => goTo('hand-over')}
      />
      <Schematic stage={stage} states={states} probe={step} />
      {last !== undefined && (
        <Box role="status">
          <VisuallyHidden>
            {store.unsent.has(last.entryId) ? 'Sending' : 'Saved'} {last.red} to {last.black}{' '}
            {shownValue(last.value)}
          </VisuallyHidden>
        </Box>
      )}
      {help && <HelpSheet path={`/jobs/${jobId}/${stageAddress('bench')}`} close={() => setHelp(false)} />}
    </>
  );
}

/** Where the margin is below, the conclusion stands by the field too; it is heard once, from the margin. */
const ShortConclusion = ({ headline }: { headline: string }) => (
  <Text aria-hidden display={{ base: 'block', lg: 'none' }} fontWeight="600" mt="2">
    {headline}
  </Text>
);

/** What is to be known of the step: how a bank fills through the meter, and that somebody else took it meanwhile. */
function StepNotes({ steps }: { steps: GuidedSteps }) {
  return (
    <>
      {steps.step?.group === 'fill' && (
        <Text mb="1" fontSize="0.95rem">
          Hold the leads: the meter charges the capacitor bank, about 1 V per second at 1000 µF. Enter{' '}
          <b>OL</b> when the meter shows it, <b>climbing</b> if you do not wait.
        </Text>
      )}
      {steps.takenMeanwhile && (
        <Text role="status" color="doubt" fontWeight="500">
          This pair was measured on another device meanwhile: your reading is saved as a repeat.
        </Text>
      )}
    </>
  );
}

/** Which plan, and what can be opened beside it. */
function BenchTools({
  steps,
  openAside,
  metered,
  toggleMeter,
}: {
  steps: GuidedSteps;
  openAside: (aside: Aside) => void;
  metered: boolean;
  toggleMeter: () => void;
}) {
  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="center" mb="2">
      <PlanChoice kind={steps.kind} choose={steps.choosePlan} />
      <Secondary onClick={() => openAside('stage')}>Stage</Secondary>
      <Secondary onClick={() => openAside('module')}>Module test</Secondary>
      <Secondary aria-label="Readings as a file" onClick={() => openAside('file')}>
        File
      </Secondary>
      <Secondary
        aria-label="Meter by cable"
        aria-pressed={metered}
        onClick={() => {
          toggleMeter();
          steps.focus();
        }}
      >
        Meter
      </Secondary>
    </Box>
  );
}

/** Sounds, the keys, and onward once something was measured. */
function BenchFoot({
  quiet,
  toggleQuiet,
  openHelp,
  toSheet,
}: {
  quiet: boolean;
  toggleQuiet: () => void;
  openHelp: () => void;
  /** Null: nothing was measured yet. */
  toSheet: (() => void) | null;
}) {
  return (
    <Box display="flex" gap="2" flexWrap="wrap" mt="3" mb="4">
      <Secondary onClick={toggleQuiet} aria-pressed={quiet}>
        {quiet ? 'Sounds on' : 'Sounds off'}
      </Secondary>
      <Secondary onClick={openHelp}>? keys</Secondary>
      <Primary onClick={() => toSheet?.()} disabled={toSheet === null}>
        To the test sheet
      </Primary>
    </Box>
  );
}
