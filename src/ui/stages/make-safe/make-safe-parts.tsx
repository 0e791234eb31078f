import { Box } from '@chakra-ui/react';
import {
  countOf,
  missingSteps,
  proofOf,
  type BenchLock,
  type Payload,
  type SafetyState,
} from '@/core/logbook';
import { together_V, type Limits } from '@/core/bench/make-safe';
import type { JobStore } from '../../job-store/use-job';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StateMark } from '../../kit/state-mark';
import { clockTime } from '../../kit/time';
import { FiguresGrid } from './figures-grid';
import { BankBridge } from './bank-bridge';
import { PairsTogether } from './pairs-together';
import { SafetyStep } from './steps';
import { Text } from '../../kit/text';

/** Who may not go on, and what of an earlier proof no longer holds. */
export function Notices({
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
        <Caution grave signal={null} title="Safety steps are locked for apprentices.">
          You can view every step; a technician carries out and records them.
        </Caution>
      )}
      {!apprentice && !mine && (
        <Caution signal={null} title={`${safety.by?.name ?? 'Someone else'} started this proof.`}>
          With your first entry you take over: everything is confirmed and measured again.
        </Caution>
      )}
      {safety.lapsed !== null && !complete && (
        <Caution signal={null} title="An earlier proof is void:">
          {safety.lapsed.detail}. Measure all points again.
        </Caution>
      )}
      {safety.alive !== null && (
        <Caution grave title={`${safety.alive.volts} V AC at ${safety.alive.at}: not isolated.`}>
          Stop, at any voltage. Find the source, isolate and lock it, then confirm the sources again.
        </Caution>
      )}
      {safety.noBankTerminal && (
        <Caution grave title="No bank terminal accessible: treat as charged.">
          Only removal with covers on: lock, discharge time of {labelWait_min} min, lines and motor terminals
          proven dead. No bench test.
        </Caution>
      )}
    </>
  );
}

/** The readings between every pair of points. */
export function ProveDead({
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
            ? `${countOf(left.length, 'reading')} left`
            : `highest ${proof.highest_V} V`
      }
      open={safety.meterBefore !== null && left.length > 0}
    >
      <Text mb="2" fontSize="0.95rem" color="soft">
        Type the reading; Enter saves it and moves on. Meter on DC for all points, then on AC, then the
        capacitor bank again.
      </Text>
      <PairsTogether
        stage={drive.stage}
        safety={safety}
        disabled={disabled || safety.meterBefore === null}
        keep={(quantity, points) => store.record('safety.figures', { quantity, points, below_V: together_V })}
      />
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
      <BankBridge
        bridgedAt={safety.bridgedAt}
        disabled={disabled}
        keep={(fitted) => store.record('safety.bridge', { fitted })}
      />
      <Box mt="3">
        <Secondary disabled={disabled} onClick={() => store.record('safety.no-bank-terminal', {})}>
          No bank terminal accessible
        </Secondary>
      </Box>
    </SafetyStep>
  );
}

/** May the bench begin? */
export function BenchGate({
  lock,
  highest_V,
  goOn,
}: {
  lock: BenchLock;
  highest_V: number;
  goOn: () => void;
}) {
  return (
    <Box borderTop="1px solid" borderColor="line" pt="3" aria-live="polite">
      {lock.open ? (
        <>
          <Text fontFamily="heading" fontWeight="600" fontSize="1.2rem" mb="2">
            <StateMark mark="sound" label={null} /> Proven dead: {highest_V} V at most. Holds until{' '}
            {clockTime(lock.until)} if nothing is entered.
          </Text>
          <Primary onClick={goOn}>Go to Bench test</Primary>
        </>
      ) : (
        <Text fontWeight="500">
          <StateMark
            mark={['above-limit', 'not-isolated', 'bridged'].includes(lock.why) ? 'failed' : 'unprobed'}
            label={null}
          />{' '}
          Bench test locked: {lock.text}
        </Text>
      )}
    </Box>
  );
}
