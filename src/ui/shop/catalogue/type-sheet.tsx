import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Control, DriveType } from '@/core/equipment/catalogue';
import { defaultOf, rangeText } from '@/core/equipment/drive-words';
import { FieldGrid, Section } from '../../kit/section';
import { Select, TextField, optionsOf } from '../../kit/field';
import { DataTable, type Column } from '../../kit/data-table';
import { PlainTable } from '../../kit/plain-table';
import { useControl } from '../../drive-link/use-control';
import { Cell, Text } from '../../kit/text';

const Mono = ({ children }: { children: string }) => (
  <Text as="span" fontFamily="mono" whiteSpace="nowrap">
    {children}
  </Text>
);

type Model = DriveType['models'][number];
type Parameter = Control['parameters'][number];

function Entries({ control, type }: { control: Control; type: DriveType }) {
  const [asked, setAsked] = useState('');
  const [region, setRegion] = useState<'50Hz' | '60Hz'>('50Hz');
  const [modelName, setModel] = useState(type.models[0]?.type ?? '');
  const model: Model | undefined = type.models.find((m) => m.type === modelName);
  const words = asked.trim().toLowerCase();
  const shown = control.parameters.filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(words));
  if (model === undefined) return null;
  const rating = { ...model, supply_V: type.supply_V };
  const lockCode = (level: number) => control.locks.find((l) => l.level === level)?.code;
  const unitOf = (p: Parameter) => (p.unit === undefined ? '' : ` ${p.unit}`);
  const columns: Column<Parameter>[] = [
    { head: 'Parameter', names: true, by: (p) => p.number, cell: (p) => <Mono>{p.number}</Mono> },
    { head: 'Name', by: (p) => p.name, cell: (p) => p.name },
    {
      head: 'Factory',
      cell: (p) => {
        const factory = defaultOf(p, rating, region);
        if (factory === undefined) return 'not known';
        return p.choices?.find((c) => c.value === factory)?.name ?? <Mono>{`${factory}${unitOf(p)}`}</Mono>;
      },
    },
    {
      head: 'Range or choices',
      cell: (p) => p.choices?.map((c) => c.name).join(', ') ?? <Mono>{rangeText(p, rating)}</Mono>,
    },
    {
      head: 'Access',
      cell: (p) =>
        [
          ...(p.readOnly ? ['read only'] : []),
          ...(p.lock > 0 ? [`code ${lockCode(p.lock) ?? '?'}`] : []),
          ...(p.stop ? ['stopped'] : []),
          ...(p.resets === undefined ? [] : ['resets others']),
          ...(p.needs !== undefined && 'option' in p.needs ? [`only with ${p.needs.option}`] : []),
        ].join(', '),
    },
  ];
  return (
    <Section title="Parameters">
      <FieldGrid>
        <TextField label="Find" text={asked} set={setAsked} hint="Number or name" />
        <Select
          label="Model"
          value={modelName}
          onChange={setModel}
          options={type.models.map((m) => ({ value: m.type, label: `${m.type}, ${m.ratedAmps} A` }))}
        />
        <Select
          label="50/60 Hz default set"
          value={region}
          onChange={(v) => setRegion(v === '60Hz' ? '60Hz' : '50Hz')}
          options={optionsOf({ '50Hz': '50 Hz', '60Hz': '60 Hz' })}
        />
      </FieldGrid>
      <Text role="status" color="soft" mb="1">
        {shown.length} of {control.parameters.length} parameters
      </Text>
      <Box maxH="480px" overflowY="auto" tabIndex={0} role="region" aria-label="Entries">
        <DataTable rows={shown} keyOf={(p) => p.number} columns={columns} />
      </Box>
    </Section>
  );
}

const resetWords = { 'power-off': 'power off', 'by-itself': 'itself', reset: 'reset' } as const;

function Alarms({ control }: { control: Control }) {
  return (
    <Section title="Faults">
      <DataTable
        rows={control.alarms}
        keyOf={(a) => a.code}
        columns={[
          { head: 'Code', names: true, by: (a) => a.code, cell: (a) => <Mono>{a.code}</Mono> },
          { head: 'Meaning', by: (a) => a.name, cell: (a) => a.name },
          { head: 'Reset by', by: (a) => resetWords[a.reset], cell: (a) => resetWords[a.reset] },
          { head: 'First checks', cell: (a) => a.firstChecks.join('; ') },
        ]}
      />
    </Section>
  );
}

function Terminals({ control }: { control: Control }) {
  const { places, options, analogInputs, supply, safeStop } = control;
  const rows: [string, string][] = [
    ...places.map((p): [string, string] => [p.where, p.marks.join('  ')]),
    ...options.map((o): [string, string] => [`only with ${o.name}`, o.terminals?.join('  ') ?? '']),
    ...analogInputs.flatMap((a): [string, string][] =>
      a.jumper === undefined ? [] : [[`voltage or current at ${a.mark}`, a.jumper]],
    ),
    ['internal 24 V and common', `${supply.plus24}, ${supply.common}`],
    ...(safeStop === null
      ? []
      : [
          [
            'STO',
            `${safeStop.channels.map((c) => c.mark).join(' and ')} from ${safeStop.supply}, return ${safeStop.return}; comes with jumpers ${safeStop.factoryJumpers.map((j) => j.join('–')).join(', ')}`,
          ] satisfies [string, string],
        ]),
  ];
  return (
    <Section title="Control terminals">
      <PlainTable heads={['Where', 'Terminals']}>
        {rows.map(([where, screws]) => (
          <tr key={`${where} ${screws}`}>
            <Cell>{where}</Cell>
            <Cell>
              <Text as="span" fontFamily="mono" whiteSpace="pre-wrap">
                {screws}
              </Text>
            </Cell>
          </tr>
        ))}
      </PlainTable>
    </Section>
  );
}

function Panel({ control }: { control: Control }) {
  const { keypad } = control;
  const rows = [
    ...keypad.keys.map((k) => ['key', k.name, k.does]),
    ...keypad.displays.map((d) => ['display', d.shows, d.means]),
    ...keypad.lamps.flatMap((l) => l.looks.map((x) => [`LED ${l.name}`, x.look, x.means])),
  ];
  return (
    <Section title="Keys, displays and LEDs">
      <PlainTable heads={['', 'What', 'Meaning']}>
        {rows.map(([kind, what, means]) => (
          <tr key={`${kind} ${what}`}>
            <Cell>{kind}</Cell>
            <Cell>{what}</Cell>
            <Cell>{means}</Cell>
          </tr>
        ))}
      </PlainTable>
    </Section>
  );
}

function Installation({ control }: { control: Control }) {
  const { fuses, torques, sizes, storage, derating } = control.fitting;
  const rows: [string, string][] = [
    ...fuses.map((f): [string, string] => [
      `Fuse and wire, ${f.type}`,
      `${f.fuse_A} A ${f.kind}, ${f.wire_mm2} mm²`,
    ]),
    ...torques.map((t): [string, string] => [`Torque, ${t.terminals}`, `${t.torque_Nm} N·m`]),
    ...sizes.map((s): [string, string] => [
      `Size, ${s.types.join(', ')}`,
      `${s.width_mm} × ${s.height_mm} × ${s.depth_mm} mm, ${s.weight_kg} kg, ${s.clearance_mm} mm free above and below; holes at ${s.holes.map(([x, y]) => `${x}/${y}`).join(', ')} mm`,
    ]),
    ...storage.map((s): [string, string] => [`Stored ${s.fromYears} years and more`, s.step]),
    ...derating.map((d): [string, string] => [`Derate ${d.when}`, `${d.percent} % each ${d.perUnit}`]),
  ];
  return (
    <Section title="Installation">
      <Text color="soft" mb="1">
        The maker&rsquo;s table for the exact type and the local code decide; use these values as a first
        reference.
      </Text>
      <PlainTable heads={['What', 'Amount']}>
        {rows.map(([what, much]) => (
          <tr key={`${what} ${much}`}>
            <Cell>{what}</Cell>
            <Cell>{much}</Cell>
          </tr>
        ))}
      </PlainTable>
    </Section>
  );
}

/** All that is known of one type. */
export function TypeSheet({ type }: { type: DriveType }) {
  const { control, trouble } = useControl(type.id);
  return (
    <>
      <Text mb="3">
        {type.about} {type.discontinued && 'Discontinued. '}
        {type.phases === 3 ? 'Three phases' : 'One phase'}, {type.supply_V} V, wait {type.labelWait_min}{' '}
        minutes after isolation.
      </Text>
      {control === null ? (
        <Text role="status">{trouble ?? 'Loading catalogue data of this type…'}</Text>
      ) : (
        <>
          <Entries control={control} type={type} />
          <Alarms control={control} />
          <Terminals control={control} />
          <Panel control={control} />
          <Installation control={control} />
        </>
      )}
    </>
  );
}
