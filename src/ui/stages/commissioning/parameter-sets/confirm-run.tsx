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
    <BeforeWrite label="Before writing to the drive">
      <Caution title="The machine may move.">
        Control source parameters are written last. With a run command active the machine may start as soon as
        the drive accepts them.
      </Caution>
      {children}
      <Tick
        label="Run inputs off, and no other run command active"
        checked={seen.run}
        onChange={(run) => setSeen({ ...seen, run })}
      />
      <Tick
        label="Enable open, or STO where there is no enable"
        checked={seen.enable}
        onChange={(enable) => setSeen({ ...seen, enable })}
      />
      <Tick
        label="People are clear of the machine and informed"
        checked={seen.clear}
        onChange={(clear) => setSeen({ ...seen, clear })}
      />
      <Box display="flex" gap="2" flexWrap="wrap" mt="3">
        <Primary disabled={busy} waitsFor={all ? null : 'Confirm each line first.'} onClick={go}>
          {what}
        </Primary>
        {cancel !== undefined && (
          <Secondary disabled={busy} onClick={cancel}>
            Cancel
          </Secondary>
        )}
      </Box>
    </BeforeWrite>
  );
}
