import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import {
  figureWords,
  isStepSettled,
  runState,
  waitsFor,
  type CommissioningStep,
} from '@/core/commissioning/commissioning';
import type { Payload } from '@/core/logbook';
import { Secondary } from '../../kit/buttons';
import { StateMark } from '../../kit/state-mark';
import type { Watched } from './evidence';
import { RunStep, type Keep } from './run-step';
import { Text } from '../../kit/text';

/** The commissioning run, a step at a time; any step may be taken. */
export function RunPanel({
  steps,
  results,
  plate_A,
  watched,
  keep,
}: {
  steps: readonly CommissioningStep[];
  results: readonly Payload<'commission.step'>[];
  plate_A: number;
  watched: Watched;
  keep: Keep;
}) {
  const [taken, setTaken] = useState<string | null>(null);
  const { next, open, failed } = runState(steps, results);
  const newest = new Map(results.map((r) => [r.step, r]));
  const asked = steps.find((s) => s.id === taken) ?? next;
  return (
    <>
      <Text role="status" mb="3" fontWeight="500">
        {open.length === 0
          ? 'All steps done.'
          : `${open.length} of ${steps.length} steps are open${failed.length > 0 ? `, ${failed.length} failed` : ''}.`}
      </Text>
      {asked !== null && (
        <RunStep
          key={asked.id}
          step={asked}
          waits={waitsFor(asked, steps, results)}
          plate_A={plate_A}
          watched={watched}
          take={setTaken}
          keep={(result) => {
            keep(result);
            // What is not right stays open before one's eyes.
            setTaken(result.outcome === 'not-ok' ? result.step : null);
          }}
        />
      )}
      <Box as="ol" aria-label="Steps of the run" listStyleType="none">
        {steps.map((s) => {
          const result = newest.get(s.id);
          const settled = isStepSettled(s, result);
          const wrong = result?.outcome === 'not-ok';
          return (
            <Box as="li" key={s.id}>
              <Secondary
                width="100%"
                justifyContent="flex-start"
                textAlign="left"
                border="0"
                aria-pressed={asked?.id === s.id}
                onClick={() => setTaken(s.id)}
              >
                <StateMark
                  mark={settled ? 'sound' : wrong ? 'failed' : 'unprobed'}
                  label={settled ? 'settled' : wrong ? 'failed' : 'open'}
                />
                {s.title}
                <Text as="span" color="soft" fontWeight="400">
                  {settled && result?.outcome === 'not-there'
                    ? 'not there'
                    : settled && result?.seenBy === 'link'
                      ? 'seen over the link'
                      : (result === undefined ? '' : figureWords(result).join(', ')) || s.group}
                </Text>
              </Secondary>
            </Box>
          );
        })}
      </Box>
    </>
  );
}
