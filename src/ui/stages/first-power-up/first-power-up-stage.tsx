'use client';
import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { fedDrive, firstPowerUnit, hotOhm, lampsPerLeg, lampVolts } from '@/core/power-up/first-power';
import { levelsOf, powerLock } from '@/core/logbook';
import { circuitOf } from '@/core/power-up/waveform';
import { Levels } from '../../panels/diagnosis/levels';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { NotesPanel } from '../../panels/notes-panel';
import { Caution } from '../../kit/caution';
import { StageHead } from '../../kit/section';
import { Tabs } from '../../kit/tabs';
import { CapturePanel } from './capture-panel';
import { ConditionsForm, readConditions, usualConditions } from './conditions';
import { GatesPanel } from './gates-panel';
import { LampsPanel } from './lamps-panel';
import { MeasuredPanel } from './measured-panel';
import { PlanPanel } from './plan-panel';
import { Reforming } from './reforming';
import { ProbesForm } from './probes-form';
import { ScopePanel } from './scope-panel';
import { StopPicture } from './stop-picture';
import { SweepPanel } from './sweep-panel';
import { motorOf, runningOf, simulatedUnit } from './unit-words';
import { Text } from '../../kit/text';
import { useTerms } from '../../kit/terms';

const panels = [
  { id: 'plan', name: 'Switch on' },
  { id: 'scope', name: 'Pictures' },
  { id: 'measured', name: 'Measured' },
  { id: 'lamps', name: 'Lamps' },
  { id: 'sweep', name: 'Reference' },
  { id: 'gates', name: 'Gates' },
  { id: 'notes', name: 'Notes' },
] as const;
type Panel = (typeof panels)[number]['id'];

/** From the first volt on the bus to a unit that runs under load. */
export function FirstPowerUpStage(props: StageProps) {
  const { jobId, store, catalogue, goTo } = props;
  const { profile } = useTerms();
  const { motor, power, modules } = store.state;
  const identified = store.state.drive;
  const drive = useMemo(() => (identified === null ? null : fedDrive(identified)), [identified]);
  const [panel, setPanel] = useState<Panel>('plan');
  const [conditions, setConditions] = useState(() => usualConditions(profile));
  const lock = powerLock(store.state);
  const given = useMemo(() => {
    if (drive === null) return null;
    const known = readConditions(conditions);
    const unit = simulatedUnit(drive, catalogue, known);
    const ohm =
      0.7 * hotOhm({ volts: lampVolts, watts: known.lampWatts }) * lampsPerLeg(drive.supply_V, lampVolts);
    const running = runningOf(conditions.load, known.f1, known.share, motorOf(drive, motor), ohm);
    return { unit, running, ...circuitOf(unit, running) };
  }, [drive, motor, catalogue, conditions]);
  const plan = useMemo(() => (drive === null ? null : firstPowerUnit(drive)), [drive]);
  if (drive === null || given === null || plan === null)
    return (
      <>
        <StageHead title="First power-up">Expected values depend on the drive and its supply.</StageHead>
        <Primary onClick={() => goTo('identify')}>
          {identified === null
            ? 'Read the drive nameplate first'
            : 'Enter supply and capacitor bank under Nameplates first'}
        </Primary>
      </>
    );
  const { unit, running, given: sound, assumed } = given;
  const form = (
    <ConditionsForm value={conditions} set={setConditions} phases={drive.phases} assumed={assumed} />
  );
  const prechargeOhm = drive.stage.prechargeOhm;
  const needsProbes = power.probes === null;
  return (
    <>
      <StageHead title="First power-up">
        Current-limited by series lamps, compared with the expected values of this unit.
      </StageHead>
      {power.onAt !== null ? (
        <Caution grave title="Power is on.">
          Terminals are live; the capacitor bank stays charged afterwards.{' '}
          <Secondary onClick={() => store.record('power.off', {})}>Power off</Secondary>
        </Caution>
      ) : power.wasOn ? (
        <Caution title="Dead proof void after power on; prove dead again.">
          Before working inside again:{' '}
          <Secondary onClick={() => goTo('make-safe')}>Prove dead again</Secondary>
        </Caution>
      ) : (
        lock !== null && (
          <Caution grave signal={null} title="Locked.">
            {lock} Waveforms can be viewed; power stays off.
          </Caution>
        )
      )}
      <Reforming place={store.state.startUp.place} typeId={identified?.typeId ?? null} />
      <Levels levels={levelsOf(store.state)} />
      <Box mt="3">
        <Tabs label="Parts of first power-up" panels={panels} open={panel} choose={setPanel}>
          {panel === 'plan' && (
            <PlanPanel
              unit={plan}
              power={power}
              lock={lock}
              jobId={jobId}
              plan={(what) => store.record('power.planned', what)}
              on={(through) => store.record('power.on', { through })}
              off={() => store.record('power.off', {})}
              bus={(what) => store.record('power.bus', what)}
            />
          )}
          {(panel === 'scope' || panel === 'measured') && needsProbes && (
            <ProbesForm supply_V={drive.supply_V} keep={(what) => store.record('power.probes', what)} />
          )}
          {panel === 'scope' && !needsProbes && (
            <>
              <ProbesKept
                by={power.probes?.payload.by ?? 'meter-only'}
                volts={power.probes?.payload.ratedVolts ?? 0}
              />
              {form}
              <ScopePanel sound={sound} prechargeOhm={prechargeOhm} />
              {motor !== null && <StopPicture unit={unit} motor={motor} />}
            </>
          )}
          {panel === 'measured' && !needsProbes && (
            <>
              <ProbesKept
                by={power.probes?.payload.by ?? 'meter-only'}
                volts={power.probes?.payload.ratedVolts ?? 0}
              />
              {form}
              <CapturePanel
                sound={sound}
                running={running}
                prechargeOhm={prechargeOhm}
                kept={power.captures}
                keep={(what) => store.record('power.capture', what)}
              />
              <MeasuredPanel
                sound={sound}
                running={running}
                prechargeOhm={prechargeOhm}
                phases={drive.phases}
                keep={(what) => store.record('power.measured', what)}
              />
            </>
          )}
          {panel === 'lamps' && (
            <LampsPanel
              unit={unit}
              kept={power.lamps}
              wasOn={power.wasOn}
              keep={(what) => store.record('power.lamps', what)}
            />
          )}
          {panel === 'sweep' && (
            <SweepPanel
              kept={power.swept?.payload ?? null}
              wasOn={power.wasOn}
              keep={(what) => store.record('power.swept', what)}
            />
          )}
          {panel === 'notes' && <NotesPanel {...props} stage="first-power" bare />}
          {panel === 'gates' && (
            <GatesPanel
              kept={power.gates?.payload ?? null}
              needed={modules.length > 0}
              isOn={power.onAt !== null}
              keep={(what) => store.record('power.gates', what)}
            />
          )}
        </Tabs>
      </Box>
    </>
  );
}

const probeWords = {
  differential: 'Differential probes',
  'battery-scope': 'A battery scope with isolated inputs',
  'meter-only': 'A rated meter',
} as const;

/** The caution stays above every picture of a live terminal. */
const ProbesKept = ({ by, volts }: { by: keyof typeof probeWords; volts: number }) => (
  <Caution title={`${probeWords[by]}, rated ${volts} V, and nothing else.`}>
    <Text as="span">No earthed clip on a power terminal; never lift the earth of a scope.</Text>
  </Caution>
);
