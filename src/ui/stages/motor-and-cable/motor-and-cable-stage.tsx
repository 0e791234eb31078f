'use client';
import { Text } from '@chakra-ui/react';
import { motorAgainst } from '@/core/logbook';
import type { FaceProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FaceHead } from '../../kit/section';
import { Disconnect } from './disconnect';
import { InsulationTest } from './insulation-test';
import { UnbalanceTest } from './unbalance-test';
import { WindingTest } from './winding-test';

/** Motor and cable before a drive meets them. */
export function MotorFace({ jobId, store, goTo }: FaceProps) {
  const { motor, startUp } = store.state;
  const against = motorAgainst(startUp);
  return (
    <>
      <FaceHead title="Motor and cable">
        A new drive on a failed cable is a second dead drive: these come first.
      </FaceHead>
      {against.map((line) => (
        <Caution key={line} grave title="Held.">
          {line}
        </Caution>
      ))}
      {motor === null ? (
        <>
          <Text mb="2">The plate decides what is good enough.</Text>
          <Primary onClick={() => goTo('identify')}>Read the motor plate first</Primary>
        </>
      ) : startUp.disconnected === null ? (
        <Disconnect keep={(what) => store.record('motor.disconnected', what)} />
      ) : (
        <>
          <WindingTest
            tests={startUp.windings.map((w) => w.payload)}
            keep={(test) => store.record('motor.winding', test)}
          />
          <InsulationTest
            jobId={jobId}
            tests={startUp.insulations}
            earthed={startUp.earthed}
            ratedVolts={motor.plate.volts}
            keep={(test) => store.record('motor.insulation', test)}
            earth={(test, seconds) => store.record('motor.earthed', { test, seconds })}
          />
        </>
      )}
      <UnbalanceTest
        tests={startUp.unbalances.map((u) => u.payload)}
        keep={(test) => store.record('motor.unbalance', test)}
      />
    </>
  );
}
