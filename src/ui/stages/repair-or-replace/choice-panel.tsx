import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import {
  assumed,
  choiceFigures,
  choiceIds,
  choiceNames,
  commonFigures,
  decide,
  figureNames,
  type ChoiceFigure,
  type CommonFigure,
  type Situation,
} from '@/core/replacement/replacement';
import { timeTextOf } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { NumberField, TextField } from '../../kit/field';
import { StateMark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { dateTime } from '../../kit/time';
import { DecisionForm } from './decision-form';
import { ExpectedCost } from './expected-cost';
import { firstFigures } from './first-figures';
import { rangeFrom, rangeText } from './ranges';
import { recordOf } from '@/core/numerics/arrays';
import { Text } from '../../kit/text';

type Typed = Record<string, string>;

const shownUnit = (unit: string): string | undefined => (unit === 'money' ? undefined : unit);
const typedOf = (s: Situation): Typed => ({
  ...Object.fromEntries(commonFigures.map((f) => [f, rangeText(s.common[f])])),
  ...Object.fromEntries(
    choiceIds.flatMap((c) => choiceFigures.map((f) => [`${c}.${f}`, rangeText(s.choices[c][f])])),
  ),
});

/** What was typed as a situation; null while a figure cannot be read. */
function situationOf(typed: Typed, rest: Omit<Situation, 'common' | 'choices'>): Situation | null {
  const ranges = Object.fromEntries(Object.entries(typed).map(([k, text]) => [k, rangeFrom(text)]));
  if (Object.values(ranges).includes(undefined)) return null;
  const at = (key: string) => ranges[key] ?? null;
  return {
    ...rest,
    common: recordOf(commonFigures, at),
    choices: recordOf(choiceIds, (c) => recordOf(choiceFigures, (f) => at(`${c}.${f}`))),
  };
}

/** Repair, exchange, a newer type, or settings only: what each costs, what that depends on, and what the person decides. */
export function ChoicePanel({ store, catalogue, person }: StageProps) {
  const { swap } = store.state;
  const first = useMemo(() => firstFigures(store.state, catalogue), [store.state, catalogue]);
  const start = swap.figures ?? first;
  const [typed, setTyped] = useState<Typed>(() => typedOf(start));
  const [out, setOut] = useState(start.out);
  const [stands, setStands] = useState(start.standsMeanwhile);
  const [kept, setKept] = useState<string | null>(null);
  const situation = useMemo(
    () => situationOf(typed, { out, standsMeanwhile: stands, discontinued: start.discontinued }),
    [typed, out, stands, start.discontinued],
  );
  const decision = useMemo(() => (situation === null ? null : decide(situation)), [situation]);
  const made = swap.decision;
  const field = (key: string, of: ChoiceFigure | CommonFigure, label: string) => (
    <NumberField
      key={key}
      label={label}
      unit={shownUnit(figureNames[of].unit)}
      text={typed[key] ?? ''}
      placeholder={`${assumed[of][0]} to ${assumed[of][1]}`}
      error={rangeFrom(typed[key] ?? '') === undefined ? 'A value, or a range, e.g. 200 - 400' : undefined}
      set={(text) => {
        setKept(null);
        setTyped((t) => ({ ...t, [key]: text }));
      }}
    />
  );
  return (
    <>
      {made !== null && (
        <Box bg="paper" borderLeft="5px solid" borderColor="sound" px="3" py="2" mb="3">
          <Text fontWeight="600">
            <StateMark mark="sound" label={null} /> Decided: {choiceNames[made.payload.choice].toLowerCase()}
          </Text>
          <Text>
            {made.payload.reason} — {made.by.name}, {dateTime(timeTextOf(made))}
          </Text>
        </Box>
      )}
      <ExpectedCost decision={decision} />
      <Section title="Values">
        <Text mb="2" color="soft">
          One value, or a range: 200 to 400. Leave empty if not known. Money in your own currency.
        </Text>
        <FieldGrid min="160px">
          {field('stopPerHour', 'stopPerHour', 'Cost of an hour of downtime')}
          {field('workPerHour', 'workPerHour', 'Cost of an hour of work')}
          {field('bankAge_years', 'bankAge_years', 'Age of the capacitors')}
        </FieldGrid>
        <Tick
          label="Machine stopped while waiting for parts or a unit"
          checked={stands}
          onChange={setStands}
        />
        {choiceIds.map((c) => (
          <Box
            key={c}
            role="group"
            aria-label={choiceNames[c]}
            borderTop="1px solid"
            borderColor="line"
            pt="2"
          >
            <Tick
              label={choiceNames[c]}
              checked={out[c] === undefined}
              onChange={(on) => {
                const { [c]: _, ...others } = out;
                setOut(on ? others : { ...others, [c]: 'left out' });
              }}
            />
            {out[c] !== undefined ? (
              <FieldGrid min="240px">
                <TextField
                  label={`Why not: ${choiceNames[c].toLowerCase()}`}
                  text={out[c]}
                  maxLength={200}
                  set={(text) => setOut({ ...out, [c]: text })}
                />
              </FieldGrid>
            ) : (
              <FieldGrid min="150px">
                {field(`${c}.price`, 'price', c === 'repair' ? 'Parts' : c === 'settings' ? 'Parts' : 'Unit')}
                {field(`${c}.work_h`, 'work_h', 'Work')}
                {field(`${c}.lead_h`, 'lead_h', 'Delivery time')}
                {field(`${c}.stop_h`, 'stop_h', 'Downtime')}
                {field(`${c}.holds_percent`, 'holds_percent', 'Chance of success')}
              </FieldGrid>
            )}
          </Box>
        ))}
        <Secondary
          disabled={situation === null}
          onClick={() => {
            if (situation === null) return;
            const why = Object.entries(situation.out).map(([k, v]): [string, string] => [
              k,
              v.trim() === '' ? 'left out' : v.trim(),
            ]);
            store.record('decide.figures', { ...situation, out: Object.fromEntries(why) });
            setKept('Values saved.');
          }}
        >
          Save values
        </Secondary>
        <KeptNote text={kept} />
      </Section>
      <DecisionForm store={store} person={person} decision={decision} />
    </>
  );
}
