import { Box } from '@chakra-ui/react';

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
      <input
        type="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </Box>
  );
}
