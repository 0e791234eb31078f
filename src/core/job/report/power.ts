import { judgeGates, judgeLamps, judgeSweep } from '../../power-up/first-power';
import { balancedOnLamps, runsUnderLoad, timeOf, type JobState } from '../../logbook';
import { minuteOf, part, type ReportCurve, type ReportPart } from './report';

const levelWords = {
  yes: 'yes',
  no: 'no',
  doubt: 'not fully proven',
  'not signed': 'not signed',
  'not tested': 'not tested',
} as const;

/** First power and what was measured under power; nothing where it was never planned. */
export function powerPart(state: JobState): ReportPart[] {
  const { power } = state;
  const plan = power.planned?.payload;
  const said = [...power.measured, ...power.captures].sort((a, b) => timeOf(a) - timeOf(b));
  if (plan === undefined && said.length === 0 && !power.wasOn) return [];
  return part(
    'power',
    'First power-up',
    [
      `Balanced on lamps: ${levelWords[balancedOnLamps(state)]}.`,
      `Runs under load: ${levelWords[runsUnderLoad(state)]}.`,
      ...(power.gates === null
        ? []
        : [`Gate drives: ${judgeGates(power.gates.payload).verdict.replace('-', ' ')}.`]),
      ...(plan === undefined
        ? []
        : [
            `Planned ${plan.way.by === 'lamps' ? `through lamps of ${plan.way.watts} W` : `on a supply limited to ${plan.way.amps} A`}: bus at rest ${plan.expected_V} V, off below ${plan.stopBelow_V} V after ${plan.stopAfter_s} s.`,
          ]),
      ...(power.swept === null ? [] : [`Reference: ${judgeSweep(power.swept.payload).text}`]),
      ...said.map(
        (m) =>
          `${minuteOf(timeOf(m))}, ${m.by.name}${m.kind === 'power.capture' ? `, capture ${m.payload.name}` : ''}: ${m.payload.conclusion.headline}`,
      ),
    ],
    {
      heads: ['Lamps at, Hz', 'U-V, V-W, W-U', 'U, V, W', 'Verdict'],
      rows: power.lamps.map(({ payload }) => [
        String(payload.hz),
        `${payload.volts.join(' / ')} V`,
        payload.amps === null ? 'not measured' : `${payload.amps.join(' / ')} A`,
        judgeLamps(payload).text,
      ]),
    },
  );
}

/** The bus as it came up, where it was measured more than once. */
export const powerCurves = ({ power }: JobState): ReportCurve[] =>
  power.bus.length < 2
    ? []
    : [
        {
          title: 'Bus at first power',
          x: { label: 'time', unit: 's' },
          y: { label: 'bus', unit: 'V' },
          series: [{ name: 'measured', points: power.bus.map((b): [number, number] => [b.at_s, b.volts]) }],
        },
      ];
