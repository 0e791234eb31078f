import type { Control } from '@/core/equipment/catalogue';
import { isLoose, type JobState } from '@/core/logbook';
import { Text } from '../kit/text';

/** Why a drive cannot be reached over the link, in words; null: it can be. */
export const whyLinkShut = (state: JobState, control: Control): string | null =>
  isLoose(state)
    ? 'The link to a drive opens in a job: attach this loose sheet to one. Enter what the display shows.'
    : control.modbus === null
      ? 'The registers of this type are not known: the link stays shut. Enter what the display shows.'
      : null;

/** In place of the link where it stays shut. */
export const LinkShut = ({ why }: { why: string }) => (
  <Text color="soft" mb="3">
    {why}
  </Text>
);
