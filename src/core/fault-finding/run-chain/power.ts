// The links that have nothing to do with control: supply, precharge, trips.
import { busLevelsOf, highestClass_V } from '../../equipment/power-stage';
import type { ChainFacts, LinkJudgement } from './facts';

/** Bus volts of a rectified supply under no load: its peak (any textbook). */
const peak = Math.SQRT2;

/** Is the supply there, and high enough? */
export function supply({ live, supply_V, busLevels, control }: ChainFacts): LinkJudgement {
  const alarm = control.alarms.find((a) => a.code === live.alarm);
  if (alarm?.family === 'input-phase-loss' || alarm?.family === 'undervoltage')
    return {
      state: 'open',
      why: `The unit says ${alarm.code}: ${alarm.name}.`,
      evidence: [{ what: 'active alarm', said: alarm.code }],
    };
  const { busVolts } = live;
  if (busVolts === undefined)
    return {
      state: 'unknown',
      why: 'Bus volts were not read.',
      evidence: [],
      look: {
        what: 'Read the bus voltage on the display; a dark display needs the supply measured.',
        minutes: 1,
      },
    };
  const expected = peak * supply_V;
  if (busLevels === undefined && supply_V > highestClass_V)
    return {
      state: 'unknown',
      why: `There is no voltage class for ${supply_V} V: at what bus volts it starts stands in its manual.`,
      evidence: [{ what: 'bus voltage', said: `${busVolts} V` }],
    };
  const { under_V } = busLevelsOf(supply_V, busLevels);
  const evidence = [
    {
      what: 'bus voltage',
      said: `${busVolts} V; ${supply_V} V rectified peaks at ${expected.toFixed(0)} V, below ${under_V} V it does not start`,
    },
  ];
  return busVolts >= under_V
    ? { state: 'closed', why: 'The bus is up.', evidence }
    : { state: 'open', why: 'The bus is not up: supply, fuses, contactor, precharge.', evidence };
}

/** Is the bank charged and the precharge bridged? */
export function precharge({ live }: ChainFacts): LinkJudgement {
  const evidence = live.state === undefined ? [] : [{ what: 'state', said: live.state }];
  if (live.state === undefined)
    return {
      state: 'unknown',
      why: 'The state was not read.',
      evidence,
      look: { what: 'Read the state on the display.', minutes: 1 },
    };
  return live.state === 'off' || live.state === 'precharge'
    ? { state: 'open', why: 'The unit still charges its bank: the bypass relay has not closed.', evidence }
    : { state: 'closed', why: 'Charged.', evidence };
}

/** Is no trip standing? */
export function trip({ live, control }: ChainFacts): LinkJudgement {
  if (live.alarm === undefined)
    return {
      state: 'unknown',
      why: 'The active alarm was not read.',
      evidence: [],
      look: { what: 'Read the display: is there an alarm?', minutes: 1 },
    };
  const evidence = [{ what: 'active alarm', said: live.alarm ?? 'none' }];
  if (live.alarm === null) return { state: 'closed', why: 'No trip.', evidence };
  const alarm = control.alarms.find((a) => a.code === live.alarm);
  if (alarm?.latched === false)
    return { state: 'closed', why: `${alarm.name}: a warning, no trip.`, evidence };
  return {
    state: 'open',
    why: `Tripped: ${alarm?.name ?? live.alarm}. It stays until it is reset, and comes back until its cause is gone.`,
    evidence,
  };
}
