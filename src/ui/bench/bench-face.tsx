'use client';
import { Box, Text } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { readDiodeTest, type Typed } from '@/core/entry-text';
import { benchLock, type KeptReading } from '@/core/logbook';
import { mayConfirmOpen, type Heard } from '@/core/meter-stream';
import {
  commonMeter,
  probeKey,
  type PlannedProbe,
  type Position,
  type Probe,
  type Terminal,
  type Value,
} from '@/core/power-stage';
import type { Diagnosis, PositionState } from '@/core/static-diagnosis';
import { Primary, Secondary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { FaceHead } from '../kit/face';
import { clockTime } from '../kit/time';
import { useNow } from '../kit/use-now';
import type { FaceProps } from '../job/faces';
import { ModuleTest } from '../module-test/module-face';
import { BandGauge } from './band-gauge';
import { isPlainMark, leadWords, outsideTable, planOf, rowsOf, stepTitle, type PlanKind } from './bench-plan';
import { FigureField, type Keys } from './figure-field';
import { KeySheet } from './key-sheet';
import { MeterBar } from './meter-bar';
import { Guidance, PlanChoice } from './plan-bar';
import { ReadingsTable, shownValue } from './readings-table';
import { Schematic } from './schematic';
import { play } from './sounds';
import { StageEditor } from './stage-editor';
import { TerminalStrip } from './terminal-strip';
import { TrapNotice } from './trap-notice';
import type { DiagnosisState } from './use-diagnosis';
import { useMeter } from './use-meter';
import { useWakeLock } from './use-wake-lock';

/** Why a probe is open that was read before: to put a slip of the finger right, or to measure again. */
type Purpose = 'new' | 'repeat' | 'correct';

const planned = ({ red, black }: Probe): PlannedProbe => ({ red, black, group: 'lines' });

/** What the tool would have probed now; a doubtful reading once more first. */
function guidedStep(result: Diagnosis, readings: readonly KeptReading[]): PlannedProbe | null {
  if (result.enough !== null) return null;
  const times = (probe: Probe): number => readings.filter((r) => probeKey(r) === probeKey(probe)).length;
  const again = result.repeat.find((r) => times(r) === 1);
  const next = again ?? result.next.find((n) => times(n) === 0);
  return next === undefined ? null : planned(next);
}

/** The static test: one probe, one figure, one key. */
export function BenchFace({
  store,
  person,
  limits,
  diagnosis,
  goTo,
}: FaceProps & { diagnosis: DiagnosisState }) {
  const now = useNow(store.clockOffset_ms);
  const { drive, safety, readings } = store.state;
  const [kind, setKind] = useState<PlanKind>('quick');
  const [picked, setPicked] = useState<Terminal | null>(null);
  const [editing, setEditing] = useState(false);
  const [onModule, setOnModule] = useState(false);
  const [chosen, setChosen] = useState<{ probe: PlannedProbe; purpose: Purpose } | null>(null);
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<Exclude<Typed, { kind: 'value' }> | null>(null);
  const [help, setHelp] = useState(false);
  const [quiet, setQuiet] = useState(false);
  const [metered, setMetered] = useState(false);
  const heard = useRef<(h: Heard) => void>(() => undefined);
  const meter = useMeter(metered, (h) => heard.current(h));
  const input = useRef<HTMLInputElement>(null);
  const sounded = useRef<string | null>(null);
  const lock = benchLock(safety, drive, limits, person, now === 0 ? safety.lastAt : now);
  useWakeLock(lock.open);

  const stage = drive?.stage ?? null;
  const plan = useMemo(
    () => (stage === null ? [] : planOf(stage, kind === 'full' ? 'full' : 'quick')),
    [stage, kind],
  );
  const newest = useMemo(() => new Map(readings.map((r) => [probeKey(r), r])), [readings]);
  const last: KeptReading | undefined = readings[readings.length - 1];
  const result = diagnosis.diagnosis;
  const guided = kind === 'guided';
  // A suggestion made before the newest reading was weighed is none.
  const stale = diagnosis.busy || result === null;
  const due: PlannedProbe | null = guided
    ? stale
      ? null
      : guidedStep(result, readings)
    : (plan.find((p) => !newest.has(probeKey(p))) ?? null);
  const step = chosen?.probe ?? due;
  const purpose: Purpose =
    chosen?.purpose ?? (step !== null && newest.has(probeKey(step)) ? 'repeat' : 'new');
  const judgements = useMemo(() => result?.readings ?? [], [result]);

  // The sound follows the judgement of the newest reading, not the keystroke.
  useEffect(() => {
    if (last === undefined) return;
    const judged = judgements.find((j) => probeKey(j) === probeKey(last));
    if (judged === undefined || sounded.current === last.entryId) return;
    const first = sounded.current === null && Date.now() - last.at > 5000;
    sounded.current = last.entryId;
    if (!first && !quiet) play(judged.state);
  }, [judgements, last, quiet]);

  const stepKeyNow = step === null ? '' : probeKey(step);
  useEffect(() => {
    if (lock.open) input.current?.focus({ preventScroll: true });
  }, [stepKeyNow, lock.open]);

  const keep = (value: Value, typed: string) => {
    if (step === null || !lock.open) return;
    const corrected = purpose === 'correct' ? newest.get(probeKey(step))?.entryId : undefined;
    store.record(
      'static.reading',
      { red: step.red, black: step.black, value, typed: typed.slice(0, 40) },
      corrected,
    );
    setChosen(null);
    setText('');
    setTrouble(null);
  };
  // The figure belongs to the step that is open when it counts, which only this render knows.
  useEffect(() => {
    heard.current = (h) => {
      if (h.kind === 'counted') keep(h.volts, 'meter');
    };
  });

  if (drive === null || stage === null)
    return (
      <>
        <FaceHead title="Bench">The test follows the drive&rsquo;s own strip.</FaceHead>
        <Primary onClick={() => goTo('identify')}>Identify the drive first</Primary>
      </>
    );

  const open = (probe: PlannedProbe, why: Purpose) => {
    setChosen({ probe, purpose: why });
    setPicked(null);
    setText('');
    setTrouble(null);
    input.current?.focus({ preventScroll: true });
  };
  const confirmOpen = () => {
    if (meter !== null && !meter.gone && mayConfirmOpen(meter.now)) keep('OL', 'meter');
  };
  const inPlan = (probe: Probe): PlannedProbe =>
    plan.find((p) => probeKey(p) === probeKey(probe)) ?? planned(probe);
  const pick = (terminal: Terminal) => {
    if (picked === null) setPicked(terminal);
    else if (picked === terminal) setPicked(null);
    else {
      const probe = inPlan({ red: picked, black: terminal });
      open(probe, newest.has(probeKey(probe)) ? 'repeat' : 'new');
    }
  };
  const unsettled = result?.verdict === 'faulty' || result?.verdict === 'doubtful';
  const suggestion = result?.repeat[0] ?? (due === null && unsettled ? result.next[0] : undefined);
  const index = step === null ? plan.length : plan.findIndex((p) => probeKey(p) === probeKey(step));
  const keys: Keys = {
    keep: () => {
      const typed = readDiodeTest(text, commonMeter.ceiling_V);
      if (typed.kind === 'value') keep(typed.value, text);
      else setTrouble(typed);
    },
    overload: () => keep('OL', 'OL'),
    short: () => keep(0, 'short'),
    climbing: () => keep('climbing', 'climbing'),
    repeat: () => {
      if (last !== undefined) open(inPlan(last), 'repeat');
    },
    back: () => {
      const before = plan
        .slice(0, index < 0 ? plan.length : index)
        .reverse()
        .find((p) => newest.has(probeKey(p)));
      if (before !== undefined) open(before, 'correct');
    },
    suggested: () => {
      if (suggestion !== undefined)
        open(inPlan(suggestion), newest.has(probeKey(suggestion)) ? 'repeat' : 'new');
    },
    help: () => setHelp(true),
    pedal: confirmOpen,
  };
  const states: Partial<Record<Position, PositionState>> = Object.fromEntries(
    (result?.positions ?? []).map((p) => [p.component, p.state]),
  );
  const previous = last ?? null;
  const rows = rowsOf(stage, kind === 'full' || readings.some((r) => r.red === 'DC+' || r.black === 'DC-'));
  const others = outsideTable([...(kind === 'full' ? plan : []), ...readings], rows);

  if (onModule) return <ModuleTest store={store} close={() => setOnModule(false)} />;
  if (editing)
    return (
      <StageEditor
        stage={stage}
        strip={drive.strip}
        close={() => setEditing(false)}
        keep={(next, strip) => {
          store.record('identify.stage', { stage: next, strip });
          setEditing(false);
        }}
      />
    );

  return (
    <>
      <FaceHead
        title={
          step !== null
            ? stepTitle(step)
            : guided && stale
              ? 'Weighing what to probe next…'
              : guided
                ? 'No further probe needed'
                : 'All planned readings are taken'
        }
      >
        {step !== null ? (
          <>
            {leadWords(step, previous, drive.strip).map((l) => (
              <span key={l.lead}>
                {l.lead} {l.verb} <strong style={{ color: 'var(--chakra-colors-ink)' }}>{l.mark}</strong>
                {isPlainMark(l.mark, l.terminal) ? '' : ` (${l.terminal.replace('DC-', 'DC−')})`}.{' '}
              </span>
            ))}
            {!guided && index >= 0 && `Reading ${index + 1} of ${plan.length}.`}{' '}
            {purpose === 'repeat' && 'Measuring again: both values are kept.'}
            {purpose === 'correct' && 'Putting a slip right: the first stays in the log.'}
          </>
        ) : (
          'Choose a cell to take one again, two screws for a probe of your own, another plan, or go on to the sheet.'
        )}
      </FaceHead>
      {lock.open ? (
        <Caution title={`Bus proven dead at ${clockTime(safety.meterAfter?.at ?? safety.lastAt)}:`}>
          {safety.figures['bank dc']?.volts ?? 0} V, again {safety.figures['bank-again dc']?.volts ?? 0} V.
          Holds until {clockTime(lock.until)} if nothing is entered, or until anyone else takes over. Motor,
          line and brake-resistor leads off.
        </Caution>
      ) : (
        <Caution grave title="Locked.">
          {lock.text}{' '}
          <Secondary minH="44px" onClick={() => goTo('make-safe')}>
            Make safe
          </Secondary>
        </Caution>
      )}
      {result !== null && (
        <TrapNotice
          diagnosis={result}
          editStage={() => setEditing(true)}
          retake={(reason) => store.record('static.retake', { reason })}
          goTo={goTo}
        />
      )}
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="center" mb="2">
        <PlanChoice
          kind={kind}
          choose={(next) => {
            setKind(next);
            setChosen(null);
            input.current?.focus({ preventScroll: true });
          }}
        />
        <Secondary onClick={() => setEditing(true)}>Stage</Secondary>
        <Secondary onClick={() => setOnModule(true)}>Module test</Secondary>
        <Secondary
          aria-pressed={metered}
          onClick={() => {
            setMetered(!metered);
            input.current?.focus({ preventScroll: true });
          }}
        >
          {metered ? 'Meter: listening' : 'Meter by cable'}
        </Secondary>
      </Box>
      <TerminalStrip
        strip={drive.strip}
        red={picked ?? step?.red ?? null}
        black={picked === null ? (step?.black ?? null) : null}
        picked={picked}
        pick={pick}
      />
      {picked !== null && (
        <Text role="status" fontSize="0.94rem">
          Red on {picked}: now choose the screw for black.
        </Text>
      )}
      {guided && result !== null && <Guidance diagnosis={result} stage={stage} stale={stale} />}
      {step?.group === 'fill' && (
        <Text mb="1" fontSize="0.95rem">
          Hold the leads: the bank fills through the meter, about 1 V per second and 1000 µF. Keep{' '}
          <b>overload</b> when it gets there, <b>climbing</b> if you do not wait.
        </Text>
      )}
      {metered && <MeterBar meter={meter} confirmOpen={confirmOpen} />}
      <FigureField
        text={text}
        setText={(t) => {
          setText(t);
          setTrouble(null);
        }}
        keys={keys}
        question={trouble?.kind === 'question' ? trouble : null}
        error={trouble?.kind === 'unreadable' ? trouble.why : null}
        choose={(value) => keep(value, text)}
        disabled={!lock.open || step === null}
        inputRef={input}
        suggested={suggestion === undefined ? null : `next: ${suggestion.red} to ${suggestion.black}`}
      />
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
          others={others}
          readings={readings}
          judgements={judgements}
          selected={step}
          unsent={store.unsent}
          select={(probe) => open(inPlan(probe), newest.has(probeKey(probe)) ? 'repeat' : 'new')}
        />
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" mt="3" mb="4">
        <Secondary onClick={() => setQuiet(!quiet)} aria-pressed={quiet}>
          {quiet ? 'Sounds on' : 'Sounds off'}
        </Secondary>
        <Secondary onClick={() => setHelp(true)}>? keys</Secondary>
        <Primary onClick={() => goTo('hand-over')} disabled={readings.length === 0}>
          To the sheet
        </Primary>
      </Box>
      <Schematic stage={stage} states={states} probe={step} />
      {last !== undefined && (
        <Text
          className="visually-hidden"
          role="status"
          position="absolute"
          width="1px"
          height="1px"
          overflow="hidden"
          clipPath="inset(50%)"
        >
          {store.unsent.has(last.entryId) ? 'Sending' : 'Kept'} {last.red} to {last.black}{' '}
          {shownValue(last.value)}
        </Text>
      )}
      {help && <KeySheet close={() => setHelp(false)} />}
    </>
  );
}
