import { Box } from '@chakra-ui/react';
import type { DriveType } from '@/core/equipment/catalogue';
import type { PlateUnit } from '@/core/job/swap';
import { FieldGrid } from '../../kit/section';
import { Field, NumberField, Select } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';

/** A unit as it is typed. */
export interface TypedUnit {
  /** `<type id>|<model>`; `other`: not in the catalogue; empty: nothing chosen. */
  pick: string;
  maker: string;
  type: string;
  supply_V: string;
  phases: '1' | '3';
  ratedAmps: string;
  serial: string;
  firmware: string;
}

export const noUnit: TypedUnit = {
  pick: '',
  maker: '',
  type: '',
  supply_V: '400',
  phases: '3',
  ratedAmps: '',
  serial: '',
  firmware: '',
};

export const typedUnit = (unit: PlateUnit | null): TypedUnit =>
  unit === null
    ? noUnit
    : {
        pick: unit.typeId === null ? 'other' : `${unit.typeId}|${unit.type}`,
        maker: unit.maker,
        type: unit.type,
        supply_V: String(unit.supply_V),
        phases: unit.phases === 1 ? '1' : '3',
        ratedAmps: String(unit.ratedAmps),
        serial: unit.serial ?? '',
        firmware: unit.firmware ?? '',
      };

/** What was typed as a unit; null while something is missing, undefined where nothing was chosen. */
export function unitFrom(typed: TypedUnit, catalogue: readonly DriveType[]): PlateUnit | null | undefined {
  if (typed.pick === '') return undefined;
  const more = {
    ...(typed.serial.trim() === '' ? {} : { serial: typed.serial.trim() }),
    ...(typed.firmware.trim() === '' ? {} : { firmware: typed.firmware.trim() }),
  };
  const [typeId, name] = typed.pick.split('|');
  const type = catalogue.find((t) => t.id === typeId);
  const model = type?.models.find((m) => m.type === name);
  if (type !== undefined && model !== undefined)
    return {
      typeId: type.id,
      maker: type.maker,
      type: model.type,
      supply_V: type.supply_V,
      phases: type.phases,
      ratedAmps: model.ratedAmps,
      ...more,
    };
  const [volts, amps] = [numberFrom(typed.supply_V), numberFrom(typed.ratedAmps)];
  if (volts === null || amps === null || typed.maker.trim() === '' || typed.type.trim() === '') return null;
  return {
    typeId: null,
    maker: typed.maker.trim(),
    type: typed.type.trim(),
    supply_V: volts,
    phases: typed.phases === '1' ? 1 : 3,
    ratedAmps: amps,
    ...more,
  };
}

/** A unit from the catalogue, or by its plate. */
export function UnitPicker({
  label,
  catalogue,
  typed,
  set,
}: {
  label: string;
  catalogue: readonly DriveType[];
  typed: TypedUnit;
  set: (typed: TypedUnit) => void;
}) {
  const change = (some: Partial<TypedUnit>) => set({ ...typed, ...some });
  return (
    <Box role="group" aria-label={label}>
      <FieldGrid min="170px">
        <Select
          label={label}
          value={typed.pick}
          onChange={(pick) => change({ pick })}
          options={[
            { value: '', label: 'not chosen' },
            ...catalogue.flatMap((t) =>
              t.models.map((m) => ({
                value: `${t.id}|${m.type}`,
                label: `${t.maker} ${m.type}, ${m.ratedAmps} A${t.discontinued ? ', no longer made' : ''}`,
              })),
            ),
            { value: 'other', label: 'not in the catalogue' },
          ]}
        />
        {typed.pick !== '' && (
          <>
            <Field
              label={`Serial number, ${label.toLowerCase()}`}
              value={typed.serial}
              maxLength={60}
              onChange={(e) => change({ serial: e.target.value })}
            />
            <Field
              label={`Firmware, ${label.toLowerCase()}`}
              value={typed.firmware}
              maxLength={60}
              onChange={(e) => change({ firmware: e.target.value })}
            />
          </>
        )}
      </FieldGrid>
      {typed.pick === 'other' && (
        <FieldGrid min="150px">
          <Field
            label="Maker"
            value={typed.maker}
            maxLength={60}
            onChange={(e) => change({ maker: e.target.value })}
          />
          <Field
            label="Type"
            value={typed.type}
            maxLength={60}
            onChange={(e) => change({ type: e.target.value })}
          />
          <NumberField
            label="Supply"
            unit="V"
            text={typed.supply_V}
            set={(supply_V) => change({ supply_V })}
          />
          <Select
            label="Phases"
            value={typed.phases}
            onChange={(phases) => change({ phases })}
            options={[
              { value: '3', label: '3' },
              { value: '1', label: '1' },
            ]}
          />
          <NumberField
            label="Rated amps"
            unit="A"
            text={typed.ratedAmps}
            set={(ratedAmps) => change({ ratedAmps })}
          />
        </FieldGrid>
      )}
    </Box>
  );
}
