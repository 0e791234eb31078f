import { useMemo, useState } from 'react';
import type { Control, DriveType } from '@/core/equipment/catalogue';
import type { Rating, Values } from '@/core/equipment/drive-words';
import type { KeptSet } from '@/core/logbook';
import type { UnitSet } from '@/core/parameter-sets/parameters';
import { useControl } from '../../../drive-link/use-control';
import type { JobStore } from '../../../job-store/use-job';
import { Section } from '../../../kit/section';
import { Tabs } from '../../../kit/tabs';
import type { WriteWish } from '../../../drive-link/use-write';
import { AuditView } from './audit-view';
import { ByHandView } from './by-hand-view';
import { CompareView } from './compare-view';
import { ImportForm } from './import-form';
import { KeysView } from './keys-view';
import { LibraryView } from './library-view';
import { PlanView } from './plan-view';
import { SetChooser } from './set-chooser';
import { TranslateView } from './translate-view';
import { useOtherMotors } from './use-other-motors';
import { useSetRuns } from './use-set-runs';
import { Text } from '../../../kit/text';

type View = 'audit' | 'compare' | 'translate' | 'plan' | 'keys' | 'hand' | 'import' | 'library';
const views: readonly { id: View; name: string }[] = [
  { id: 'audit', name: 'Audit' },
  { id: 'compare', name: 'Compare' },
  { id: 'translate', name: 'Translate' },
  { id: 'plan', name: 'Write' },
  { id: 'keys', name: 'Keys' },
  { id: 'hand', name: 'Single parameters' },
  { id: 'import', name: 'Import' },
  { id: 'library', name: 'Library' },
];

/** A kept set as a unit that can be computed with. */
const unitOf = (set: KeptSet, control: Control, rating: Rating): UnitSet & { control: Control } => ({
  typeId: set.typeId,
  control,
  rating: set.rating ?? rating,
  values: set.values,
});

const otherType = <Text>This set is for another type: translate it first and use the result.</Text>;

/** Parameter sets of a job: audited, compared, carried to the drive's type, written, keyed, brought in. */
export function ParameterSetsPanel({
  jobId,
  store,
  catalogue,
  control,
  typeId,
  rating,
  target,
  sheet,
  ask,
}: {
  jobId: string;
  store: JobStore;
  catalogue: readonly DriveType[];
  /** Of the job's drive. */
  control: Control;
  typeId: string;
  rating: Rating;
  /** Null: no drive answers. */
  target: string | null;
  /** What the start-up sheet enters; null before there is one. */
  sheet: Values | null;
  /** Asks for single values to be written; null: no drive answers. */
  ask: ((wishes: readonly WriteWish[]) => void) | null;
}) {
  const { state } = store;
  const { sets, seen } = state;
  const [view, setView] = useState<View>(sets.length === 0 ? 'import' : 'audit');
  const [taken, setTaken] = useState<string | null>(null);
  const runs = useSetRuns(jobId);
  const otherMotors_ohm = useOtherMotors(jobId);
  const chosen = sets.find((s) => s.id === taken) ?? sets[sets.length - 1] ?? null;
  const { control: itsControl, trouble } = useControl(chosen?.typeId ?? null);
  const unit = useMemo(
    () => (chosen === null || itsControl === null ? null : unitOf(chosen, itsControl, rating)),
    [chosen, itsControl, rating],
  );
  const take = (set: Parameters<typeof store.record<'set.kept'>>[1]) => {
    setTaken(store.record('set.kept', set));
    setView('audit');
  };
  return (
    <Section title="Parameter sets">
      <Tabs label="Actions for the set" panels={views} open={view} choose={setView}>
        {view === 'import' ? (
          <ImportForm catalogue={catalogue} typeId={typeId} rating={rating} keep={take} />
        ) : view === 'library' ? (
          <LibraryView jobId={jobId} rating={rating} take={take} />
        ) : view === 'hand' ? (
          <ByHandView control={control} state={state} ask={ask} />
        ) : chosen === null ? (
          <Text>No parameter set yet: read out the drive over the link, or import a set.</Text>
        ) : (
          <>
            <SetChooser
              label="Set"
              jobId={jobId}
              sets={sets}
              chosen={chosen}
              choose={setTaken}
              unit={unit}
              markGood={(why) => store.record('set.good', { set: chosen.id, why })}
            />
            {unit === null ? (
              <Text role="status">{trouble ?? 'Loading catalogue data of this type…'}</Text>
            ) : (
              <>
                {view === 'audit' && (
                  <AuditView
                    set={unit}
                    state={state}
                    otherMotors_ohm={otherMotors_ohm}
                    jumper={(input, position) => store.record('startup.jumper', { input, position })}
                  />
                )}
                {view === 'compare' && (
                  <CompareView
                    set={unit}
                    id={chosen.id}
                    state={state}
                    drive={{ typeId, control, rating }}
                    sheet={sheet}
                  />
                )}
                {view === 'plan' &&
                  (chosen.typeId === typeId ? (
                    <PlanView
                      key={chosen.id}
                      set={{ ...unit, rating }}
                      kept={chosen}
                      state={state}
                      target={target}
                      runs={runs}
                      choose={setTaken}
                    />
                  ) : (
                    otherType
                  ))}
                {view === 'keys' &&
                  (chosen.typeId === typeId ? (
                    <KeysView
                      key={chosen.id}
                      jobId={jobId}
                      set={unit}
                      rating={rating}
                      kept={chosen}
                      control={control}
                      seen={seen}
                      sets={sets}
                    />
                  ) : (
                    otherType
                  ))}
                {view === 'translate' && (
                  <TranslateView
                    key={chosen.id}
                    set={unit}
                    to={{ typeId, control, rating }}
                    keep={(values, choices) =>
                      store.record('set.kept', {
                        name: `${chosen.name}, translated to ${typeId}`.slice(0, 200),
                        typeId,
                        rating,
                        values,
                        strangers: [],
                        source: 'translated',
                        from: chosen.id,
                        chosen: choices,
                      })
                    }
                  />
                )}
              </>
            )}
          </>
        )}
      </Tabs>
    </Section>
  );
}
