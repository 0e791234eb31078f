import { mustStayDead } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';
import { Caution } from '../../kit/caution';
import { AlarmPanel } from './alarm-panel';
import { JumperRegister } from './jumper-register';
import { useTraceTables } from './use-trace-tables';

/** A drive of no catalogue type: from what it shows or does to its cause, by the fault family alone. */
export function UnlistedWork({ store, person, limits, goTo }: StageProps) {
  const tables = useTraceTables();
  const { registers } = store.state;
  const dead = mustStayDead(store.state);
  return (
    <>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read it.">
          Because of {dead.join(', ')}. What a display says needs another control supply.
        </Caution>
      )}
      <JumperRegister
        jumpers={registers.jumpers}
        remove={(j, how) => store.record('jumper.removed', { jumper: j.id, how })}
      />
      <AlarmPanel
        store={store}
        person={person}
        limits={limits}
        control={null}
        rating={null}
        tables={tables}
        alarm={undefined}
        values={{}}
        live={{}}
        goTo={goTo}
      />
    </>
  );
}
