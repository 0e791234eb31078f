import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { deadlyTraced, handsLock, isReleased, type Person, type StageId } from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import {
  staysDead,
  traceFrom,
  type AnswerConflict,
  type Check,
  type DriveAnswer,
  type TraceTable,
} from '@/core/fault-finding/tracing';
import { Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StateMark } from '../../kit/state-mark';
import { useNow } from '../../kit/use-now';
import type { JobStore } from '../../job-store/use-job';
import { AskedCheck } from './asked-check';
import { ConfirmCause } from './confirm-cause';
import { Said, Text } from '../../kit/text';

/** A payload has room for so many characters of it. */
const longestWords = 200;

/** Answers that exclude each other: said, never hidden in the chances. */
const Conflicts = ({ conflicts }: { conflicts: readonly AnswerConflict[] }) => (
  <>
    {conflicts.map(({ checks, text }) => (
      <Box key={checks.join()} role="status" display="flex" gap="2" alignItems="baseline" mb="3">
        <StateMark mark="doubt" />
        <Text>{text}</Text>
      </Box>
    ))}
  </>
);

function Bars({ causes }: { causes: ReturnType<typeof traceFrom>['causes'] }) {
  return (
    <Box as="ul" aria-label="Likely causes" listStyleType="none" mb="4">
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

/** What the drive itself answers: taken with one touch each, never by itself. */
function DriveAnswers({ said, take }: { said: readonly DriveAnswer[]; take: (one: DriveAnswer) => void }) {
  return (
    <Box as="section" aria-label="The drive shows" borderLeft="5px solid" borderColor="focus" pl="3" mb="4">
      <Text color="soft" mb="1">
        The drive link answers:
      </Text>
      <Box as="ul" listStyleType="none">
        {said.map((one) => (
          <Box as="li" key={one.check.id} mb="2">
            <Text>
              {one.check.what}{' '}
              <b>
                <Said>{one.check.outcomes.find((o) => o.id === one.outcome)?.words}</Said>
              </b>
              , by {one.evidence}.
            </Text>
            <Secondary mt="1" onClick={() => take(one)}>
              Use this
            </Secondary>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Why power and reset wait, and where the tests are that let it return. */
function StaysDead({ withheld, goTo }: { withheld: readonly Check[]; goTo: (stage: StageId) => void }) {
  return (
    <Caution grave title="No power and no reset">
      until the bench test is not shorted and the insulation test passed; then on a limited supply only.
      {withheld.length > 0 && ` Until then ${withheld.length} of the checks are withheld.`}
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        <Secondary onClick={() => goTo('bench')}>Bench test</Secondary>
        <Secondary onClick={() => goTo('motor')}>Insulation test</Secondary>
      </Box>
    </Caution>
  );
}

/** From the fault to its cause, a check at a time; any other check may be taken, and any answer back. */
export function Tracer({
  store,
  person,
  limits,
  table,
  alarm,
  shown,
  said,
  goTo,
}: {
  store: JobStore;
  person: Person;
  limits: Limits;
  table: TraceTable;
  alarm: string;
  /** The family of the fault that the drive shows; null: it shows none. */
  shown: string | null;
  /** Checks that the drive answers itself. */
  said: readonly DriveAnswer[];
  goTo: (stage: StageId) => void;
}) {
  const [taken, setTaken] = useState<string | null>(null);
  const now = useNow(store.clockOffset_ms, 5000);
  const { state } = store;
  const { traced, causes, safety, drive } = state;
  const { family } = table;
  const given = traced.flatMap(({ payload }) => (payload.family === family ? [payload] : []));
  const lock = handsLock(safety, drive, limits, person, now === 0 ? safety.lastAt : now);
  const deadly = shown ?? deadlyTraced(traced);
  const context = { proven: lock.open, released: isReleased(state), shown: deadly };
  const { causes: likely, next, others, withheld, conflicts } = traceFrom(table, given, context);
  const own = others.find((o) => o.check.id === taken);
  const asked = own?.check ?? next?.check;
  const [likeliest] = likely;
  const offered = said.filter((one) => !given.some((g) => g.check === one.check.id));
  const confirmed = causes.filter((c) => c.payload.family === family);
  const say = (check: Check) => (outcome: string, words: string) => {
    store.record('trace.answered', {
      family,
      check: check.id,
      outcome,
      words: words.slice(0, longestWords),
      hazard: check.hazard,
      ...(deadly === null || deadly === family ? {} : { shown: deadly }),
    });
    setTaken(null);
  };
  return (
    <Box as="section" aria-label="Tracer" borderTop="2px solid" borderColor="ink" pt="3" mb="4">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.15rem" mb="2">
        Fault finding: {alarm}?
      </Text>
      {staysDead(table, context) && <StaysDead withheld={withheld} goTo={goTo} />}
      <Conflicts conflicts={conflicts} />
      {asked === undefined ? (
        <Text mb="3">Try the likely fix now. {likeliest?.remedy}</Text>
      ) : (
        <AskedCheck
          check={asked}
          why={own === undefined ? (next?.why ?? null) : null}
          proofMissing={lock.open ? null : lock.text}
          limited={table.deadFirst || deadly !== null}
          makeSafe={() => goTo('make-safe')}
          say={say(asked)}
        />
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
      <Bars causes={likely} />
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
            <Box as="li" key={a.check} mb="2">
              <Said>{a.words}</Said>{' '}
              <Secondary
                aria-label={`Undo: ${a.words}`}
                onClick={() => store.record('trace.withdrawn', { family, check: a.check })}
              >
                Undo
              </Secondary>
            </Box>
          ))}
        </Box>
      )}
      {given.length > 0 && (
        <ConfirmCause
          table={table}
          causes={likely}
          keep={(cause) => store.record('trace.confirmed', cause)}
        />
      )}
      {confirmed.map(({ id, payload }) => (
        <Text key={id} mt="2">
          <b>
            <Said>{payload.name}.</Said>
          </b>{' '}
          {payload.how} {payload.recreated} {payload.remedy}{' '}
          {payload.watch !== undefined && `Monitor: ${payload.watch}`}
        </Text>
      ))}
    </Box>
  );
}
