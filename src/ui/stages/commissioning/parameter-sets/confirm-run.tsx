import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { BeforeWrite } from '../../../drive-link/before-write';
import { Primary, Secondary } from '../../../kit/buttons';
import { Caution } from '../../../kit/caution';
import { Tick } from '../../../kit/tick';

/** What somebody at the drive sees to before values go to it, at the start and whenever a run goes on. */
export function ConfirmRun({
  what,
  busy,
  go,
  cancel,
  children,
}: {
  /** On the button: what happens. */
  what: string;
  busy: boolean;
  go: () => void;
  cancel?: () => void;
  children?: ReactNode;
}) {
  const [seen, setSeen] = useState({ run: false, enable: false, clear: false });
  const all = seen.run && seen.enable && seen.clear;
  return (
    <BeforeWrite label="Before values go to the drive">
      <Caution title="It may move.">
        Values that decide where run comes from are written last. With run given the machine may start as soon
        as they are taken.
      </Caution>
      {children}
      <Tick
        label="The run inputs are off, and nothing else gives run"
        checked={seen.run}
        onChange={(run) => setSeen({ ...seen, run })}
      />
      <Tick
        label="The enable is open, or STO where there is no enable"
        checked={seen.enable}
        onChange={(enable) => setSeen({ ...seen, enable })}
      />
      <Tick
        label="People are clear of the machine and know of it"
        checked={seen.clear}
        onChange={(clear) => setSeen({ ...seen, clear })}
      />
      <Box display="flex" gap="2" flexWrap="wrap" mt="3">
        <Primary disabled={busy} waitsFor={all ? null : 'Each line is seen to first.'} onClick={go}>
          {what}
        </Primary>
        {cancel !== undefined && (
          <Secondary disabled={busy} onClick={cancel}>
            Leave it
          </Secondary>
        )}
      </Box>
    </BeforeWrite>
  );
}
