import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import {
  lampWatts,
  planFirstPower,
  type FirstPowerUnit,
  type Way,
  type FirstPowerPlan,
} from '@/core/power-up/first-power';
import type { JobState, Payload, PowerState } from '@/core/logbook';
import { useDraftText } from '../../kit/draft-text';
import { FileLink } from '../../kit/file-link';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid, Section } from '../../kit/section';
import { Choice, NumberField, Select, optionsOf } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { WaveChart } from './wave-chart';
import { Cell, Item, Text } from '../../kit/text';

/** Switching on by the plan that was kept, and the bus while it comes up. */
function SwitchOn({
  power,
  planned,
  lock,
  on,
  off,
  bus,
}: {
  power: PowerState;
  planned: Payload<'power.planned'>;
  lock: string | null;
  on: (through: Payload<'power.on'>['through']) => void;
  off: () => void;
  bus: (what: Payload<'power.bus'>) => void;
}) {
  const [at, setAt] = useState('');
  const [volts, setVolts] = useDraftText('bus after switching on');
  const isOn = power.onAt !== null;
  const seen = figureFrom(volts);
  const when = figureFrom(at);
  const last = power.bus[power.bus.length - 1];
  // It was switched on by the plan that was kept, whatever is tried out above since.
  const tooLow = last !== undefined && last.at_s >= planned.stopAfter_s && last.volts < planned.stopBelow_V;
  const { stopAbove_V = Infinity } = planned;
  const tooHigh = last !== undefined && last.volts > stopAbove_V;
  return (
    <Section title={isOn ? 'It is switched on' : 'Switch on'}>
      {!isOn ? (
        <>
          <Caution grave title="Covers on, nobody near.">
            Stand to the side, one hand on the isolator. Local codes and licensed practice take precedence
            over this page.
          </Caution>
          {lock !== null && (
            <Text role="status" color="failed" fontWeight="500" mb="2">
              {lock}
            </Text>
          )}
          <Box display="flex" flexWrap="wrap" gap="3">
            <Primary disabled={lock !== null} onClick={() => on(planned.way.by)}>
              Switch on through{' '}
              {planned.way.by === 'lamps'
                ? `the lamps of ${planned.way.watts} W`
                : `a supply limited to ${planned.way.amps} A`}
            </Primary>
            {power.wasOn && (
              <Secondary disabled={lock !== null || !power.cameUp} onClick={() => on('supply')}>
                Switch on full supply
              </Secondary>
            )}
          </Box>
          {power.wasOn && !power.cameUp && (
            <Text mt="2">
              Full supply only after a bus reading of {planned.stopBelow_V}–{planned.stopAbove_V} V on lamps
              or a limited supply.
            </Text>
          )}
        </>
      ) : (
        <>
          {(tooLow || tooHigh) && (
            <Caution grave title="Switch off.">
              {tooLow
                ? `${last.volts} V after ${last.at_s} s: below ${planned.stopBelow_V} V there is a load or short on the bus.`
                : `${last.volts} V: more than this supply can produce through a rectifier. Check supply and meter.`}
            </Caution>
          )}
          <FieldGrid>
            <NumberField label="After" unit="s" text={at} set={setAt} />
            <NumberField label="Bus" unit="V" text={volts} set={setVolts} />
          </FieldGrid>
          <Box display="flex" flexWrap="wrap" gap="3">
            <Primary
              waitsFor={
                seen === null || when === null || seen < 0 || when < 0
                  ? 'Enter seconds after switching on, and bus voltage.'
                  : null
              }
              onClick={() => {
                if (seen === null || when === null) return;
                bus({ at_s: when, volts: seen });
                setVolts('');
              }}
            >
              Save bus reading
            </Primary>
            <Secondary onClick={off}>Power off</Secondary>
          </Box>
        </>
      )}
    </Section>
  );
}

/** What is put in, what the bus should do, and when to switch off. */
function PlanFigures({ made }: { made: FirstPowerPlan }) {
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="6" mb="3">
        {[
          ['bus at rest', `${Math.round(made.charge.final_V)} V`],
          ['off when above', `${made.stopAbove_V} V`],
          ['off when below', `${made.stopBelow_V} V`],
          ['after', `${made.stopAfter_s} s`],
        ].map(([name, value]) => (
          <Box key={name}>
            <Text color="soft" fontSize="0.9rem">
              {name}
            </Text>
            <Text fontFamily="mono" fontSize="2rem" lineHeight="1.1">
              {value}
            </Text>
          </Box>
        ))}
      </Box>
      <Text fontFamily="heading" fontWeight="500">
        Switch off at once when
      </Text>
      <Box as="ul" pl="5" mb="3" css={{ listStyle: 'disc' }}>
        {made.stops.map((s) => (
          <Item key={s}>{s}</Item>
        ))}
      </Box>
    </>
  );
}

/** The bus of first power: what to put in the lines, what it should do, when to stop; then what it did. */
export function PlanPanel({
  unit,
  power,
  lock,
  jobId,
  plan,
  on,
  off,
  bus,
}: {
  unit: FirstPowerUnit;
  power: JobState['power'];
  lock: string | null;
  jobId: string;
  plan: (what: Payload<'power.planned'>) => void;
  on: (through: Payload<'power.on'>['through']) => void;
  off: () => void;
  bus: (what: Payload<'power.bus'>) => void;
}) {
  const kept = power.planned?.payload.way ?? null;
  const [by, setBy] = useState<Way['by']>(kept?.by ?? 'lamps');
  const [watts, setWatts] = useState<string>(kept?.by === 'lamps' ? String(kept.watts) : 'auto');
  const [limit, setLimit] = useState(kept?.by === 'limit' ? String(kept.amps) : '1');
  const way = useMemo((): Way | null => {
    if (by === 'limit') return { by: 'limit', amps: numberFrom(limit) ?? 1 };
    return watts === 'auto' ? null : { by: 'lamps', watts: Number(watts) };
  }, [by, watts, limit]);
  const made = useMemo(() => planFirstPower(unit, way), [unit, way]);
  const planned = power.planned?.payload ?? null;
  const noLimit = by === 'limit' && numberFrom(limit) === null;
  const points = made.charge.points;
  const seconds = Math.max(2 * made.stopAfter_s, 2);
  const shown = points.filter((p) => p.t <= seconds);
  const lanes = [
    {
      id: 'bus',
      name: 'Bus',
      unit: 'V',
      curves: [
        {
          name: 'expected',
          style: 'now' as const,
          t: Float64Array.from(shown, (p) => p.t),
          v: Float64Array.from(shown, (p) => p.volts),
        },
        ...(power.bus.length > 0
          ? [
              {
                name: 'measured',
                style: 'measured' as const,
                t: Float64Array.from(power.bus, (p) => p.at_s),
                v: Float64Array.from(power.bus, (p) => p.volts),
              },
            ]
          : []),
      ],
    },
  ];
  return (
    <>
      <Section title="First power-up plan">
        <FieldGrid>
          <Choice
            label="Current limited by"
            value={by}
            onChange={setBy}
            options={optionsOf({
              lamps: 'lamps in each line',
              limit: 'a limited supply',
            })}
          />
          {by === 'lamps' ? (
            <Select
              label="Lamps"
              value={watts}
              onChange={setWatts}
              options={[
                { value: 'auto', label: 'smallest sufficient' },
                ...lampWatts.map((w) => ({ value: String(w), label: `${w} W` })),
              ]}
            />
          ) : (
            <NumberField
              label="Limit in each line"
              unit="A"
              text={limit}
              error={noLimit ? 'A value above zero; drawn at 1' : undefined}
              set={setLimit}
            />
          )}
        </FieldGrid>
        <Text fontWeight="600" fontSize="1.15rem" mb="2">
          {made.setUp}
        </Text>
        <PlanFigures made={made} />
        <WaveChart
          name="Bus voltage during power-up"
          lanes={lanes}
          axis="s"
          words={{ now: 'expected (solid)' }}
        />
        <PlainTable heads={['', '', 'sum']}>
          {made.sums.map((s) => (
            <tr key={s.what}>
              <Cell>{s.what}</Cell>
              <Cell style={{ fontWeight: 600 }}>{s.value}</Cell>
              <Cell>{s.sum}</Cell>
            </tr>
          ))}
        </PlainTable>
        <Box display="flex" flexWrap="wrap" gap="3" mt="3">
          <Primary
            disabled={noLimit}
            onClick={() =>
              plan({
                way: made.way,
                expected_V: Math.round(made.charge.final_V),
                stopBelow_V: made.stopBelow_V,
                stopAbove_V: made.stopAbove_V,
                stopAfter_s: made.stopAfter_s,
              })
            }
          >
            Save plan
          </Primary>
          {power.planned !== null && (
            <FileLink href={`/api/v1/jobs/${jobId}/first-power?form=pdf`}>Plan as PDF</FileLink>
          )}
        </Box>
      </Section>
      {planned !== null && (
        <SwitchOn power={power} planned={planned} lock={lock} on={on} off={off} bus={bus} />
      )}
    </>
  );
}
