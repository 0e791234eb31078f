import { useMemo, useState } from 'react';
import { ratingOf, type Control } from '@/core/equipment/catalogue';
import { meaningOf, parameterFor, type Values } from '@/core/equipment/drive-words';
import { isLoose, type JobState, type Payload } from '@/core/logbook';
import type { Plate } from '@/core/equipment/plate';
import { analogLineOf, releaseOf, type Release } from '@/core/job/release';
import { wantedOf } from '@/core/commissioning/settings';
import type { StageProps } from '../../job-store/stage-props';
import { Caution } from '../../kit/caution';
import { KeptNote } from '../../kit/kept-note';
import { Tabs } from '../../kit/tabs';
import { ParameterSetsPanel } from './parameter-sets/parameter-sets-panel';
import { LinkBar } from '../../drive-link/link-bar';
import { LinkShut, whyLinkShut } from '../../drive-link/link-shut';
import { useLive } from '../../drive-link/use-live';
import { useReadOut } from '../../drive-link/use-read-out';
import { useWrite, type WriteWish } from '../../drive-link/use-write';
import { ChoicesForm } from './choices-form';
import type { Watched } from './evidence';
import { PlacePanel } from './place-panel';
import { Missing } from './missing';
import { Ramps } from './ramps';
import { RunPanel } from './run-panel';
import { SheetPanel } from './sheet-panel';
import { Signing } from './signing';
import { Text } from '../../kit/text';
import { AskToWrite, useWishes } from './wishes';

type Panel = 'choices' | 'place' | 'sheet' | 'ramps' | 'run' | 'sets';
const panels: readonly { id: Panel; name: string }[] = [
  { id: 'choices', name: 'Load and control' },
  { id: 'place', name: 'Supply and installation' },
  { id: 'sheet', name: 'Start-up sheet' },
  { id: 'ramps', name: 'Ramps' },
  { id: 'run', name: 'Commissioning run' },
  { id: 'sets', name: 'Parameter sets' },
];
/** Before the load is chosen there is no sheet; without a job nothing is run. */
const panelsOf = (state: JobState) =>
  panels.filter(
    ({ id }) =>
      (id !== 'run' || !isLoose(state)) &&
      (state.startUp.chosen !== null || id === 'choices' || id === 'sets'),
  );

/** Asks for the write that keeps everything in memory; null where the type keeps it by itself, or was not read. */
function saving(
  control: Control,
  values: Values,
  ask: (wishes: readonly WriteWish[]) => void,
): (() => void) | null {
  const parameter = parameterFor(control, 'store.save');
  const from = parameter === undefined ? undefined : values[parameter.number];
  const to = parameter?.choices?.find((c) => c.means === 'now')?.value;
  return parameter === undefined || from === undefined || to === undefined
    ? null
    : () => ask([{ parameter, from, to, reason: 'saved to memory', trial: false }]);
}

const nothing = (): void => undefined;

/** What on the sheet contradicts the nameplates. */
const WrongValues = ({ findings }: { findings: Release['sheet']['findings'] }) =>
  findings
    .filter((f) => f.severity === 'wrong')
    .map((f) => (
      <Caution key={f.code} grave signal={null} title="Wrong value.">
        {f.text} {f.sum}.
      </Caution>
    ));

/** The start-up sheet, against what is in the drive, until it is signed. */
export function CommissioningWork({
  jobId,
  store,
  person,
  catalogue,
  drive,
  plate,
  control,
}: StageProps & { drive: Payload<'identify.drive'>; plate: Plate; control: Control }) {
  const { state } = store;
  const { startUp, seen } = state;
  const { chosen } = startUp;
  const shut = whyLinkShut(state, control);
  const [panel, setPanel] = useState<Panel>(chosen === null ? 'choices' : 'sheet');
  const [target, setTarget] = useState<string | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const readOut = useReadOut(store, target, drive.typeId, setNote);
  const { writing, trouble, write } = useWrite(store, target, setNote);
  const wishes = useWishes(write);
  const rating = useMemo(() => ratingOf(drive, catalogue), [drive, catalogue]);
  const values = useMemo(() => seen?.values ?? {}, [seen]);
  const release = useMemo(() => releaseOf(state, control, rating), [state, control, rating]);
  const sheet = useMemo(
    () =>
      release === null
        ? null
        : Object.fromEntries(
            release.sheet.rows.flatMap((row) => {
              const value = wantedOf(row, startUp.typed);
              return value === null ? [] : [[row.number, value]];
            }),
          ),
    [release, startUp.typed],
  );
  const { live, trouble: silent } = useLive(panel === 'run' ? target : null, drive.typeId, nothing);
  const carrier = meaningOf(control, values, 'switching.frequency');
  const watched: Watched = {
    live,
    control,
    values,
    line: release === null ? null : analogLineOf(control, release.choices, plate.hz),
    lost: release?.lost ?? null,
    away: startUp.cycle !== null && startUp.cycle.after === null,
    save: target === null ? null : saving(control, values, wishes.ask),
    powerOff: () => store.record('commission.power-off', {}),
    read: () => void readOut.read(),
    reading: readOut.reading,
    silent,
  };
  return (
    <>
      <WrongValues findings={release?.sheet.findings ?? []} />
      {release !== null && startUp.signed === null && !isLoose(state) && (
        <Missing issues={release.issues} goTo={setPanel} />
      )}
      <Tabs label="Commissioning" panels={panelsOf(state)} open={panel} choose={setPanel}>
        {panel === 'choices' && (
          <ChoicesForm
            control={control}
            plate_Hz={plate.hz}
            supply_V={rating.supply_V}
            chosen={chosen}
            keep={(next) => {
              store.record('startup.choices', next);
              setPanel('sheet');
            }}
          />
        )}
        {(panel === 'sheet' || panel === 'run' || panel === 'sets') && drive.typeId !== null && (
          <>
            {shut !== null ? (
              <LinkShut why={shut} />
            ) : (
              <LinkBar
                typeId={drive.typeId}
                target={target}
                take={setTarget}
                reading={readOut.reading}
                read={() => void readOut.read()}
                trouble={readOut.trouble ?? trouble ?? silent}
              />
            )}
            <KeptNote text={note} />
            <AskToWrite {...wishes} writing={writing} />
          </>
        )}
        {panel === 'sheet' && release !== null && (
          <SheetToSign
            jobId={jobId}
            store={store}
            person={person}
            control={control}
            plate={plate}
            release={release}
            linked={target !== null}
            wishes={wishes}
          />
        )}
        {panel === 'place' && (
          <PlacePanel
            place={startUp.place}
            phases={drive.phases}
            type={drive.type}
            control={control}
            ratedAmps={rating.ratedAmps}
            carrier_kHz={typeof carrier === 'number' ? carrier : 4}
            fit={release?.fit ?? null}
            keep={(place) => store.record('startup.place', place)}
          />
        )}
        {panel === 'run' && release !== null && (
          <RunPanel
            steps={release.steps}
            results={startUp.run.map((r) => r.payload)}
            plate_A={plate.amps}
            watched={watched}
            keep={(result) => store.record('commission.step', result)}
          />
        )}
        {panel === 'sets' && drive.typeId !== null && (
          <ParameterSetsPanel
            jobId={jobId}
            store={store}
            catalogue={catalogue}
            control={control}
            typeId={drive.typeId}
            rating={rating}
            target={target}
            sheet={sheet}
            ask={target === null ? null : wishes.ask}
          />
        )}
        {panel === 'ramps' && release !== null && (
          <Ramps
            plate={plate}
            rating={rating}
            drive={drive}
            catalogue={catalogue}
            control={control}
            choices={release.choices}
            store={store}
          />
        )}
      </Tabs>
    </>
  );
}

/** The start-up sheet against what is in the drive, and the signature under it. */
function SheetToSign({
  jobId,
  store,
  person,
  control,
  plate,
  release,
  linked,
  wishes,
}: Pick<StageProps, 'jobId' | 'store' | 'person'> & {
  control: Control;
  plate: Plate;
  release: Release;
  linked: boolean;
  wishes: ReturnType<typeof useWishes>;
}) {
  const { seen, seq, startUp } = store.state;
  return (
    <>
      <SheetPanel
        store={store}
        control={control}
        plate={plate}
        release={release}
        linked={linked}
        wishes={wishes}
      />
      {isLoose(store.state) ? (
        <Text>To sign this sheet, attach it to a job.</Text>
      ) : (
        <Signing
          jobId={jobId}
          person={person}
          issues={release.issues}
          signed={startUp.signed}
          waiting={store.unsent.size > 0}
          readBack={seen !== null}
          sign={(mayRun) =>
            store.record('startup.signed', {
              seq,
              entries: release.sheet.rows.length,
              against: [],
              ...(mayRun === null ? {} : { mayRun }),
            })
          }
        />
      )}
    </>
  );
}
