import { Box, Text } from '@chakra-ui/react';
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
  type ChoiceId,
  type CommonFigure,
  type Costed,
  type Decision,
  type Situation,
} from '@/core/replacement/replacement';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Choice, Field, NumberField } from '../../kit/field';
import { PlainTable } from '../../kit/plain-table';
import { StateMark } from '../../kit/state-mark';
import { Tick } from '../../kit/tick';
import { dateTime } from '../../kit/time';
import { Disclosure } from '../../kit/why';
import { firstFigures } from './first-figures';
import { rangeFrom, rangeText } from './ranges';
import { recordOf } from '@/core/numerics/arrays';

type Typed = Record<string, string>;

const shownUnit = (unit: string): string | undefined => (unit === 'money' ? undefined : unit);
const money = (n: number): string => Math.round(n).toLocaleString('en-GB').replaceAll(',', ' ');

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

/** Expected costs as bars: from the least to the most, the middle as a mark. */
function CostRow({ costed, most, best }: { costed: Costed; most: number; best: boolean }) {
  const at = (n: number): string => `${(100 * Math.min(n, most)) / most}%`;
  return (
    <Box as="li" py="2" borderBottom="1px solid" borderColor="line">
      <Box display="flex" justifyContent="space-between" gap="3" flexWrap="wrap">
        <Text fontWeight={best ? 600 : 500}>
          {best && <StateMark mark="sound" label="least expected cost" />} {choiceNames[costed.id]}
        </Text>
        {costed.out === null ? (
          <Text fontFamily="mono" fontSize="1.3rem">
            {money(costed.cost.mid)}
            <Text as="span" fontSize="0.95rem" color="soft">
              {' '}
              {money(costed.cost.low)} to {money(costed.cost.high)} · {costed.stop_h.toFixed(1)} h stop
            </Text>
          </Text>
        ) : (
          <Text color="soft">Not possible: {costed.out}</Text>
        )}
      </Box>
      {costed.out === null && (
        <>
          <Box position="relative" height="14px" bg="paper" my="1" aria-hidden>
            <Box
              position="absolute"
              top="3px"
              height="8px"
              bg={best ? 'sound' : 'slate'}
              style={{
                left: at(costed.cost.low),
                width: `calc(${at(costed.cost.high)} - ${at(costed.cost.low)})`,
              }}
              opacity={0.55}
            />
            <Box
              position="absolute"
              top="0"
              height="14px"
              width="3px"
              bg="ink"
              style={{ left: at(costed.cost.mid) }}
            />
          </Box>
          <Disclosure label="the sum">
            {costed.sum.map((line) => (
              <Text key={line} fontFamily="mono" fontSize="0.9rem">
                {line}
              </Text>
            ))}
          </Disclosure>
        </>
      )}
    </Box>
  );
}

function Hinges({ decision }: { decision: Decision }) {
  const { matters, indifferent, best } = decision;
  if (best === null) return <Text>Nothing is possible as it stands.</Text>;
  const blank = matters.filter((m) => m.known === 'blank');
  return (
    <Box mt="3">
      <Text fontWeight="500">
        {matters.length === 0
          ? `Nothing that is not known changes it: ${choiceNames[best].toLowerCase()}.`
          : blank.length > 0
            ? `Find out first: ${blank[0]?.name ?? ''}.`
            : 'It hangs on figures that are known as ranges only.'}
      </Text>
      {matters.length > 0 && (
        <PlainTable heads={['Figure', 'Turns at', 'Then']}>
          {matters.slice(0, 6).map((m) => (
            <tr key={`${m.figure} ${m.when}`}>
              <td>
                {m.name}
                {m.known === 'blank' ? ' (not known)' : ''}
              </td>
              <td>
                {m.when} {m.unit === 'money' ? money(m.turnsAt) : `${m.turnsAt.toFixed(1)} ${m.unit}`}
              </td>
              <td>{choiceNames[m.then].toLowerCase()}</td>
            </tr>
          ))}
        </PlainTable>
      )}
      {indifferent.length > 0 && (
        <Disclosure label="not known, and it does not matter">{indifferent.join('; ')}.</Disclosure>
      )}
    </Box>
  );
}

/** Repair, exchange, a newer type, or settings only: what each costs, on what that hangs, and what the person decides. */
export function ChoicePanel({ store, catalogue, person }: StageProps) {
  const { swap, drive } = store.state;
  const first = useMemo(() => firstFigures(store.state, catalogue), [store.state, catalogue]);
  const start = swap.figures ?? first;
  const [typed, setTyped] = useState<Typed>(() => typedOf(start));
  const [out, setOut] = useState(start.out);
  const [stands, setStands] = useState(start.standsMeanwhile);
  const [reason, setReason] = useState('');
  const [chosen, setChosen] = useState<ChoiceId | null>(null);
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
      error={rangeFrom(typed[key] ?? '') === undefined ? 'A figure, or from - to' : undefined}
      set={(text) => {
        setKept(null);
        setTyped((t) => ({ ...t, [key]: text }));
      }}
    />
  );
  const most = Math.max(
    1,
    ...(decision?.choices.filter((c) => c.out === null).map((c) => c.cost.high) ?? []),
  );
  return (
    <>
      {made !== null && (
        <Box bg="paper" borderLeft="5px solid" borderColor="sound" px="3" py="2" mb="3">
          <Text fontWeight="600">
            <StateMark mark="sound" label={null} /> Decided: {choiceNames[made.payload.choice].toLowerCase()}
          </Text>
          <Text>
            {made.payload.reason} — {made.by.name}, {dateTime(made.receivedAt ?? made.at)}
          </Text>
        </Box>
      )}
      <Section title="Expected cost">
        {decision === null ? (
          <Text color="failed">A figure cannot be read: the table waits for it.</Text>
        ) : (
          <Box role="status" aria-label="Expected cost">
            <Box as="ul" listStyleType="none">
              {decision.choices.map((c) => (
                <CostRow key={c.id} costed={c} most={most} best={c.id === decision.best} />
              ))}
            </Box>
            <Hinges decision={decision} />
            <Disclosure>
              Price, work and stop, and what comes after it if it does not hold. In the middle of every range;
              what nobody knows runs over a wide one. A bank beyond eight years takes 5 % a year off whatever
              keeps it. Common practice, no source.
            </Disclosure>
          </Box>
        )}
      </Section>
      <Section title="Figures">
        <Text mb="2" color="soft">
          One figure, or a range: 200 to 400. Empty where nobody knows. Money in your own currency.
        </Text>
        <FieldGrid min="160px">
          {field('stopPerHour', 'stopPerHour', 'An hour of stop costs')}
          {field('workPerHour', 'workPerHour', 'An hour of work costs')}
          {field('bankAge_years', 'bankAge_years', 'Age of the bank')}
        </FieldGrid>
        <Tick
          label="The machine stands while one waits for parts or a unit"
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
                <Field
                  label={`Why not: ${choiceNames[c].toLowerCase()}`}
                  value={out[c]}
                  maxLength={200}
                  onChange={(e) => setOut({ ...out, [c]: e.target.value })}
                />
              </FieldGrid>
            ) : (
              <FieldGrid min="150px">
                {field(`${c}.price`, 'price', c === 'repair' ? 'Parts' : c === 'settings' ? 'Parts' : 'Unit')}
                {field(`${c}.work_h`, 'work_h', 'Work')}
                {field(`${c}.lead_h`, 'lead_h', 'Until it is there')}
                {field(`${c}.stop_h`, 'stop_h', 'Stop for it')}
                {field(`${c}.holds_percent`, 'holds_percent', 'Holds with')}
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
            setKept('The figures are kept.');
          }}
        >
          Keep the figures
        </Secondary>
        <KeptNote text={kept} />
      </Section>
      <Section title="The decision">
        <Text mb="2">
          The table weighs money and hours only. You decide
          {drive === null ? '' : ` about this ${drive.maker} ${drive.type}`}, and say why.
        </Text>
        <Choice<ChoiceId>
          label="Decided"
          value={chosen}
          onChange={setChosen}
          options={choiceIds.map((value) => ({ value, label: choiceNames[value] }))}
        />
        <Box my="3">
          <Field label="Reason" value={reason} maxLength={1000} onChange={(e) => setReason(e.target.value)} />
        </Box>
        <Primary
          disabled={chosen === null || reason.trim() === '' || person.role === 'apprentice'}
          onClick={() => {
            if (chosen === null) return;
            store.record('decide.made', {
              choice: chosen,
              reason: reason.trim(),
              costs: (decision?.choices ?? []).map((c) => ({
                choice: c.id,
                mid: c.out === null ? Math.round(c.cost.mid) : null,
                stop_h: Number(c.stop_h.toFixed(2)),
              })),
              cheapest: decision?.best ?? null,
            });
            setReason('');
          }}
        >
          {person.role === 'apprentice' ? 'A technician decides' : 'Keep the decision'}
        </Primary>
      </Section>
    </>
  );
}
