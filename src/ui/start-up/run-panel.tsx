import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import {
  currentPlausible,
  directionCure,
  isSettled,
  runState,
  sequence,
  type Step,
  type StepResult,
} from '@/core/commissioning';
import type { Payload } from '@/core/logbook';
import { Primary, Secondary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { FieldGrid } from '../kit/face';
import { Choice, Field, Figure } from '../kit/field';
import { numberFrom } from '../kit/number-from';
import { StateMark } from '../kit/state-mark';
import { Tick } from '../kit/tick';

type Kept = Payload<'commission.step'>;
type Keep = (result: Kept) => void;

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
        options={[{ value: 'none', label: 'there is none' }, ...turns]}
      />
      {cure !== null && (
        <Box mt="2">
          <Text fontWeight="500">{cure.how}</Text>
          <Box as="ol" pl="5" listStyleType="decimal">
            {cure.steps.map((s) => (
              <li key={s}>{s}</li>
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

function Speeds({ plate_A, keep }: { plate_A: number; keep: (speeds: Kept['speeds']) => void }) {
  const [typed, setTyped] = useState([
    { hz: '', amps: '' },
    { hz: '', amps: '' },
    { hz: '', amps: '' },
  ]);
  const speeds = typed.flatMap(({ hz, amps }) => {
    const f = numberFrom(hz);
    const a = numberFrom(amps);
    return f === null || a === null ? [] : [{ hz: f, amps: a }];
  });
  const judged = speeds.map((s) => ({ ...s, ...currentPlausible(s.amps, plate_A) }));
  return (
    <Box my="3">
      {typed.map((row, i) => (
        <FieldGrid key={i} min="140px">
          {(['hz', 'amps'] as const).map((key) => (
            <Figure
              key={key}
              label={key === 'hz' ? `Speed ${i + 1}` : `Current ${i + 1}`}
              unit={key === 'hz' ? 'Hz' : 'A'}
              text={row[key]}
              set={(text) => setTyped(typed.map((t, k) => (k === i ? { ...t, [key]: text } : t)))}
            />
          ))}
        </FieldGrid>
      ))}
      {judged.map((j) => (
        <Text key={j.hz} color={j.verdict === 'ok' ? 'sound' : j.verdict === 'doubt' ? 'doubt' : 'failed'}>
          At {j.hz} Hz: {j.why}
        </Text>
      ))}
      <Primary
        mt="2"
        disabled={speeds.length < 2 || judged.some((j) => j.verdict === 'wrong')}
        onClick={() => keep(speeds)}
      >
        Keep these currents
      </Primary>
    </Box>
  );
}

function Sequence({ keep }: { keep: (seen: string[], qualified: string) => void }) {
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [name, setName] = useState('');
  return (
    <Box my="3">
      {sequence.map((part) => (
        <Tick
          key={part}
          label={part}
          checked={seen.includes(part)}
          onChange={(on) => setSeen(on ? [...seen, part] : seen.filter((s) => s !== part))}
        />
      ))}
      <Box maxW="420px" my="2">
        <Field
          label="Qualified person who answers for it"
          value={name}
          maxLength={200}
          onChange={(e) => setName(e.target.value)}
        />
      </Box>
      <Primary
        disabled={seen.length < sequence.length || name.trim() === ''}
        onClick={() => keep([...seen], name.trim())}
      >
        Keep the whole sequence
      </Primary>
    </Box>
  );
}

function Asked({ step, plate_A, keep }: { step: Step; plate_A: number; keep: Keep }) {
  const [wrong, setWrong] = useState(false);
  const result = (outcome: StepResult['outcome'], more: Partial<Kept> = {}): Kept => ({
    step: step.id,
    outcome,
    seen: [],
    speeds: [],
    ...more,
  });
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
      {step.caution !== undefined && <Caution title="Before it:">{step.caution}</Caution>}
      <Text fontFamily="heading" fontWeight="600" fontSize="1.4rem" lineHeight="1.15">
        {step.title}
      </Text>
      <Text mb="2">{step.do}</Text>
      {step.id === 'speeds' && <Speeds plate_A={plate_A} keep={(speeds) => keep(result('ok', { speeds }))} />}
      {step.qualified === true && (
        <Sequence keep={(seen, qualified) => keep(result('ok', { seen, qualified }))} />
      )}
      {step.id === 'direction' && wrong && <Cure />}
      <Box display="flex" gap="2" flexWrap="wrap">
        {step.qualified !== true && step.id !== 'speeds' && (
          <Primary onClick={() => keep(result('ok'))}>Seen and right</Primary>
        )}
        <Secondary
          onClick={() => {
            setWrong(true);
            keep(result('not-ok'));
          }}
        >
          Not right
        </Secondary>
        {step.group !== 'before power' && step.qualified !== true && step.id !== 'direction' && (
          <Secondary onClick={() => keep(result('not-there'))}>Not there on this machine</Secondary>
        )}
      </Box>
    </Box>
  );
}

/** The commissioning run, a step at a time; any step may be taken. */
export function RunPanel({
  steps,
  results,
  plate_A,
  keep,
}: {
  steps: readonly Step[];
  results: readonly Kept[];
  plate_A: number;
  keep: Keep;
}) {
  const [taken, setTaken] = useState<string | null>(null);
  const { next, open, failed } = runState(steps, results);
  const newest = new Map(results.map((r) => [r.step, r]));
  const asked = steps.find((s) => s.id === taken) ?? next;
  return (
    <>
      <Text role="status" mb="3" fontWeight="500">
        {open.length === 0
          ? 'Every step is settled.'
          : `${open.length} of ${steps.length} steps are open${failed.length > 0 ? `, ${failed.length} not right` : ''}.`}
      </Text>
      {asked !== null && (
        <Asked
          key={asked.id}
          step={asked}
          plate_A={plate_A}
          keep={(result) => {
            keep(result);
            // What is not right stays open before one's eyes.
            if (result.outcome !== 'not-ok') setTaken(null);
            else setTaken(result.step);
          }}
        />
      )}
      <Box as="ol" aria-label="Steps of the run" listStyleType="none">
        {steps.map((s) => {
          const settled = isSettled(s, newest.get(s.id));
          const wrong = newest.get(s.id)?.outcome === 'not-ok';
          return (
            <Box as="li" key={s.id}>
              <Secondary
                width="100%"
                justifyContent="flex-start"
                textAlign="left"
                border="0"
                aria-pressed={asked?.id === s.id}
                onClick={() => setTaken(s.id)}
              >
                <StateMark
                  mark={settled ? 'sound' : wrong ? 'failed' : 'unprobed'}
                  label={settled ? 'settled' : wrong ? 'not right' : 'open'}
                />
                {s.title}
                <Text as="span" color="soft" fontWeight="400">
                  {s.group}
                </Text>
              </Secondary>
            </Box>
          );
        })}
      </Box>
    </>
  );
}
