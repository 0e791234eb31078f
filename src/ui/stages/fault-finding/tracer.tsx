import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { JobState } from '@/core/logbook';
import {
  skipped,
  traceFrom,
  type Check,
  type Hazard,
  type DriveAnswer,
  type SkippedCheck,
  type TraceTable,
} from '@/core/fault-finding/tracing';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { LongField, TextField } from '../../kit/field';
import { Disclosure } from '../../kit/why';
import type { JobStore } from '../../job-store/use-job';

const skipWords: Readonly<Record<SkippedCheck, string>> = {
  'not-now': 'cannot check now',
  'not-sure': 'not sure',
  'no-tool': 'no tool',
};
const hazardWords: Readonly<Record<Hazard, string | null>> = {
  none: null,
  dead: 'Isolated, proven dead, meter proven before and after.',
  control: 'Control voltage is on: the machine may start. Run input off, people clear.',
  live: 'Live parts: only a qualified person by the local code, with covers and gloves as it asks.',
};

const answersOf = (traced: JobState['traced'], family: string) =>
  traced.flatMap(({ payload }) => (payload.family === family ? [payload] : []));

function Bars({ causes }: { causes: ReturnType<typeof traceFrom>['causes'] }) {
  return (
    <Box as="ul" aria-label="Suspects" listStyleType="none" mb="4">
      {causes.map((c) => (
        <Box as="li" key={c.id} mb="1">
          <Text>{c.name}</Text>
          <Box
            height="5px"
            bg="cardEdge"
            role="img"
            aria-label={`${(c.probability * 100).toFixed(0)} of 100`}
          >
            <Box height="5px" bg="ink" width={`${(c.probability * 100).toFixed(1)}%`} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function Asked({
  check,
  why,
  say,
}: {
  check: Check;
  why: string | null;
  say: (outcome: string, words: string) => void;
}) {
  const caution = hazardWords[check.hazard];
  return (
    <Box as="section" aria-label="Check" mb="4">
      {caution !== null && <Caution title="Before it:">{caution}</Caution>}
      <Text fontFamily="heading" fontWeight="600" fontSize="1.25rem" lineHeight="1.2" mt="2">
        {check.what}
      </Text>
      <Text as="div" color="soft">
        About {check.minutes} minutes{check.tool === undefined ? '' : `, with: ${check.tool}`}.{' '}
        {why !== null && <Disclosure>{why}</Disclosure>}
      </Text>
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        {check.outcomes.map((o) => (
          <Primary key={o.id} onClick={() => say(o.id, `${check.what} ${o.words}`)}>
            {o.words}
          </Primary>
        ))}
        {skipped.map((s) => (
          <Secondary key={s} onClick={() => say(s, `${check.what} ${skipWords[s]}`)}>
            {skipWords[s]}
          </Secondary>
        ))}
      </Box>
    </Box>
  );
}

/** What the drive itself answers: taken with one touch each, never by itself. */
function DriveAnswers({ said, take }: { said: readonly DriveAnswer[]; take: (one: DriveAnswer) => void }) {
  return (
    <Box as="section" aria-label="The drive says" borderLeft="5px solid" borderColor="focus" pl="3" mb="4">
      <Text color="soft" mb="1">
        The drive itself answers:
      </Text>
      <Box as="ul" listStyleType="none">
        {said.map((one) => (
          <Box as="li" key={one.check.id} mb="2">
            <Text>
              {one.check.what} <b>{one.check.outcomes.find((o) => o.id === one.outcome)?.words}</b>, by{' '}
              {one.evidence}.
            </Text>
            <Secondary mt="1" onClick={() => take(one)}>
              Take it
            </Secondary>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** From the alarm to its cause, a check at a time; any other check may be taken. */
export function Tracer({
  store,
  table,
  alarm,
  said,
}: {
  store: JobStore;
  table: TraceTable;
  alarm: string;
  /** Checks that the drive answers itself. */
  said: readonly DriveAnswer[];
}) {
  const [taken, setTaken] = useState<string | null>(null);
  const [how, setHow] = useState('');
  const [watch, setWatch] = useState('');
  const { traced, causes } = store.state;
  const given = answersOf(traced, table.family);
  const { causes: suspects, next, others } = traceFrom(table, given);
  const own = others.find((o) => o.check.id === taken);
  const asked = own?.check ?? next?.check;
  const [likeliest] = suspects;
  const offered = said.filter((one) => !given.some((g) => g.check === one.check.id));
  const confirmed = causes.filter((c) => c.payload.family === table.family);
  const say = (check: Check) => (outcome: string, words: string) => {
    store.record('trace.answered', {
      family: table.family,
      check: check.id,
      outcome,
      words: words.slice(0, 200),
    });
    setTaken(null);
  };
  return (
    <Box as="section" aria-label="Tracer" borderTop="2px solid" borderColor="ink" pt="3" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem" mb="2">
        What is behind {alarm}?
      </Text>
      {table.deadFirst && (
        <Caution grave title="No second reset">
          before something was measured dead.
        </Caution>
      )}
      {offered.length > 0 && (
        <DriveAnswers
          said={offered}
          take={({ check, outcome, evidence }) =>
            say(check)(
              outcome,
              `${check.what} ${check.outcomes.find((o) => o.id === outcome)?.words ?? outcome}, by ${evidence}`,
            )
          }
        />
      )}
      {asked === undefined ? (
        <Text mb="3">No further check is worth its minutes. {likeliest?.remedy}</Text>
      ) : (
        <Asked check={asked} why={own === undefined ? (next?.why ?? null) : null} say={say(asked)} />
      )}
      <Bars causes={suspects} />
      {others.length > 0 && (
        <Box mb="4">
          <Text color="soft" mb="1">
            Or another check:
          </Text>
          <Box display="flex" gap="2" flexWrap="wrap">
            {others.map((o) => (
              <Secondary
                key={o.check.id}
                minH="48px"
                textAlign="left"
                onClick={() => setTaken(o.check.id)}
                aria-pressed={taken === o.check.id}
              >
                {o.check.what}
              </Secondary>
            ))}
          </Box>
        </Box>
      )}
      {given.length > 0 && (
        <Box as="ol" aria-label="Path" pl="5" mb="4" listStyleType="decimal">
          {given.map((a) => (
            <li key={a.check}>{a.words}</li>
          ))}
        </Box>
      )}
      {likeliest !== undefined && given.length > 0 && (
        <Box maxW="560px">
          <LongField
            label={`Confirmed: ${likeliest.name}`}
            hint="How it was made and broken, once each."
            value={how}
            onChange={(e) => setHow(e.target.value)}
          />
          <Text my="2">Remedy: {likeliest.remedy}</Text>
          <TextField label="What to watch afterwards" text={watch} maxLength={200} set={setWatch} />
          <Secondary
            mt="2"
            disabled={how.trim() === ''}
            onClick={() => {
              store.record('trace.confirmed', {
                family: table.family,
                cause: likeliest.id,
                name: likeliest.name,
                how: how.trim(),
                remedy: likeliest.remedy,
                ...(watch.trim() === '' ? {} : { watch: watch.trim() }),
              });
              setHow('');
              setWatch('');
            }}
          >
            Keep this cause
          </Secondary>
        </Box>
      )}
      {confirmed.map((c) => (
        <Text key={c.id} mt="2">
          <b>{c.payload.name}.</b> {c.payload.how} {c.payload.remedy}{' '}
          {c.payload.watch !== undefined && `Watch: ${c.payload.watch}`}
        </Text>
      ))}
    </Box>
  );
}
