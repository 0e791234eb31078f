import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import {
  currentPlausible,
  directionCure,
  figuresAgainst,
  isAlwaysThere,
  type CommissioningStep,
  type StepResult,
} from '@/core/commissioning/commissioning';
import type { Live } from '@/core/equipment/drive-words';
import { runGiven } from '@/core/fault-finding/run-chain';
import { torque } from '@/core/terms';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField, TextField } from '../../kit/field';
import { figureFrom, numberFrom, quantityFrom } from '../../kit/number-from';
import { QuantityField } from '../../kit/quantity-field';
import { useDraftText, useDraftTexts } from '../../kit/draft-text';
import { Tick } from '../../kit/tick';
import { StepEvidence, type Watched } from './evidence';
import { Item, Text } from '../../kit/text';

type Kept = Payload<'commission.step'>;
export type Keep = (result: Kept) => void;

type Turns = 'right' | 'wrong';
const turns = [
  { value: 'right', label: 'turns right' },
  { value: 'wrong', label: 'turns wrong' },
] as const;

/** Which pair of leads is swapped, and which never: both directions are seen before coupling. */
function Cure() {
  const [drive, setDrive] = useState<Turns>('wrong');
  const [bypass, setBypass] = useState<Turns | 'none' | null>(null);
  const cure =
    bypass === null
      ? null
      : directionCure({ drive: drive === 'wrong', bypass: bypass === 'none' ? null : bypass === 'wrong' });
  return (
    <Box my="3">
      <Choice label="On the drive" value={drive} onChange={setDrive} options={turns} />
      <Choice
        label="On the bypass"
        value={bypass}
        onChange={setBypass}
        options={[{ value: 'none', label: 'no bypass' }, ...turns]}
      />
      {cure !== null && (
        <Box mt="2">
          <Text fontWeight="500">{cure.how}</Text>
          <Box as="ol" pl="5" listStyleType="decimal">
            {cure.steps.map((s) => (
              <Item key={s}>{s}</Item>
            ))}
          </Box>
          <Text color="failed" fontWeight="500">
            {cure.never}
          </Text>
        </Box>
      )}
    </Box>
  );
}

const rows = [0, 1, 2] as const;

function Speeds({
  plate_A,
  live,
  keep,
}: {
  plate_A: number;
  live: Live | null;
  keep: (speeds: Kept['speeds']) => void;
}) {
  const typed = useDraftTexts('currents at speeds');
  const speeds = rows.flatMap((i) => {
    const f = numberFrom(typed.of(`hz${i}`));
    const a = numberFrom(typed.of(`amps${i}`));
    return f === null || a === null ? [] : [{ hz: f, amps: a }];
  });
  const judged = speeds.map((s) => ({ ...s, ...currentPlausible(s.amps, plate_A) }));
  return (
    <Box my="3">
      {rows.map((i) => (
        <FieldGrid key={i} min="140px">
          <NumberField
            label={`Speed ${i + 1}`}
            unit="Hz"
            text={typed.of(`hz${i}`)}
            set={(text) => typed.set(`hz${i}`, text)}
          />
          <NumberField
            label={`Current ${i + 1}`}
            unit="A"
            text={typed.of(`amps${i}`)}
            set={(text) => typed.set(`amps${i}`, text)}
          />
          {live?.outputFrequency_Hz !== undefined && live.outputCurrent_A !== undefined && (
            <Secondary
              alignSelf="end"
              onClick={() => {
                typed.set(`hz${i}`, String(live.outputFrequency_Hz));
                typed.set(`amps${i}`, String(live.outputCurrent_A));
              }}
            >
              Take {live.outputFrequency_Hz} Hz, {live.outputCurrent_A} A
            </Secondary>
          )}
        </FieldGrid>
      ))}
      {judged.map((j, i) => (
        <Text key={i} color={j.verdict === 'ok' ? 'sound' : j.verdict === 'doubt' ? 'doubt' : 'failed'}>
          At {j.hz} Hz: {j.why}
        </Text>
      ))}
      <Primary
        mt="2"
        waitsFor={
          speeds.length < 2
            ? 'Enter at least two speeds with their currents.'
            : judged.some((j) => j.verdict === 'wrong')
              ? 'A current above is implausible.'
              : null
        }
        onClick={() => {
          keep(speeds);
          typed.clear();
        }}
      >
        Save currents
      </Primary>
    </Box>
  );
}

/** Every part ticked; where people may be hurt, with the name of who answers for it. */
function Parts({
  id,
  parts,
  qualified,
  keep,
}: {
  id: string;
  parts: readonly string[];
  qualified: boolean;
  keep: (seen: string[], name: string | null) => void;
}) {
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [name, setName] = useDraftText(`who answers for ${id}`);
  return (
    <Box my="3">
      {parts.map((part) => (
        <Tick
          key={part}
          label={part}
          checked={seen.includes(part)}
          onChange={(on) => setSeen(on ? [...seen, part] : seen.filter((s) => s !== part))}
        />
      ))}
      {qualified && (
        <Box maxW="420px" my="2">
          <TextField label="Responsible qualified person" text={name} maxLength={200} set={setName} />
        </Box>
      )}
      <Primary
        waitsFor={
          seen.length < parts.length
            ? 'Confirm each line first.'
            : qualified && name.trim() === ''
              ? 'Enter the responsible person.'
              : null
        }
        onClick={() => {
          keep([...seen], qualified ? name.trim() : null);
          setName('');
        }}
      >
        {qualified ? 'Save sequence' : 'Save'}
      </Primary>
    </Box>
  );
}

/** One step: what is asked, what the link shows of it, and what is kept. */
export function RunStep({
  step,
  waits,
  plate_A,
  watched,
  take,
  keep,
}: {
  step: CommissioningStep;
  /** What must be settled before it. */
  waits: readonly CommissioningStep[];
  plate_A: number;
  watched: Watched;
  /** Goes to another step. */
  take: (step: string) => void;
  keep: Keep;
}) {
  const [wrong, setWrong] = useState(false);
  const typed = useDraftTexts(`values of ${step.id}`);
  const figures = step.figures ?? [];
  const taken = figures.flatMap(({ id, unit }) => {
    const value = unit === torque.si ? quantityFrom(torque)(typed.of(id)) : figureFrom(typed.of(id));
    return value === null ? [] : [{ id, value, unit }];
  });
  const against = figuresAgainst(figures, taken);
  const read = taken.length === 0 ? {} : { figures: taken };
  const result = (outcome: StepResult['outcome'], more: Partial<Kept> = {}): Kept => ({
    step: step.id,
    outcome,
    seen: [],
    seenBy: 'hand',
    speeds: [],
    ...more,
  });
  const byHand = step.parts === undefined && step.id !== 'speeds';
  // What the link shows is not argued away by hand.
  const given =
    step.watch?.as === 'run-off' && watched.live !== null
      ? runGiven({ control: watched.control, values: watched.values, live: watched.live })
      : null;
  // Where the link looks, what it saw comes first.
  const ByHand = step.watch !== undefined && watched.live !== null ? Secondary : Primary;
  return (
    <Box
      as="section"
      aria-label={step.title}
      bg="paper"
      borderLeft="5px solid"
      borderColor="ink"
      px="4"
      py="3"
      mb="4"
    >
      {step.caution !== undefined && <Caution title="Before this step:">{step.caution}</Caution>}
      <Text fontFamily="heading" fontWeight="600" fontSize="1.4rem" lineHeight="1.15">
        {step.title}
      </Text>
      <Text mb="2">{step.do}</Text>
      {waits.length > 0 ? (
        <Box role="group" aria-label="First" display="flex" gap="2" alignItems="center" flexWrap="wrap">
          <Text as="span" color="doubt" fontWeight="500">
            First:
          </Text>
          {waits.map((w) => (
            <Secondary key={w.id} onClick={() => take(w.id)}>
              {w.title}
            </Secondary>
          ))}
        </Box>
      ) : (
        <>
          {step.watch !== undefined && (
            <StepEvidence
              watch={step.watch}
              watched={watched}
              take={(outcome, note) => keep(result(outcome, { note, seenBy: 'link' }))}
            />
          )}
          {step.id === 'speeds' && (
            <Speeds plate_A={plate_A} live={watched.live} keep={(speeds) => keep(result('ok', { speeds }))} />
          )}
          {step.parts !== undefined && (
            <Parts
              id={step.id}
              parts={step.parts}
              qualified={step.qualified === true}
              keep={(seen, name) =>
                keep(result('ok', { seen, ...(name === null ? {} : { qualified: name }) }))
              }
            />
          )}
          {figures.length > 0 && (
            <FieldGrid min="200px">
              {figures.map(({ id, label, unit, rule }) => {
                const field = {
                  ...{ label, hint: rule, text: typed.of(id) },
                  set: (text: string) => typed.set(id, text),
                };
                return unit === torque.si ? (
                  <QuantityField key={id} quantity={torque} {...field} />
                ) : (
                  <NumberField key={id} unit={unit} {...field} />
                );
              })}
            </FieldGrid>
          )}
          {taken.length === figures.length &&
            against.map((why) => (
              <Text key={why} role="alert" color="failed" mb="2">
                {why}
              </Text>
            ))}
          {step.id === 'direction' && wrong && <Cure />}
          <Box display="flex" gap="2" flexWrap="wrap">
            {byHand && (
              <ByHand
                disabled={against.length > 0 || given !== null}
                onClick={() => {
                  keep(result('ok', read));
                  typed.clear();
                }}
              >
                Passed
              </ByHand>
            )}
            <Secondary
              onClick={() => {
                setWrong(true);
                keep(result('not-ok', read));
              }}
            >
              Failed
            </Secondary>
            {!isAlwaysThere(step) && step.qualified !== true && (
              <Secondary onClick={() => keep(result('not-there'))}>Not fitted on this machine</Secondary>
            )}
          </Box>
        </>
      )}
    </Box>
  );
}
