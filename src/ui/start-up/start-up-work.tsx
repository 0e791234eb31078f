import { Box, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { ratingOf, type Control } from '@/core/catalogue';
import { runState } from '@/core/commissioning';
import { meaningOf } from '@/core/drive-words';
import { holdsSignature, motorAgainst, type Payload } from '@/core/logbook';
import type { Plate } from '@/core/plate';
import { differing, sheetAgainst, startUpSheet, wantedOf, type SheetRow, type Typed } from '@/core/settings';
import type { FaceProps } from '../job/faces';
import { SignButton } from '../job/sign-button';
import { Secondary } from '../kit/buttons';
import { Caution } from '../kit/caution';
import { KeptNote, Section } from '../kit/face';
import { PanelSwitch } from '../kit/panel-switch';
import { dateTime } from '../kit/time';
import { ConfirmWrite } from '../trace/confirm-write';
import { LinkBar } from '../trace/link-bar';
import { useReadOut } from '../trace/use-read-out';
import { useWrite, type WriteWish } from '../trace/use-write';
import { AnalogLine } from './analog-line';
import { ChoicesForm } from './choices-form';
import { fitHere } from './fit-of';
import { PlacePanel } from './place-panel';
import { Ramps } from './ramps';
import { stepsFor } from './run-of';
import { RunPanel } from './run-panel';
import { SheetRows } from './sheet-rows';

type Panel = 'choices' | 'place' | 'sheet' | 'ramps' | 'run';
const panels: readonly { id: Panel; name: string }[] = [
  { id: 'choices', name: 'Load and control' },
  { id: 'place', name: 'Supply and place' },
  { id: 'sheet', name: 'Start-up sheet' },
  { id: 'ramps', name: 'Ramps' },
  { id: 'run', name: 'Commissioning run' },
];

/**
 * What differs, as writes. What resets others is written alone, and the drive read again: the rest would be
 * compared with values that are gone.
 */
function wishesFor(rows: readonly SheetRow[], control: Control, typed: Typed): WriteWish[] {
  const all = rows.flatMap((row): WriteWish[] => {
    const parameter = control.parameters.find((p) => p.number === row.number);
    const to = wantedOf(row, typed);
    return parameter === undefined || to === null || row.now === null
      ? []
      : [{ parameter, from: row.now, to, reason: 'start-up sheet', trial: false }];
  });
  const resetting = all.filter((w) => w.parameter.resets !== undefined);
  return resetting.length > 0 ? resetting.slice(0, 1) : all;
}

/** The start-up sheet, against what is in the drive, until it is signed. */
export function StartUpWork({
  jobId,
  store,
  person,
  catalogue,
  drive,
  plate,
  control,
}: FaceProps & { drive: Payload<'identify.drive'>; plate: Plate; control: Control }) {
  const { startUp, seen, registers, seq } = store.state;
  const { chosen, typed, signed } = startUp;
  const [panel, setPanel] = useState<Panel>(chosen === null ? 'choices' : 'sheet');
  const [target, setTarget] = useState<string | null>(null);
  const [wishes, setWishes] = useState<readonly WriteWish[]>([]);
  const [refusals, setRefusals] = useState(0);
  const [note, setNote] = useState<string | null>(null);
  const readOut = useReadOut(store, target, drive.typeId, setNote);
  const { writing, trouble, write } = useWrite(store, target, drive.typeId, setNote);
  const rating = useMemo(() => ratingOf(drive, catalogue), [drive, catalogue]);
  const values = useMemo(() => seen?.values ?? {}, [seen]);
  const sheet = useMemo(
    () =>
      chosen === null
        ? null
        : startUpSheet({ plate, control, rating, values, choices: chosen.choices, supply: chosen.supply }),
    [plate, control, rating, values, chosen],
  );
  const steps = useMemo(
    () => (chosen === null ? [] : stepsFor(control, values, chosen.choices)),
    [control, values, chosen],
  );
  const results = startUp.run.map((r) => r.payload);
  const left = runState(steps, results).open;
  const fit = useMemo(
    () =>
      startUp.place === null || chosen === null
        ? null
        : fitHere(startUp.place, { drive, plate, control, supplyVolts: chosen.supply.volts }),
    [startUp.place, chosen, drive, plate, control],
  );
  const carrier = meaningOf(control, values, 'switching.frequency');
  const held = holdsSignature(registers);
  const against =
    sheet === null
      ? []
      : [
          ...sheetAgainst(sheet, typed, control, values),
          ...motorAgainst(startUp),
          ...(fit?.findings.filter((f) => f.severity === 'wrong').map((f) => f.text) ?? []),
          ...(held === null ? [] : [held]),
          ...(left.length === 0
            ? []
            : [
                `${left.length} steps of the commissioning run are open: ${left
                  .slice(0, 3)
                  .map((s) => s.title)
                  .join(', ')}${left.length > 3 ? ' …' : ''}.`,
              ]),
        ];
  const toWrite = sheet === null ? [] : wishesFor(differing(sheet, typed), control, typed);
  /** One after the other; the first that is not taken stops it. */
  const writeAll = async ([first, ...others]: readonly WriteWish[]): Promise<void> => {
    if (first === undefined) return setWishes([]);
    if (!(await write(first))) {
      setWishes([first, ...others]);
      return setRefusals((n) => n + 1);
    }
    await writeAll(others);
  };
  return (
    <>
      {sheet?.findings
        .filter((f) => f.severity === 'wrong')
        .map((f) => (
          <Caution key={f.code} grave title="Wrong.">
            {f.text} {f.sum}.
          </Caution>
        ))}
      <PanelSwitch
        label="Settings"
        panels={chosen === null ? panels.slice(0, 1) : panels}
        open={panel}
        choose={setPanel}
      />
      {panel === 'choices' && (
        <ChoicesForm
          control={control}
          plate_Hz={plate.hz}
          supply_V={drive.supply_V}
          chosen={chosen}
          keep={(next) => {
            store.record('startup.choices', next);
            setPanel('sheet');
          }}
        />
      )}
      {panel === 'sheet' && sheet !== null && (
        <>
          {drive.typeId !== null && (
            <LinkBar
              typeId={drive.typeId}
              target={target}
              take={setTarget}
              reading={readOut.reading}
              read={() => void readOut.read()}
              trouble={readOut.trouble ?? trouble}
            />
          )}
          <KeptNote text={note} />
          {wishes.length > 0 && (
            <ConfirmWrite
              key={`${wishes.map((w) => `${w.parameter.number} ${w.to}`).join()} ${refusals}`}
              wishes={wishes}
              writing={writing}
              cancel={() => setWishes([])}
              go={() => void writeAll(wishes)}
            />
          )}
          {target !== null && wishes.length === 0 && toWrite.length > 1 && (
            <Secondary mb="3" onClick={() => setWishes(toWrite)}>
              Write all {toWrite.length} that differ
            </Secondary>
          )}
          <SheetRows
            rows={sheet.rows}
            control={control}
            typed={typed}
            setValue={(number, value, reason) => store.record('startup.value', { number, value, reason })}
            write={
              target === null
                ? null
                : (parameter, from, to) =>
                    setWishes([{ parameter, from, to, reason: 'start-up sheet', trial: false }])
            }
          />
          {chosen !== null && <AnalogLine control={control} choices={chosen.choices} plate_Hz={plate.hz} />}
          <Section title="Signing">
            {against.map((line) => (
              <Text key={line} color="failed" fontWeight="500" mb="1">
                {line}
              </Text>
            ))}
            {seen === null && (
              <Text mb="2">
                Nothing was read back: read out over the link, or the sheet says that it was entered by hand.
              </Text>
            )}
            {signed === null ? (
              <SignButton
                person={person}
                waiting={store.unsent.size > 0}
                held={against.length > 0}
                sign={() => store.record('startup.signed', { seq, entries: sheet.rows.length, against: [] })}
              />
            ) : (
              <Text mb="2">
                Signed by {signed.by.name}, {dateTime(signed.receivedAt ?? signed.at)}. A change takes the
                signature off.
              </Text>
            )}
            <Box display="flex" gap="2" flexWrap="wrap" mt="3">
              <Secondary asChild>
                <a href={`/api/v1/jobs/${jobId}/start-up?form=pdf`} download>
                  PDF
                </a>
              </Secondary>
              <Secondary asChild>
                <a href={`/api/v1/jobs/${jobId}/start-up?form=csv`} download>
                  CSV
                </a>
              </Secondary>
            </Box>
          </Section>
        </>
      )}
      {panel === 'place' && (
        <PlacePanel
          place={startUp.place}
          phases={drive.phases}
          type={drive.type}
          control={control}
          ratedAmps={drive.ratedAmps}
          carrier_kHz={typeof carrier === 'number' ? carrier : 4}
          fit={fit}
          keep={(place) => store.record('startup.place', place)}
        />
      )}
      {panel === 'run' && chosen !== null && (
        <RunPanel
          steps={steps}
          results={results}
          plate_A={plate.amps}
          keep={(result) => store.record('commission.step', result)}
        />
      )}
      {panel === 'ramps' && chosen !== null && (
        <Ramps plate={plate} rating={rating} drive={drive} catalogue={catalogue} choices={chosen.choices} />
      )}
    </>
  );
}
