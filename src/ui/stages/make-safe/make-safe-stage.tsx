'use client';
import { Box } from '@chakra-ui/react';
import { benchLock, missingSteps, proofOf, waitOver, type MeterReading } from '@/core/logbook';
import { unknownWait_min, unsafeSources } from '@/core/bench/make-safe';
import { isStated } from '@/core/equipment/power-stage';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead } from '../../kit/section';
import { dateTime } from '../../kit/time';
import { useNow } from '../../kit/use-now';
import type { StageProps } from '../../job-store/stage-props';
import { DischargeTool } from './discharge-tool';
import { LabelWait } from './label-wait';
import { LockAndTag } from './lock-and-tag';
import { BenchGate, Notices, ProveDead } from './make-safe-parts';
import { MeterProof } from './meter-proof';
import { BareUnit, nothingFeeds } from './bare-unit';
import { SourcesGrid } from './sources-grid';
import { SourceBack, SafetyStep } from './steps';
import { Text } from '../../kit/text';

const meterWords = (shown: MeterReading | null): string =>
  shown === null ? '' : `${shown.dc_V} V DC${shown.ac_V === null ? '' : `, ${shown.ac_V} V AC`}`;

/** Sources met on earlier jobs, and a bypass that whoever took the call named: it need not be found out a second time. */
const knownHere = (
  met: readonly string[],
  opened: StageProps['store']['state']['opened'],
): readonly string[] => (opened?.payload.bypass === 'yes' ? [...met, 'bypass'] : met);

/** Making safe with measured figures; nothing here is a mere tick. */
export function MakeSafeStage({ store, person, limits, knownSources, goTo }: StageProps) {
  const now = useNow(store.clockOffset_ms);
  const { drive, safety, opened } = store.state;
  if (drive === null)
    return (
      <>
        <StageHead title="Make safe">The test points depend on the drive.</StageHead>
        <Primary onClick={() => goTo('identify')}>Read the drive nameplate first</Primary>
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
  const bankVolts = proof.bank_V ?? 0;

  return (
    <>
      <StageHead title="Make safe">
        {drive.maker} {drive.type}. Local rules and qualified persons take precedence over this page.
      </StageHead>
      <Caution
        title="The capacitor bank stays charged after switching off."
        grave={bankVolts > limits.hands_V}
      >
        Work inside only at {limits.hands_V} V or less, diode and resistance test only at {limits.test_V} V or
        less. Use a contact tester rated for the circuit; no non-contact tester. An STO input is not
        isolation.
      </Caution>
      <Notices
        apprentice={apprentice}
        mine={mine}
        safety={safety}
        complete={proof.complete}
        labelWait_min={drive.labelWait_min ?? unknownWait_min}
      />

      <SafetyStep
        n={1}
        title="Energy sources"
        mark={sourcesDone ? 'sound' : unsafe === null ? 'unprobed' : 'failed'}
        summary={
          unsafe === null ? '' : unsafe.length === 0 ? 'isolated or absent' : `${unsafe.length} not safe`
        }
        open={!sourcesDone}
      >
        <BareUnit
          // Before the server's clock is known no wait can begin.
          disabled={apprentice || now === 0}
          keep={() => {
            store.record('safety.sources', { sources: nothingFeeds, place: 'bare' });
            store.record('safety.locked', {
              isolatedAt: new Date(now).toISOString(),
              tag: 'no lead connected',
            });
          }}
        />
        <Text mb="2">Otherwise, for every source:</Text>
        <SourcesGrid
          key={safety.sources?.at ?? 0}
          known={knownHere(knownSources, opened)}
          current={safety.place === 'bare' ? [] : list}
          disabled={apprentice}
          keep={(sources) => store.record('safety.sources', { sources, place: 'installed' })}
        />
      </SafetyStep>

      <SafetyStep
        n={2}
        title="Lock and tag"
        mark={safety.locked === null ? 'unprobed' : 'sound'}
        summary={
          safety.locked === null ? '' : `${safety.locked.tag}, since ${dateTime(safety.locked.isolatedAt)}`
        }
        open={sourcesDone && safety.locked === null}
      >
        <LockAndTag
          now={now}
          disabled={apprentice || !sourcesDone || now === 0}
          keep={(what) => store.record('safety.locked', what)}
        />
      </SafetyStep>

      <LabelWait {...{ drive, safety, limits, now, over, waited }} />

      <SafetyStep
        n={4}
        title="Prove the meter"
        mark={safety.meterBefore === null ? 'unprobed' : 'sound'}
        summary={meterWords(safety.meterBefore)}
        open={waited && safety.meterBefore === null}
      >
        <MeterProof
          when="before"
          supply_V={drive.supply_V}
          place={safety.place}
          disabled={apprentice || !waited}
          keep={(p) => store.record('safety.meter-proof', p)}
        />
      </SafetyStep>

      <ProveDead store={store} drive={drive} limits={limits} now={now} disabled={apprentice} />

      {bankVolts > limits.test_V && (
        <SafetyStep
          n={6}
          title="The capacitor bank does not discharge"
          mark="doubt"
          summary={`${bankVolts} V`}
          open
        >
          <DischargeTool
            capacitance_uF={isStated(drive.stage, 'capacitance_uF') ? drive.stage.capacitance_uF : null}
            volts={bankVolts}
            keep={(startVolts, ohm) => store.record('safety.discharged', { startVolts, ohm })}
          />
        </SafetyStep>
      )}

      <SafetyStep
        n={bankVolts > limits.test_V ? 7 : 6}
        title="Prove the meter again"
        mark={safety.meterAfter === null ? 'unprobed' : 'sound'}
        summary={meterWords(safety.meterAfter)}
        open={left.length === 0 && safety.meterAfter === null}
      >
        <MeterProof
          when="after"
          supply_V={drive.supply_V}
          place={safety.place}
          sources={safety.meterBefore?.source ?? null}
          disabled={apprentice || left.length > 0}
          keep={(p) => store.record('safety.meter-proof', p)}
        />
      </SafetyStep>

      <BenchGate lock={lock} highest_V={proof.highest_V} goOn={() => goTo('bench')} />
      <Box mt="6">
        <SourceBack keep={(kind) => store.record('safety.source-back', { kind })} />
      </Box>
    </>
  );
}
