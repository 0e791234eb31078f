import dynamic from 'next/dynamic';
import { peakBusVolts } from '@/core/bench/discharge';
import { unknownWait_min } from '@/core/bench/make-safe';
import { isStated } from '@/core/equipment/power-stage';
import type { Payload } from '@/core/logbook';
import { countdown } from '../../kit/time';
import type { StageProps } from '../../job-store/stage-props';
import { SafetyStep } from './steps';
import { Text } from '../../kit/text';

const DischargeChart = dynamic(() => import('./discharge-chart'), {
  ssr: false,
  loading: () => <Text>calculating the curve…</Text>,
});

/** The time on the label, and the curve the bank should follow meanwhile. */
export function LabelWait({
  drive,
  safety,
  limits,
  now,
  over,
  waited,
}: Pick<StageProps, 'limits'> & {
  drive: Payload<'identify.drive'>;
  safety: StageProps['store']['state']['safety'];
  now: number;
  /** When the wait ends, ms; null before isolation. */
  over: number | null;
  /** It has ended. */
  waited: boolean;
}) {
  const bankKnown = isStated(drive.stage, 'capacitance_uF') && isStated(drive.stage, 'bleederOhm');
  return (
    <SafetyStep
      n={3}
      title={
        drive.labelWait_min === null
          ? `Wait ${unknownWait_min} min: discharge time not known`
          : `Discharge time: ${drive.labelWait_min} min`
      }
      mark={waited ? 'sound' : 'unprobed'}
      summary={
        over === null ? '' : waited ? 'time passed; measure now' : `${countdown((over - now) / 1000)} left`
      }
      open={safety.locked !== null && safety.meterBefore === null}
    >
      {drive.supply_V !== null && bankKnown ? (
        <DischargeChart
          bank={drive.stage}
          startVolts={peakBusVolts(drive.supply_V)}
          limits={limits}
          elapsed_s={safety.locked === null || now === 0 ? null : (now - safety.locked.isolatedAt) / 1000}
        />
      ) : (
        <Text>Supply, bank or bleeder not known: no curve. Only readings count.</Text>
      )}
    </SafetyStep>
  );
}
