import type { StageProps } from '../../job-store/stage-props';
import { AlarmPanel } from './alarm-panel';
import { JumperRegister } from './jumper-register';
import { MainsStayOff } from './mains-stay-off';
import { useTraceTables } from './use-trace-tables';

/** A drive of no catalogue type: from what it shows or does to its cause, by the fault family alone. */
export function UnlistedWork({ store, person, limits, goTo }: StageProps) {
  const tables = useTraceTables();
  const { registers } = store.state;
  return (
    <>
      <MainsStayOff state={store.state} />
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
