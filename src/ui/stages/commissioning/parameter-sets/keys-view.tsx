import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import type { Control } from '@/core/equipment/catalogue';
import type { Rating } from '@/core/equipment/drive-words';
import { pressWords, type KeyPlan, type KeyStep } from '@/core/parameter-sets/keypad';
import { countOf, type KeptSet, type SeenDrive } from '@/core/logbook';
import { factorySet, fittedWith, type UnitSet } from '@/core/parameter-sets/parameters';
import type { KeyPlanWorker } from '@/workers/key-plan.worker';
import { Secondary } from '../../../kit/buttons';
import { Caution } from '../../../kit/caution';
import { Select } from '../../../kit/field';
import { Tick } from '../../../kit/tick';
import { dateTime } from '../../../kit/time';
import { useLatest } from '../../../kit/use-latest';
import { Disclosure } from '../../../kit/why';
import { KeyCaps } from './key-caps';
import { SkippedValues } from './plan-view';
import { setWords } from './set-chooser';
import { useTicks } from './use-ticks';
import { Text } from '../../../kit/text';

const start = () =>
  new Worker(new URL('../../../../workers/key-plan.worker.ts', import.meta.url), { type: 'module' });

type Wish = [UnitSet & { control: Control }, UnitSet['values']];

/** What is in the unit, and what is wanted of it. */
function wishFor(
  set: UnitSet,
  rating: Rating,
  control: Control,
  sets: readonly KeptSet[],
  seen: SeenDrive | null,
  from: string,
  fitted: readonly string[],
): Wish {
  const unit = { ...set, rating, control };
  // What was read out says by itself which entries are there.
  if (from === 'seen' && seen !== null) return [{ ...unit, values: seen.values }, set.values];
  const kept = sets.find((s) => s.id === from && s.typeId === set.typeId)?.values;
  const values = kept ?? factorySet(unit, from === 'factory-60Hz' ? '60Hz' : '50Hz').values;
  return [fittedWith({ ...unit, values }, fitted), set.values];
}

const doesWords: Readonly<Record<KeyStep['does'], string>> = {
  unlock: 'enter the access code',
  set: '',
  save: 'save to memory',
  lock: 'lock',
};

function Step({
  step,
  place,
  done,
  tick,
}: {
  step: KeyStep;
  place: number;
  done: boolean;
  tick: () => void;
}) {
  const { shows, walk, edit, keep } = step;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns="auto 1fr"
      columnGap="3"
      py="2"
      borderBottom="1px solid"
      borderColor="line"
    >
      <Box asChild display="inline-flex" alignItems="center" justifyContent="center" minW="48px" minH="48px">
        <label>
          <input
            type="checkbox"
            checked={done}
            onChange={tick}
            style={{ width: 24, height: 24 }}
            aria-label={`${place}. ${step.number} ${step.name} entered`}
          />
        </label>
      </Box>
      <Box opacity={done ? 0.65 : 1}>
        <Text>
          <Text as="span" fontFamily="mono" color="soft">
            {place}.
          </Text>{' '}
          <Text as="b">
            {step.number} {step.name}
          </Text>{' '}
          → <Text as="b">{step.shownTo}</Text>
          {doesWords[step.does] !== '' && ` (${doesWords[step.does]})`}
          {step.mayStart && (
            <Text as="span" color="doubt" fontWeight="500">
              {' '}
              run command off: the machine may start
            </Text>
          )}
        </Text>
        <Box display="flex" flexWrap="wrap" columnGap="3" rowGap="1" alignItems="center" mt="1">
          <KeyCaps presses={walk} />
          <Display text={shows.before} />
          {edit.length > 0 && <KeyCaps presses={edit} />}
          {edit.length > 0 && <Display text={shows.after} />}
          <KeyCaps presses={[keep]} />
          <Display text={shows.entry} />
        </Box>
      </Box>
    </Box>
  );
}

/** What must stand in the display now. */
const Display = ({ text }: { text: string }) => (
  <Box
    as="span"
    fontFamily="mono"
    fontSize="0.95rem"
    bg="ink"
    color="card"
    px="2"
    py="0.5"
    borderRadius="2px"
  >
    {text}
  </Box>
);

function Sheet({ plan, ticks }: { plan: KeyPlan; ticks: ReturnType<typeof useTicks> }) {
  const more = plan.effort > 0 ? (100 * (plan.effort - plan.bound)) / plan.effort : 0;
  const done = plan.steps.filter((_, i) => ticks.has(i)).length;
  return (
    <>
      <Text role="status" fontWeight="500">
        {countOf(plan.steps.length, 'parameter')}, {countOf(plan.presses, 'press')}
        {done > 0 ? `, ${done} done` : ''}.
      </Text>
      <Disclosure>
        Effort: one per key press, two per key held for a second, four and a quarter per 0.1 s held until a
        value is reached: {plan.effort.toFixed(0)} in all.{' '}
        {plan.exact
          ? 'No other order takes less effort.'
          : `No order takes less than ${plan.bound.toFixed(0)}: this one is at most ${more.toFixed(1)} % above the minimum.`}{' '}
        Parameters that reset others come first, control sources last; the order in between is free. Common
        practice, no source.
      </Disclosure>
      {plan.stuck.length > 0 && (
        <Text color="failed">These depend on each other: {plan.stuck.join(', ')}.</Text>
      )}
      <Box as="ol" aria-label="Keys" listStyleType="none">
        {plan.steps.map((step, i) => (
          <Step
            key={`${i} ${step.number}`}
            step={step}
            place={i + 1}
            done={ticks.has(i)}
            tick={() => ticks.turn(i)}
          />
        ))}
      </Box>
      {plan.leave.length > 0 && (
        <Text mt="2">
          Not in the keypad lists: <KeyCaps presses={plan.leave} />
        </Text>
      )}
      <SkippedValues title="Not entered" skipped={plan.skipped} />
      <Box mt="4">
        <Disclosure label="All keys in one line">
          <Text fontFamily="mono" fontSize="0.85rem" data-keys overflowWrap="anywhere">
            {pressWords([...plan.steps.flatMap((s) => [...s.walk, ...s.edit, s.keep]), ...plan.leave])}
          </Text>
        </Disclosure>
      </Box>
    </>
  );
}

/** The shortest keys for a set on the drive's own keypad, from what is in it. */
export function KeysView({
  jobId,
  set,
  rating,
  kept,
  control,
  seen,
  sets,
}: {
  jobId: string;
  set: UnitSet;
  /** Of the job's drive, which the keys are pressed on. */
  rating: Rating;
  kept: KeptSet;
  control: Control;
  seen: SeenDrive | null;
  sets: readonly KeptSet[];
}) {
  const others = sets.filter((s) => s.typeId === set.typeId && s.id !== kept.id);
  const [from, setFrom] = useState('factory-50Hz');
  const [fitted, setFitted] = useState<readonly string[]>([]);
  const wish = useMemo(
    () => wishFor(set, rating, control, sets, seen, from, fitted),
    [set, rating, control, sets, seen, from, fitted],
  );
  const {
    answer: plan,
    failed,
    working,
  } = useLatest<KeyPlanWorker, Wish, KeyPlan | null>(
    start,
    (worker, asked) => worker.plan(...asked),
    control.keypad.operation === undefined ? null : wish,
  );
  const ticks = useTicks(`grim-keys ${jobId} ${kept.id} ${from} ${fitted.join()}`);
  if (control.keypad.operation === undefined)
    return (
      <Text>The keypad of this type is not in the catalogue. Use its manual, parameter by parameter.</Text>
    );
  return (
    <>
      <Caution title="The machine may move.">
        Run command off, enable open, people clear. Control source parameters come last.
      </Caution>
      <Box maxW="640px" mb="3">
        <Select
          label="Current values of the unit"
          value={from}
          onChange={setFrom}
          options={[
            { value: 'factory-50Hz', label: 'factory defaults, 50 Hz' },
            { value: 'factory-60Hz', label: 'factory defaults, 60 Hz' },
            ...(seen !== null && seen.readAt !== null
              ? [{ value: 'seen', label: `as read out ${dateTime(seen.readAt)}` }]
              : []),
            ...others.map((s) => ({ value: s.id, label: setWords(s) })),
          ]}
        />
      </Box>
      {from !== 'seen' &&
        control.options.map(({ id, name }) => (
          <Tick
            key={id}
            label={`Fitted: ${name}`}
            checked={fitted.includes(id)}
            onChange={(on) => setFitted(on ? [...fitted, id] : fitted.filter((f) => f !== id))}
          />
        ))}
      <Box mb="3">
        <Secondary asChild>
          <a href={`/api/v1/jobs/${jobId}/key-sheet?set=${kept.id}&from=${from}&fitted=${fitted.join()}`}>
            Sheet to print
          </a>
        </Secondary>
      </Box>
      {failed && <Text color="failed">The key sequence could not be calculated. Reload the page.</Text>}
      {working && <Text role="status">Calculating the shortest key sequence…</Text>}
      {plan !== null && !working && <Sheet plan={plan} ticks={ticks} />}
    </>
  );
}
