import { Text } from '../kit/text';

/** In place of the link where nobody knows the registers of a type. */
export const LinkShut = () => (
  <Text color="soft" mb="3">
    The registers of this type are not known: the link stays shut. Enter what the display shows.
  </Text>
);
