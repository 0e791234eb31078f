'use client';
import { motorBlockers } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead } from '../../kit/section';
import { Disconnect } from './disconnect';
import { InsulationTestPanel } from './insulation-test';
import { UnbalanceTestPanel } from './unbalance-test';
import { WindingTestPanel } from './winding-test';
import { Text } from '../../kit/text';

/** Motor and cable before a drive meets them. */
export function MotorAndCableStage({ jobId, store, goTo }: StageProps) {
  const { motor, startUp } = store.state;
  const against = motorBlockers(startUp);
  return (
    <>
      <StageHead title="Motor and cable">
        A failed motor or cable destroys a new drive: test them first.
      </StageHead>
      {against.map(({ id, text }) => (
        <Caution key={id} grave signal={null} title="Stop.">
          {text}
        </Caution>
      ))}
      {motor === null ? (
        <>
          <Text mb="2">The nameplate sets the limits.</Text>
          <Primary onClick={() => goTo('identify')}>Read the motor nameplate first</Primary>
        </>
      ) : startUp.disconnected === null ? (
        <Disconnect keep={(what) => store.record('motor.disconnected', what)} />
      ) : (
        <>
          <WindingTestPanel
            tests={startUp.windings.map((w) => w.payload)}
            keep={(test) => store.record('motor.winding', test)}
          />
          <InsulationTestPanel
            jobId={jobId}
            tests={startUp.insulations}
            earthed={startUp.earthed}
            ratedVolts={motor.plate.volts}
            keep={(test) => store.record('motor.insulation', test)}
            earth={(test, seconds) => store.record('motor.earthed', { test, seconds })}
          />
        </>
      )}
      <UnbalanceTestPanel
        tests={startUp.unbalances.map((u) => u.payload)}
        keep={(test) => store.record('motor.unbalance', test)}
      />
    </>
  );
}
