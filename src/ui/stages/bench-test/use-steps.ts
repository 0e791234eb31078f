import { useMemo, useState, type RefObject } from 'react';
import { readDiodeTest, type TypedReading } from '@/core/bench/entry-text';
import type { KeptReading } from '@/core/logbook';
import {
  commonMeter,
  probeKey,
  type PlannedProbe,
  type Probe,
  type Stage,
  type Terminal,
  type Value,
} from '@/core/equipment/power-stage';
import type { Diagnosis } from '@/core/bench/static-diagnosis';
import type { JobStore } from '../../job-store/use-job';
import { planOf, type PlanKind } from './bench-plan';
import type { DiagnosisState } from '../../panels/diagnosis/use-diagnosis';

/** Why a probe is open that was read before: to correct a mistyped reading, or to measure again. */
export type Purpose = 'new' | 'repeat' | 'correct';

const planned = ({ red, black }: Probe): PlannedProbe => ({ red, black, group: 'lines' });

/** What the tool would have probed now; a doubtful reading once more first. */
function guidedStep(result: Diagnosis, readings: readonly KeptReading[]): PlannedProbe | null {
  if (result.enough !== null) return null;
  const times = (probe: Probe): number => readings.filter((r) => probeKey(r) === probeKey(probe)).length;
  const again = result.repeat.find((r) => times(r) === 1);
  const next = again ?? result.next.find((n) => times(n) === 0);
  return next === undefined ? null : planned(next);
}

/** Which probe is open, why, and what is typed for it; every way to get to another one. */
export function useSteps({
  store,
  stage,
  diagnosis,
  locked,
  input,
}: {
  store: JobStore;
  stage: Stage | null;
  diagnosis: DiagnosisState;
  locked: boolean;
  input: RefObject<HTMLInputElement | null>;
}) {
  const { readings } = store.state;
  const [kind, setKind] = useState<PlanKind>('quick');
  const [picked, setPicked] = useState<Terminal | null>(null);
  /** `held` by what is being typed for it: another tab may move on meanwhile. */
  const [chosen, setChosen] = useState<{ probe: PlannedProbe; purpose: Purpose; held?: true } | null>(null);
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<Exclude<TypedReading, { kind: 'value' }> | null>(null);

  const plan = useMemo(
    () => (stage === null ? [] : planOf(stage, kind === 'full' ? 'full' : 'quick')),
    [stage, kind],
  );
  const newest = useMemo(() => new Map(readings.map((r) => [probeKey(r), r])), [readings]);
  const result = diagnosis.diagnosis;
  const guided = kind === 'guided';
  // A suggestion made before the newest reading was weighed is none.
  const stale = diagnosis.busy || result === null;
  const suggested = (): PlannedProbe | null => (stale ? null : guidedStep(result, readings));
  const due = guided ? suggested() : (plan.find((p) => !newest.has(probeKey(p))) ?? null);
  const step = chosen?.probe ?? due;
  const again = (probe: Probe): Purpose => (newest.has(probeKey(probe)) ? 'repeat' : 'new');
  const purpose: Purpose = chosen?.purpose ?? (step === null ? 'new' : again(step));
  const unsettled = result?.verdict === 'faulty' || result?.verdict === 'doubtful';
  const suggestion = result?.repeat[0] ?? (due === null && unsettled ? result.next[0] : undefined);
  const index = step === null ? plan.length : plan.findIndex((p) => probeKey(p) === probeKey(step));

  const focus = () => input.current?.focus({ preventScroll: true });
  const type = (typed: string) => {
    setText(typed);
    setTrouble(null);
    if (typed !== '' && chosen === null && step !== null) setChosen({ probe: step, purpose, held: true });
    if (typed === '' && chosen?.held === true) setChosen(null);
  };
  const open = (probe: Probe, why: Purpose = again(probe)) => {
    type('');
    setChosen({ probe: plan.find((p) => probeKey(p) === probeKey(probe)) ?? planned(probe), purpose: why });
    setPicked(null);
    focus();
  };
  const keep = (value: Value, typed: string) => {
    if (step === null || locked) return;
    const corrected = purpose === 'correct' ? newest.get(probeKey(step))?.entryId : undefined;
    store.record(
      'static.reading',
      { red: step.red, black: step.black, value, typed: typed.slice(0, 40) },
      corrected,
    );
    type('');
    setChosen(null);
  };
  return {
    kind,
    plan,
    step,
    purpose,
    index,
    guided,
    stale,
    suggestion,
    picked,
    text,
    trouble,
    type,
    open,
    keep,
    focus,
    choosePlan: (next: PlanKind) => {
      setKind(next);
      setChosen(null);
      focus();
    },
    /** Free order: a terminal for red, then one for black; the same again takes it back. */
    pick: (terminal: Terminal) => {
      if (picked === null || picked === terminal) setPicked(picked === null ? terminal : null);
      else open({ red: picked, black: terminal });
    },
    enter: () => {
      const typed = readDiodeTest(text, commonMeter.ceiling_V);
      if (typed.kind === 'value') keep(typed.value, text);
      else setTrouble(typed);
    },
    /** Somebody else took the reading that is being typed here. */
    takenMeanwhile: chosen?.held === true && chosen.purpose === 'new' && newest.has(probeKey(chosen.probe)),
    back: () => {
      const before = plan
        .slice(0, index < 0 ? plan.length : index)
        .reverse()
        .find((p) => newest.has(probeKey(p)));
      if (before !== undefined) open(before, 'correct');
    },
  };
}

export type GuidedSteps = ReturnType<typeof useSteps>;
