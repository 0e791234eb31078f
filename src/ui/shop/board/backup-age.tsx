import NextLink from 'next/link';
import { StateMark } from '../../kit/state-mark';
import { span } from '../../kit/time';
import { Text } from '../../kit/text';

const day_min = 24 * 60;
/** One backup a week is restored as a test. */
const late_min = 8 * day_min;

/** How long ago a backup was last restored as a test: a backup that nobody has restored is a hope. */
export function BackupAge({ provenAt, now }: { provenAt: string | null; now: number }) {
  const age_min = provenAt === null ? null : Math.max(0, now - Date.parse(provenAt)) / 60_000;
  const good = age_min !== null && age_min < late_min;
  return (
    <Text
      mt="3"
      px="4"
      bg="card"
      borderRadius="4px"
      display="flex"
      alignItems="center"
      gap="2"
      suppressHydrationWarning
    >
      <StateMark mark={good ? 'sound' : 'doubt'} label={good ? 'OK' : 'Needs attention'} />
      {age_min === null
        ? 'No backup has been test-restored yet.'
        : `Last test restore of a backup: ${age_min < day_min ? 'today' : `${span(age_min)} ago`}.`}
      <Text asChild textDecoration="underline" minH="44px" display="inline-flex" alignItems="center">
        <NextLink href="/administration/status">System status</NextLink>
      </Text>
    </Text>
  );
}
