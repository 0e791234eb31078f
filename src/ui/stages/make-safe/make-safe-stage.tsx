'use client';
import { Box, Text } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { peakBusVolts } from '@/core/bench/discharge';
import {
  benchLock,
  countOf,
  missingSteps,
  proofOf,
  waitOver,
  type SafetyState,
  type Payload,
  type BenchLock,
} from '@/core/logbook';
import { unsafeSources, type Limits } from '@/core/bench/make-safe';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead, FieldGrid } from '../../kit/section';
import { Field } from '../../kit/field';
import { StateMark } from '../../kit/state-mark';
import { clockTime, countdown } from '../../kit/time';
import { useNow } from '../../kit/use-now';
import type { StageProps } from '../../job-store/stage-props';
import { DischargeTool } from './discharge-tool';
import { FiguresGrid } from './figures-grid';
import { SourcesGrid } from './sources-grid';
import { type JobStore } from '../../job-store/use-job';
import { MeterProof, SourceBack, SafetyStep } from './steps';

const DischargeChart = dynamic(() => import('./discharge-chart'), {
  ssr: false,
  loading: () => <Text>drawing the curve…</Text>,
});

/** Who may not go on, and what of an earlier proof no longer holds. */
function Notices({
  apprentice,
  mine,
  safety,
  complete,
  labelWait_min,
}: {
  apprentice: boolean;
  /** Nobody else began it. */
  mine: boolean;
  safety: SafetyState;
  complete: boolean;
  labelWait_min: number;
}) {
  return (
    <>
      {apprentice && (
        <Caution grave title="Safety steps are locked for apprentices.">
          You see every step; a technician does and enters them.
        </Caution>
      )}
      {!apprentice && !mine && (
        <Caution title={`${safety.by?.name ?? 'Someone else'} began this.`}>
          With your first entry you take over: everything is confirmed and measured again.
        </Caution>
      )}
      {safety.lapsed !== null && !complete && (
        <Caution title="An earlier proof has lapsed:">
          {safety.lapsed.detail}. Measure everything again.
        </Caution>
      )}
      {safety.noBankTerminal && (
        <Caution grave title="No bank terminal within reach: treat as charged.">
          Only removal with covers on, after the label&rsquo;s wait of {labelWait_min} min. No bench test.
        </Caution>
      )}
    </>
  );
}

/** Since when it is isolated, and the lock on it. */
function LockAndTag({
  now,
  offset_ms,
  disabled,
  keep,
}: {
  now: number;
  offset_ms: number;
  disabled: boolean;
  keep: (what: Payload<'safety.locked'>) => void;
}) {
  // Until a time is typed it is taken as isolated now.
  const [typedTime, setTypedTime] = useState<string | null>(null);
  const [tag, setTag] = useState('');
  const isolatedAt = typedTime ?? (now === 0 ? '' : clockTime(now));
  const keepLock = () => {
    const [h = 0, m = 0] = isolatedAt.split(':').map(Number);
    const at = new Date(Date.now() + offset_ms);
    at.setHours(h, m, 0, 0);
    if (at.getTime() > Date.now() + offset_ms) at.setDate(at.getDate() - 1);
    keep({ isolatedAt: at.toISOString(), tag: tag.trim() });
  };
  return (
    <>
      <FieldGrid>
        <Field
          label="Isolated since"
          type="time"
          value={isolatedAt}
          onChange={(e) => setTypedTime(e.target.value)}
          disabled={disabled}
        />
        <Field
          label="Lock and tag"
          value={tag}
          onChange={(e) => setTag(e.target.value)}
          placeholder="padlock 7, tag I. T."
          disabled={disabled}
          maxLength={200}
        />
      </FieldGrid>
      <Primary disabled={disabled || tag.trim() === ''} onClick={keepLock}>
        Keep: locked and tagged
      </Primary>
    </>
  );
}

/** The readings between every pair of points. */
function ProveDead({
  store,
  drive,
  limits,
  now,
  disabled,
}: {
  store: JobStore;
  drive: Payload<'identify.drive'>;
  limits: Limits;
  now: number;
  disabled: boolean;
}) {
  const { safety } = store.state;
  const left = missingSteps(safety, drive.stage);
  const proof = proofOf(safety, drive.stage, limits);
  const plateMark = (terminal: string): string =>
    drive.strip.find((s) => s.terminal === terminal)?.mark ?? terminal;
  return (
    <SafetyStep
      n={5}
      title="Prove dead"
      mark={
        left.length > 0
          ? 'unprobed'
          : proof.highest_V > limits.hands_V
            ? 'failed'
            : proof.highest_V > limits.test_V
              ? 'doubt'
              : 'sound'
      }
      summary={
        safety.meterBefore === null
          ? ''
          : left.length > 0
            ? `${countOf(left.length, 'figure')} left`
            : `highest ${proof.highest_V} V`
      }
      open={safety.meterBefore !== null && left.length > 0}
    >
      <Text mb="2" fontSize="0.95rem" color="soft">
        Type the figure, Enter keeps it and moves on. The meter on DC all the way down, then on AC, then the
        bank again.
      </Text>
      <Box overflowX="auto">
        <FiguresGrid
          stage={drive.stage}
          safety={safety}
          limits={limits}
          now={now}
          disabled={disabled || safety.meterBefore === null}
          plateMark={plateMark}
          keep={(step, volts) =>
            store.record('safety.figure', { point: step.point.id, quantity: step.quantity, volts })
          }
        />
      </Box>
      <Box mt="3">
        <Secondary disabled={disabled} onClick={() => store.record('safety.no-bank-terminal', {})}>
          No bank terminal within reach
        </Secondary>
      </Box>
    </SafetyStep>
  );
}

/** May the bench begin? */
function BenchGate({ lock, highest_V, goOn }: { lock: BenchLock; highest_V: number; goOn: () => void }) {
  return (
    <Box borderTop="1px solid" borderColor="line" pt="3" aria-live="polite">
      {lock.open ? (
        <>
          <Text fontFamily="heading" fontWeight="600" fontSize="1.2rem" mb="2">
            <StateMark mark="sound" label={null} /> Proven dead: {highest_V} V at most. Holds until{' '}
            {clockTime(lock.until)} if nothing is entered.
          </Text>
          <Primary onClick={goOn}>On to the bench</Primary>
        </>
      ) : (
        <Text fontWeight="500">
          <StateMark mark={lock.why === 'above-limit' ? 'failed' : 'unprobed'} label={null} /> Bench locked:{' '}
          {lock.text}
        </Text>
      )}
    </Box>
  );
}

/** Making safe with measured figures; nothing here is a mere tick. */
export function MakeSafeStage({ store, person, limits, knownSources, goTo }: StageProps) {
  const now = useNow(store.clockOffset_ms);
  const { drive, safety } = store.state;
  if (drive === null)
    return (
      <>
        <StageHead title="Make safe">The points to prove depend on the drive.</StageHead>
        <Primary onClick={() => goTo('identify')}>Identify the drive first</Primary>
      </>
    );
  const apprentice = person.role === 'apprentice';
  const mine = safety.by === null || safety.by.id === person.id;
  const list = safety.sources?.list ?? [];
  const unsafe = safety.sources === null ? null : unsafeSources(list);
  const sourcesDone = unsafe !== null && unsafe.length === 0;
  const over = waitOver(safety, drive.labelWait_min);
  const waited = over !== null && now >= over;
  const left = missingSteps(safety, drive.stage);
  const proof = proofOf(safety, drive.stage, limits);
  const lock = benchLock(safety, drive, limits, person, now === 0 ? safety.lastAt : now);
  const stop = apprentice || safety.noBankTerminal;
  const bankVolts = proof.bank_V ?? 0;

  return (
    <>
      <StageHead title="Make safe">
        {drive.maker} {drive.type}. Local rules and qualified persons come before anything written here.
      </StageHead>
      <Caution title="The bank stays charged after switching off." grave={bankVolts > limits.hands_V}>
        Hands only at {limits.hands_V} V or less, diode and ohms test only at {limits.test_V} V or less. A
        contact tester rated for the circuit; no contactless tester. A safe-stop input is not isolation.
      </Caution>
      <Notices
        apprentice={apprentice}
        mine={mine}
        safety={safety}
        complete={proof.complete}
        labelWait_min={drive.labelWait_min}
      />

      <SafetyStep
        n={1}
        title="Every source of energy"
        mark={sourcesDone ? 'sound' : unsafe === null ? 'unprobed' : 'failed'}
        summary={
          unsafe === null ? '' : unsafe.length === 0 ? 'isolated or absent' : `${unsafe.length} not safe`
        }
        open={!sourcesDone}
      >
        <SourcesGrid
          key={safety.sources?.at ?? 0}
          known={knownSources}
          current={list}
          disabled={apprentice}
          keep={(sources) => store.record('safety.sources', { sources })}
        />
      </SafetyStep>

      <SafetyStep
        n={2}
        title="Lock and tag"
        mark={safety.locked === null ? 'unprobed' : 'sound'}
        summary={
          safety.locked === null ? '' : `${safety.locked.tag}, since ${clockTime(safety.locked.isolatedAt)}`
        }
        open={sourcesDone && safety.locked === null}
      >
        <LockAndTag
          now={now}
          offset_ms={store.clockOffset_ms}
          disabled={stop || !sourcesDone}
          keep={(what) => store.record('safety.locked', what)}
        />
      </SafetyStep>

      <SafetyStep
        n={3}
        title={`Wait as the label says: ${drive.labelWait_min} min`}
        mark={waited ? 'sound' : 'unprobed'}
        summary={
          over === null ? '' : waited ? 'waited; now measure' : `${countdown((over - now) / 1000)} left`
        }
        open={safety.locked !== null && safety.meterBefore === null}
      >
        <DischargeChart
          bank={drive.stage}
          startVolts={peakBusVolts(drive.supply_V)}
          limits={limits}
          elapsed_s={safety.locked === null || now === 0 ? null : (now - safety.locked.isolatedAt) / 1000}
        />
      </SafetyStep>

      <SafetyStep
        n={4}
        title="Prove the meter"
        mark={safety.meterBefore === null ? 'unprobed' : 'sound'}
        summary={safety.meterBefore === null ? '' : `${safety.meterBefore.volts} V`}
        open={waited && safety.meterBefore === null}
      >
        <MeterProof when="before" disabled={stop || !waited} keep={(p) => store.record('safety.meter', p)} />
      </SafetyStep>

      <ProveDead store={store} drive={drive} limits={limits} now={now} disabled={stop} />

      {bankVolts > limits.test_V && (
        <SafetyStep n={6} title="The bank does not run down" mark="doubt" summary={`${bankVolts} V`} open>
          <DischargeTool
            capacitance_uF={drive.stage.capacitance_uF}
            volts={bankVolts}
            keep={(startVolts, ohm) => store.record('safety.discharged', { startVolts, ohm })}
          />
        </SafetyStep>
      )}

      <SafetyStep
        n={bankVolts > limits.test_V ? 7 : 6}
        title="Prove the meter again"
        mark={safety.meterAfter === null ? 'unprobed' : 'sound'}
        summary={safety.meterAfter === null ? '' : `${safety.meterAfter.volts} V`}
        open={left.length === 0 && safety.meterAfter === null}
      >
        <MeterProof
          when="after"
          disabled={stop || left.length > 0}
          keep={(p) => store.record('safety.meter', p)}
        />
      </SafetyStep>

      <BenchGate lock={lock} highest_V={proof.highest_V} goOn={() => goTo('bench')} />
      <Box mt="6">
        <SourceBack keep={(kind) => store.record('safety.source-back', { kind })} />
      </Box>
    </>
  );
}
