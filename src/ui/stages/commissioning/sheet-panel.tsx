import { parameterAt } from '@/core/equipment/drive-words';
import type { Control } from '@/core/equipment/catalogue';
import type { Plate } from '@/core/equipment/plate';
import type { Release } from '@/core/job/release';
import { differing, wantedOf, type SheetRow, type TypedValues } from '@/core/commissioning/settings';
import type { JobStore } from '../../job-store/use-job';
import { Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import type { WriteWish } from '../../drive-link/use-write';
import { AnalogLine } from './analog-line';
import { SheetRows } from './sheet-rows';
import type { Wishes } from './wishes';

/**
 * What differs, as writes. What resets others is written alone, and the drive read again: the rest would be
 * compared with values that are gone.
 */
function wishesFor(rows: readonly SheetRow[], control: Control, typed: TypedValues): WriteWish[] {
  const all = rows.flatMap((row): WriteWish[] => {
    const parameter = parameterAt(control, row.number);
    const to = wantedOf(row, typed);
    return parameter === undefined || to === null || row.now === null
      ? []
      : [{ parameter, from: row.now, to, reason: 'start-up sheet', trial: false }];
  });
  const resetting = all.filter((w) => w.parameter.resets !== undefined);
  return resetting.length > 0 ? resetting.slice(0, 1) : all;
}

/** Every value to enter beside what is in the drive; written one by one, or all that differ. */
export function SheetPanel({
  store,
  control,
  plate,
  release,
  linked,
  wishes,
}: {
  store: JobStore;
  control: Control;
  plate: Plate;
  release: Release;
  /** A drive answers: values can be written. */
  linked: boolean;
  wishes: Wishes;
}) {
  const { sheet, entries, choices, rating } = release;
  const { typed } = store.state.startUp;
  const past = release.run.open.filter((s) => s.group === 'history');
  const toWrite = wishesFor(differing(sheet, typed), control, typed);
  return (
    <>
      {past.length > 0 && (
        <Caution signal={null} title="The settings of this unit are not known.">
          First, in the commissioning run: {past.map((s) => s.title.toLowerCase()).join('; ')}. Values entered
          before the reset are lost.
        </Caution>
      )}
      {past.length === 0 && linked && wishes.wishes.length === 0 && toWrite.length > 1 && (
        <Secondary mb="3" onClick={() => wishes.ask(toWrite)}>
          Write all {toWrite.length} that differ
        </Secondary>
      )}
      <SheetRows
        rows={sheet.rows}
        entries={entries}
        read={store.state.seen !== null}
        control={control}
        rating={rating}
        typed={typed}
        setValue={(number, value, reason) => store.record('startup.value', { number, value, reason })}
        write={
          linked
            ? (parameter, from, to) =>
                wishes.ask([{ parameter, from, to, reason: 'start-up sheet', trial: false }])
            : null
        }
      />
      <AnalogLine {...{ store, control, choices, plate }} />
    </>
  );
}
