import { Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control, DriveType } from '@/core/catalogue';
import type { Rating } from '@/core/drive-words';
import type { KeptSet } from '@/core/logbook';
import type { UnitSet } from '@/core/parameters';
import { useControl } from '../catalogue/use-control';
import type { JobStore } from '../job/use-job';
import { Section } from '../kit/face';
import { PanelSwitch } from '../kit/panel-switch';
import { AuditView } from './audit-view';
import { CompareView } from './compare-view';
import { ImportForm } from './import-form';
import { PlanView, type Writer } from './plan-view';
import { SetChooser } from './set-chooser';
import { TranslateView } from './translate-view';

type View = 'audit' | 'compare' | 'translate' | 'plan' | 'import';
const views: readonly { id: View; name: string }[] = [
  { id: 'audit', name: 'Audit' },
  { id: 'compare', name: 'Compare' },
  { id: 'translate', name: 'Translate' },
  { id: 'plan', name: 'Write' },
  { id: 'import', name: 'Bring in' },
];

/** A kept set as a unit that can be computed with. */
const unitOf = (set: KeptSet, control: Control, rating: Rating): UnitSet => ({
  typeId: set.typeId,
  control,
  rating: set.rating ?? rating,
  values: set.values,
});

/** Parameter sets of a job: audited, compared, carried to the drive's type, brought in. */
export function SetsPanel({
  store,
  catalogue,
  control,
  typeId,
  rating,
  writer,
}: {
  store: JobStore;
  catalogue: readonly DriveType[];
  /** Of the job's drive. */
  control: Control;
  typeId: string;
  rating: Rating;
  /** Null: no drive answers. */
  writer: Writer | null;
}) {
  const { sets, seen, registers } = store.state;
  const [view, setView] = useState<View>(sets.length === 0 ? 'import' : 'audit');
  const [taken, setTaken] = useState<string | null>(null);
  const chosen = sets.find((s) => s.id === taken) ?? sets[sets.length - 1] ?? null;
  const { control: itsControl, trouble } = useControl(chosen?.typeId ?? null);
  const unit = chosen === null || itsControl === null ? null : unitOf(chosen, itsControl, rating);
  return (
    <Section title="Parameter sets">
      <PanelSwitch label="What to do with a set" panels={views} open={view} choose={setView} />
      {view === 'import' ? (
        <ImportForm
          catalogue={catalogue}
          typeId={typeId}
          rating={rating}
          keep={(set) => {
            setTaken(store.record('set.kept', set));
            setView('audit');
          }}
        />
      ) : chosen === null ? (
        <Text>No set is kept yet: read the drive out over the link, or bring one in.</Text>
      ) : (
        <>
          <SetChooser label="Set" sets={sets} chosen={chosen} choose={setTaken} unit={unit} />
          {unit === null ? (
            <Text role="status">{trouble ?? 'Fetching what the catalogue says of this type…'}</Text>
          ) : (
            <>
              {view === 'audit' && <AuditView set={unit} state={store.state} />}
              {view === 'compare' && (
                <CompareView set={unit} id={chosen.id} sets={sets} drive={{ typeId, control, rating }} />
              )}
              {view === 'plan' &&
                (chosen.typeId === typeId ? (
                  <PlanView
                    key={chosen.id}
                    set={{ ...unit, rating }}
                    name={chosen.name}
                    control={control}
                    seen={seen}
                    changedSince={registers.writes.some(
                      (w) => w.outcome !== 'failed' && w.askedAt > (seen?.readAt ?? 0),
                    )}
                    writer={writer}
                  />
                ) : (
                  <Text>This set is of another type: translate it first, and take what comes of it.</Text>
                ))}
              {view === 'translate' && (
                <TranslateView
                  key={chosen.id}
                  set={unit}
                  to={{ typeId, control, rating }}
                  keep={(values, choices) =>
                    store.record('set.kept', {
                      name: `${chosen.name}, carried to ${typeId}`.slice(0, 200),
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
    </Section>
  );
}
