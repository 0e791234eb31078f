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
      why: `Active fault ${alarm.code}: ${alarm.name}.`,
      evidence: [{ what: 'active fault', said: alarm.code }],
    };
  const { busVolts } = live;
  if (busVolts === undefined)
    return {
      state: 'unknown',
      why: 'Bus voltage not read.',
      evidence: [],
      look: {
        what: 'Read the bus voltage on the display; with a dark display, measure the supply.',
        minutes: 1,
      },
    };
  const expected = peak * supply_V;
  if (busLevels === undefined && supply_V > highestClass_V)
    return {
      state: 'unknown',
      why: `No voltage class for ${supply_V} V: see the manual for the bus voltage at which it starts.`,
      evidence: [{ what: 'bus voltage', said: `${busVolts} V` }],
    };
  const { under_V } = busLevelsOf(supply_V, busLevels);
  const evidence = [
    {
      what: 'bus voltage',
      said: `${busVolts} V; ${supply_V} V rectified gives ${expected.toFixed(0)} V; below ${under_V} V the drive does not start`,
    },
  ];
  return busVolts >= under_V
    ? { state: 'closed', why: 'DC bus charged.', evidence }
    : { state: 'open', why: 'DC bus not charged: check supply, fuses, contactor, precharge.', evidence };
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
    ? { state: 'open', why: 'Precharge not finished: the precharge relay has not closed.', evidence }
    : { state: 'closed', why: 'Charged.', evidence };
}

/** Is no trip standing? */
export function trip({ live, control }: ChainFacts): LinkJudgement {
  if (live.alarm === undefined)
    return {
      state: 'unknown',
      why: 'The active fault was not read.',
      evidence: [],
      look: { what: 'Read the display: is there a fault?', minutes: 1 },
    };
  const evidence = [{ what: 'active fault', said: live.alarm ?? 'none' }];
  if (live.alarm === null) return { state: 'closed', why: 'No trip.', evidence };
  const alarm = control.alarms.find((a) => a.code === live.alarm);
  if (alarm?.latched === false) return { state: 'closed', why: `${alarm.name}: warning, no trip.`, evidence };
  return {
    state: 'open',
    why: `Tripped: ${alarm?.name ?? live.alarm}. Remove the cause, then reset.`,
    evidence,
  };
}
