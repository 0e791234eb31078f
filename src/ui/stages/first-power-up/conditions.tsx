import { Box } from '@chakra-ui/react';
import { formatSignificant } from '@/core/numerics/figures';
import type { Assumed } from '@/core/power-up/waveform';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, Select, optionsOf } from '../../kit/field';
import { figureFrom, numberFrom } from '../../kit/number-from';
import { PlainTable } from '../../kit/plain-table';
import { Tick } from '../../kit/tick';
import { Disclosure } from '../../kit/why';
import type { TestLoadKind } from './unit-words';
import { Cell, Text } from '../../kit/text';
import { supplyFrequencies_Hz, type TermsProfile } from '@/core/terms';
import { useTerms } from '../../kit/terms';

/** What the person says of supply and load; text until it is read. */
export interface Conditions {
  load: TestLoadKind;
  f1: string;
  share: string;
  lampWatts: string;
  supply_Hz: '50' | '60';
  choke: boolean;
  volts: readonly [string, string, string];
}

/** What is usual where these terms are. */
export const usualConditions = (terms: TermsProfile): Conditions => ({
  load: 'motor',
  f1: '40',
  share: '70',
  lampWatts: '100',
  supply_Hz: supplyFrequencies_Hz[terms][0] === 60 ? '60' : '50',
  choke: false,
  volts: ['', '', ''],
});

/** The figures of it, where they can be read; what cannot is the usual. */
export function readConditions(c: Conditions) {
  const f1 = numberFrom(c.f1);
  const share = figureFrom(c.share);
  const volts = c.volts.map(numberFrom);
  const [a, b, d] = volts;
  return {
    f1: f1 !== null && f1 <= 400 && f1 >= 2 ? f1 : 40,
    share: share !== null && share >= 0 && share <= 200 ? share / 100 : 0.7,
    lampWatts: numberFrom(c.lampWatts) ?? 100,
    supply_Hz: Number(c.supply_Hz),
    choke: c.choke,
    measured_V: a && b && d ? ([a, b, d] as const) : null,
  };
}

const wrongHz = (text: string): string | undefined => {
  const hz = numberFrom(text);
  return hz !== null && hz >= 2 && hz <= 400 ? undefined : 'From 2 to 400 Hz; drawn at 40';
};
const wrongShare = (text: string): string | undefined => {
  const share = figureFrom(text);
  return share !== null && share >= 0 && share <= 200 ? undefined : 'From 0 to 200 %; drawn at 70';
};

const wrongVolts = (text: string): string | undefined =>
  text.trim() === '' || numberFrom(text) !== null
    ? undefined
    : 'A value above zero; otherwise the nameplate value is used';

const hertz = [
  { value: '50', label: '50 Hz' },
  { value: '60', label: '60 Hz' },
] as const;

/** Supply and load, and what was assumed besides. */
export function ConditionsForm({
  value,
  set,
  phases,
  assumed,
}: {
  value: Conditions;
  set: (next: Conditions) => void;
  phases: 1 | 3;
  assumed: readonly Assumed[];
}) {
  const { profile } = useTerms();
  const put = (change: Partial<Conditions>) => set({ ...value, ...change });
  const volt = (k: number, text: string) => {
    const typed = (i: number): string => (i === k ? text : (value.volts[i] ?? ''));
    put({ volts: [typed(0), typed(1), typed(2)] });
  };
  return (
    <Box mb="4">
      <Box mb="3">
        <Choice
          label="Load type"
          value={value.load}
          onChange={(load) => put({ load })}
          options={optionsOf({ motor: 'its motor', lamps: 'three lamps', none: 'nothing' })}
        />
      </Box>
      <FieldGrid min="170px">
        <NumberField
          label="Reference"
          unit="Hz"
          text={value.f1}
          error={wrongHz(value.f1)}
          set={(f1) => put({ f1 })}
        />
        {value.load === 'motor' && (
          <NumberField
            label="Load, of motor rating"
            unit="%"
            text={value.share}
            error={wrongShare(value.share)}
            set={(share) => put({ share })}
          />
        )}
        {value.load === 'lamps' && (
          <NumberField
            label="Each lamp"
            unit="W"
            text={value.lampWatts}
            error={numberFrom(value.lampWatts) === null ? 'A value above zero; drawn with 100' : undefined}
            set={(lampWatts) => put({ lampWatts })}
          />
        )}
        <Select
          label="Supply frequency"
          value={value.supply_Hz}
          onChange={(supply_Hz) => put({ supply_Hz })}
          options={profile === 'us' ? hertz.toReversed() : hertz}
        />
      </FieldGrid>
      {phases === 3 && (
        <FieldGrid min="120px">
          {(['L1 to L2', 'L2 to L3', 'L3 to L1'] as const).map((pair, k) => (
            <NumberField
              key={pair}
              label={`Supply ${pair}`}
              unit="V"
              text={value.volts[k] ?? ''}
              {...(k === 0 ? { hint: 'all three if measured; otherwise the nameplate value' } : {})}
              error={wrongVolts(value.volts[k] ?? '')}
              set={(text) => volt(k, text)}
            />
          ))}
        </FieldGrid>
      )}
      <Tick label="DC-link choke fitted" checked={value.choke} onChange={(choke) => put({ choke })} />
      <Disclosure label="assumptions">
        <Text mb="1">Not on any plate; waveforms and diagnosis allow a tolerance for these.</Text>
        <PlainTable heads={['what', 'assumed as', 'why']}>
          {assumed.map((a) => (
            <tr key={a.what}>
              <Cell>{a.what}</Cell>
              <Cell>
                {formatSignificant(a.value)} {a.unit}
              </Cell>
              <Cell>{a.why}</Cell>
            </tr>
          ))}
        </PlainTable>
      </Disclosure>
    </Box>
  );
}
