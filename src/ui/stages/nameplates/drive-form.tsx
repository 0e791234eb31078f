'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { stageOf, usualStrip, type DriveType } from '@/core/equipment/catalogue';
import type { Payload } from '@/core/logbook';
import { stage as stageWith } from '@/core/equipment/power-stage';
import { Primary } from '../../kit/buttons';
import { FieldGrid, KeptNote } from '../../kit/section';
import { Choice, Field, Select } from '../../kit/field';
import { Photos } from '../../kit/photos';
import { numberFrom } from '../../kit/number-from';

type Drive = Payload<'identify.drive'>;
interface LabelText {
  maker: string;
  type: string;
  badge: string;
  serial: string;
  supply_V: string;
  ratedAmps: string;
  capacitance_uF: string;
  bleeder_kohm: string;
  labelWait_min: string;
}

const freeEntry = 'free';
const keyOf = (type: DriveType, model: string): string => `${type.id} ${model}`;

const asText = (d: Drive | null): LabelText => ({
  maker: d?.maker ?? '',
  type: d?.type ?? '',
  badge: d?.badge ?? '',
  serial: d?.serial ?? '',
  supply_V: String(d?.supply_V ?? 400),
  ratedAmps: d === null ? '' : String(d.ratedAmps),
  capacitance_uF: String(d?.stage.capacitance_uF ?? 1000),
  bleeder_kohm: String((d?.stage.bleederOhm ?? 150_000) / 1000),
  labelWait_min: String(d?.labelWait_min ?? 5),
});

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
  const [phases, setPhases] = useState<'1' | '3'>(drive?.phases === 1 ? '1' : '3');
  const [brake, setBrake] = useState<'yes' | 'no'>(drive?.stage.brake === false ? 'no' : 'yes');
  const [link, setLink] = useState<'none' | 'link'>(drive?.stage.link === 'link' ? 'link' : 'none');
  const [similar, setSimilar] = useState(drive?.drawingOnlySimilar ?? false);
  const [photos, setPhotos] = useState<string[]>(drive?.photos ?? []);
  const [kept, setKept] = useState<string | null>(null);
  const { register, handleSubmit, reset, getValues, formState } = useForm<LabelText>({
    defaultValues: asText(drive),
  });
  const type = catalogue.find((t) => t.models.some((m) => keyOf(t, m.type) === chosen)) ?? null;
  const model = type?.models.find((m) => keyOf(type, m.type) === chosen) ?? null;

  const choose = (key: string) => {
    setChosen(key);
    const t = catalogue.find((c) => c.models.some((m) => keyOf(c, m.type) === key));
    const m = t?.models.find((x) => keyOf(t, x.type) === key);
    if (t === undefined || m === undefined) return;
    setPhases(t.phases === 1 ? '1' : '3');
    const { badge, serial } = getValues();
    reset({
      badge,
      serial,
      maker: t.maker,
      type: m.type,
      supply_V: String(t.supply_V),
      ratedAmps: String(m.ratedAmps),
      capacitance_uF: String(m.capacitance_uF),
      bleeder_kohm: String(m.bleederOhm / 1000),
      labelWait_min: String(t.labelWait_min),
    });
  };

  const submit = handleSubmit((form) => {
    const number = (text: string): number => numberFrom(text) ?? 0;
    const bank = {
      capacitance_uF: number(form.capacitance_uF),
      bleederOhm: number(form.bleeder_kohm) * 1000,
    };
    const free = stageWith({
      frontEnd: phases === '1' ? 'diode-1ph' : 'diode-3ph',
      link,
      dcrAccessible: link === 'link',
      brake: brake === 'yes',
    });
    const stage = { ...(type !== null && model !== null ? stageOf(type, model) : free), ...bank };
    keep({
      typeId: type?.id ?? null,
      maker: form.maker.trim(),
      type: form.type.trim(),
      badge: form.badge.trim(),
      serial: form.serial.trim(),
      supply_V: number(form.supply_V),
      phases: phases === '1' ? 1 : 3,
      ratedAmps: number(form.ratedAmps),
      labelWait_min: number(form.labelWait_min),
      drawingOnlySimilar: similar,
      stage,
      strip: type?.strip ?? usualStrip(stage),
      photos,
    });
    setKept('Drive label kept.');
  });

  const figure = { validate: (v: string) => numberFrom(v) !== null || 'A figure above zero, like 15' };
  const error = formState.errors;
  return (
    <form onSubmit={(e) => void submit(e)} aria-label="Drive label">
      <FieldGrid>
        <Select
          label="Type"
          value={chosen}
          onChange={choose}
          options={[
            { value: freeEntry, label: 'not in the catalogue: free entry' },
            ...catalogue.flatMap((t) =>
              t.models.map((m) => ({ value: keyOf(t, m.type), label: `${t.maker} ${m.type}` })),
            ),
          ]}
        />
        <Field
          label="Maker"
          error={error.maker?.message}
          {...register('maker', { required: 'Read it from the label' })}
        />
        <Field
          label="Type code"
          error={error.type?.message}
          {...register('type', { required: 'Read it from the label' })}
        />
        <Field label="Badge on the cover" hint="if a reseller's name" {...register('badge')} />
        <Field label="Serial number" {...register('serial')} />
        <Field
          label="Supply"
          figure
          unit="V"
          error={error.supply_V?.message}
          {...register('supply_V', figure)}
        />
        <Choice
          label="Phases in"
          value={phases}
          onChange={setPhases}
          disabled={type !== null}
          options={[
            { value: '3', label: 'three' },
            { value: '1', label: 'one' },
          ]}
        />
        <Field
          label="Rated output"
          figure
          unit="A"
          error={error.ratedAmps?.message}
          {...register('ratedAmps', figure)}
        />
        <Field
          label="Wait on the label"
          figure
          unit="min"
          error={error.labelWait_min?.message}
          {...register('labelWait_min', figure)}
        />
        <Field
          label="Bank"
          figure
          unit="µF"
          hint="estimate if unknown"
          error={error.capacitance_uF?.message}
          {...register('capacitance_uF', figure)}
        />
        <Field
          label="Bleeder"
          figure
          unit="kΩ"
          hint="estimate if unknown"
          error={error.bleeder_kohm?.message}
          {...register('bleeder_kohm', figure)}
        />
      </FieldGrid>
      {type === null && (
        <FieldGrid>
          <Choice
            label="Brake terminal"
            value={brake}
            onChange={setBrake}
            options={[
              { value: 'yes', label: 'yes' },
              { value: 'no', label: 'no' },
            ]}
          />
          <Choice
            label="Link or choke terminals"
            value={link}
            onChange={setLink}
            options={[
              { value: 'none', label: 'none' },
              { value: 'link', label: 'yes' },
            ]}
          />
        </FieldGrid>
      )}
      <Box as="label" display="inline-flex" gap="2.5" alignItems="center" minH="48px" mb="3" cursor="pointer">
        <input type="checkbox" checked={similar} onChange={(e) => setSimilar(e.target.checked)} />
        The drawing at hand is only similar to this unit
      </Box>
      <Box mb="3">
        <Photos label="Drive label" photos={photos} onChange={setPhotos} />
      </Box>
      <Primary type="submit">Keep drive label</Primary>
      <KeptNote text={kept} />
    </form>
  );
}
