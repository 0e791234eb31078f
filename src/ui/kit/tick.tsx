import { Box } from '@chakra-ui/react';
import { Said } from './text';

/** The box alone, for a label of one's own. */
export const TickBox = ({
  onChange,
  ...rest
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
}) => <input type="checkbox" onChange={(e) => onChange(e.target.checked)} {...rest} />;

/** A statement one says yes to; the whole line is the target. */
export function Tick({
  label,
  checked,
  onChange,
  disabled = false,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
}) {
  return (
    <Box
      as="label"
      display="flex"
      alignItems="center"
      gap="3"
      minH="48px"
      cursor={disabled ? 'not-allowed' : 'pointer'}
      opacity={disabled ? 0.6 : 1}
      css={{ '& input': { width: '22px', height: '22px', flex: 'none' } }}
    >
      <TickBox {...{ checked, disabled, onChange }} />
      <Said>{label}</Said>
    </Box>
  );
}
