'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { keysOf } from '@/core/numerics/arrays';
import { unknownWait_min } from '@/core/bench/make-safe';
import type { DriveModel, DriveType } from '@/core/equipment/catalogue';
import { isStated, type Stage } from '@/core/equipment/power-stage';
import type { Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { frontEndOptions } from '../../kit/front-end-picture';
import { KeptNote } from '../../kit/kept-note';
import { Choice, Field, Select, optionsOf } from '../../kit/field';
import { useTypedForm } from '../../kit/typed-form';
import { TickBox } from '../../kit/tick';
import { Photos } from '../../kit/photos';
import { driveTexts } from './plate-items';
import { PlateReader } from './plate-reader';
import { driveLabelSchema, driveOf, labelTextFrom, labelTextOf, type LabelText } from './drive-label';

type Drive = Payload<'identify.drive'>;

interface LabelField {
  name: keyof LabelText;
  label: string;
  unit?: string;
  hint?: string;
}
const plainFields: readonly LabelField[] = [
  { name: 'maker', label: 'Maker' },
  { name: 'type', label: 'Type code' },
  { name: 'badge', label: 'Brand on the cover', hint: 'If different from the maker' },
  { name: 'serial', label: 'Serial number' },
  { name: 'supply_V', label: 'Supply', unit: 'V', hint: 'Empty if not known' },
];
const ratedFields: readonly LabelField[] = [
  { name: 'ratedAmps', label: 'Rated output current', unit: 'A' },
  {
    name: 'labelWait_min',
    label: 'Discharge time on the label',
    unit: 'min',
    hint: `Empty if none: ${unknownWait_min} min is used`,
  },
  { name: 'capacitance_uF', label: 'Capacitor bank', unit: 'µF', hint: 'Empty if not known' },
  { name: 'bleeder_kohm', label: 'Bleeder resistor', unit: 'kΩ', hint: 'Empty if not known' },
];

const linkWords = {
  none: 'nothing',
  link: 'link or choke',
  precharge: 'precharge resistor',
  unknown: 'not known',
} as const;
const fuseWords = { none: 'none', inverter: 'yes', unknown: 'not known' } as const;
/** What was stated of a part of the power stage. */
const partOf = <P extends 'link' | 'fuse'>(stage: Stage | undefined, part: P): Stage[P] | 'unknown' =>
  stage === undefined || !isStated(stage, part) ? 'unknown' : stage[part];

const brakeOf = (stage: Stage | undefined): 'yes' | 'no' | 'unknown' =>
  stage === undefined || !isStated(stage, 'brake') ? 'unknown' : stage.brake ? 'yes' : 'no';

const freeEntry = 'free';
const keyOf = (type: DriveType, model: string): string => `${type.id} ${model}`;
const catalogued = (
  catalogue: readonly DriveType[],
  key: string,
): { type: DriveType; model: DriveModel } | null =>
  catalogue
    .flatMap((type) => type.models.map((model) => ({ type, model })))
    .find(({ type, model }) => keyOf(type, model.type) === key) ?? null;

/** The drive's rating label: a type of the catalogue, or free entry. */
export function DriveForm({
  drive,
  catalogue,
  keep,
}: {
  drive: Drive | null;
  catalogue: readonly DriveType[];
  keep: (drive: Drive) => void;
}) {
  const [chosen, setChosen] = useState(drive?.typeId ? `${drive.typeId} ${drive.type}` : freeEntry);
  const [frontEnd, setFrontEnd] = useState<Stage['frontEnd']>(drive?.stage.frontEnd ?? 'diode-3ph');
  const [brake, setBrake] = useState<'yes' | 'no' | 'unknown'>(() => brakeOf(drive?.stage));
  const [link, setLink] = useState(() => partOf(drive?.stage, 'link'));
  const [fuse, setFuse] = useState(() => partOf(drive?.stage, 'fuse'));
  const [similar, setSimilar] = useState(drive?.drawingOnlySimilar ?? false);
  const [photos, setPhotos] = useState<string[]>(drive?.photos ?? []);
  const [kept, setKept] = useState<string | null>(null);
  const { typed, refused, text, set, submit } = useTypedForm(
    'drive label',
    driveLabelSchema,
    labelTextOf(drive),
  );
  const known = catalogued(catalogue, chosen);

  const choose = (key: string) => {
    setChosen(key);
    const next = catalogued(catalogue, key);
    if (next === null) return;
    setFrontEnd(next.type.stage.frontEnd);
    const label = labelTextFrom(next.type, next.model, typed);
    for (const name of keysOf(label)) set(name, label[name]);
  };
  const save = submit((label) => {
    keep(driveOf(label, { frontEnd, brake, link, fuse, similar, photos }, known));
    setKept('Drive nameplate saved.');
  });
  const field = ({ name, ...shown }: LabelField) => (
    <Field key={name} figure={shown.unit !== undefined} {...shown} {...text(name)} />
  );
  return (
    <>
      <PlateReader
        said="Photo of the drive label"
        take={(taken) => {
          const texts = driveTexts(taken);
          for (const name of keysOf(typed)) {
            const value = texts[name];
            if (value !== undefined) set(name, value);
          }
          // Three lines may go onto thyristors, too: the label does not say.
          if (taken.phases === '1') setFrontEnd('diode-1ph');
          if (taken.phases === '3' && frontEnd === 'diode-1ph') setFrontEnd('diode-3ph');
        }}
      />
      <form onSubmit={save} noValidate aria-label="Drive label">
        <FieldGrid>
          <Select
            label="Type"
            value={chosen}
            onChange={choose}
            options={[
              { value: freeEntry, label: 'not in the catalogue: enter by hand' },
              ...catalogue.flatMap((t) =>
                t.models.map((m) => ({ value: keyOf(t, m.type), label: `${t.maker} ${m.type}` })),
              ),
            ]}
          />
          {plainFields.map(field)}
          {ratedFields.map(field)}
        </FieldGrid>
        {known === null && (
          <Box mb="4">
            <Choice label="Rectifier" value={frontEnd} onChange={setFrontEnd} options={frontEndOptions} />
          </Box>
        )}
        {known === null && (
          <FieldGrid>
            <Choice
              label="Brake terminal"
              value={brake}
              onChange={setBrake}
              options={optionsOf({ yes: 'yes', no: 'no', unknown: 'not known' })}
            />
            <Choice
              label="Between rectifier and capacitor bank"
              value={link}
              onChange={setLink}
              options={optionsOf(linkWords)}
            />
            <Choice label="DC bus fuse" value={fuse} onChange={setFuse} options={optionsOf(fuseWords)} />
          </FieldGrid>
        )}
        <Box
          as="label"
          display="inline-flex"
          gap="2.5"
          alignItems="center"
          minH="48px"
          mb="3"
          cursor="pointer"
        >
          <TickBox checked={similar} onChange={setSimilar} />
          Available drawing is only similar to this unit
        </Box>
        <Box mb="3">
          <Photos label="Drive label" photos={photos} onChange={setPhotos} />
        </Box>
        <Primary type="submit">Save drive nameplate</Primary>
        <KeptNote text={kept} refused={refused} />
      </form>
    </>
  );
}
