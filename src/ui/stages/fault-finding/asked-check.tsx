import { Box } from '@chakra-ui/react';
import { countOf } from '@/core/logbook';
import {
  isEnergised,
  skipped,
  type Check,
  type Hazard,
  type SkippedCheck,
} from '@/core/fault-finding/tracing';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { Disclosure } from '../../kit/why';
import { Text } from '../../kit/text';

const skipWords: Readonly<Record<SkippedCheck, string>> = {
  'not-now': 'cannot check now',
  'not-sure': 'not sure',
  'no-tool': 'no tool',
};
const hazardWords: Readonly<Record<Hazard, string | null>> = {
  none: null,
  dead: 'Isolated, proven dead, meter proven before and after.',
  control: 'Control voltage is on: the machine may start. Run input off, people clear.',
  moves: 'The machine moves. People clear, guards on, E-stop within reach.',
  live: 'Live parts: qualified persons only, by the local code, with the covers and gloves it requires.',
};

/** One check: what to do, what it exposes one to, and its answers. */
export function AskedCheck({
  check,
  why,
  proofMissing,
  limited,
  makeSafe,
  say,
}: {
  check: Check;
  why: string | null;
  /** Why the dead proof does not hold; null: it holds. */
  proofMissing: string | null;
  /** Power returns after a fault that kept the drive dead: limited only. */
  limited: boolean;
  makeSafe: () => void;
  say: (outcome: string, words: string) => void;
}) {
  const caution = hazardWords[check.hazard];
  const waits = check.hazard === 'dead' ? proofMissing : null;
  return (
    <Box as="section" aria-label="Check" mb="4">
      {caution !== null && <Caution title="Before this check:">{caution}</Caution>}
      {isEnergised(check.hazard) && limited && (
        <Caution grave title="Limited supply only:">
          through series lamps or a current limit, as planned under First power-up. Switch off at the first
          sign of trouble.
        </Caution>
      )}
      <Text fontFamily="heading" fontWeight="600" fontSize="1.25rem" lineHeight="1.2" mt="2">
        {check.what}
      </Text>
      <Text as="div" color="soft">
        About {countOf(check.minutes, 'minute')}
        {check.tool === undefined ? '' : `, with: ${check.tool}`}.{' '}
        {why !== null && <Disclosure>{why}</Disclosure>}
      </Text>
      {waits !== null && (
        <Box mt="2">
          <Text mb="2">Make safe first: one dead proof covers all dead checks. {waits}</Text>
          <Primary onClick={makeSafe}>Make safe</Primary>
        </Box>
      )}
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        {check.outcomes.map((o) => (
          <Primary key={o.id} disabled={waits !== null} onClick={() => say(o.id, `${check.what} ${o.words}`)}>
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
