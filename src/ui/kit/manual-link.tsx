import NextLink from 'next/link';
import type { Control } from '@/core/equipment/catalogue';
import { Text } from './text';

/** The way from a parameter to its page of the manual, in another tab: what is typed here stays. Nothing where it was not read from one. */
export function ManualLink({
  control: { manual },
  of: { manualPage },
  name,
}: {
  control: Pick<Control, 'manual'>;
  of: { manualPage?: number | undefined };
  name: string;
}) {
  if (manual === undefined || manualPage === undefined) return null;
  return (
    <Text
      asChild
      ml="2"
      py="1"
      display="inline-block"
      fontSize="0.9rem"
      color="soft"
      textDecoration="underline"
    >
      <NextLink
        href={`/drive-types/manual/${manual.draft}?parameter=${encodeURIComponent(name)}`}
        prefetch={false}
        target="_blank"
        aria-label={`${name} on page ${manualPage} of the manual, in another tab`}
      >
        manual p. {manualPage}
      </NextLink>
    </Text>
  );
}
