import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { networkQuestions, type UnitRequirements } from '@/core/replacement/replacement';
import type { JobStore } from '../../job-store/use-job';
import { Primary } from '../../kit/buttons';
import { FieldGrid, KeptNote, Section } from '../../kit/section';
import { Field, NumberField, Select } from '../../kit/field';
import { Tick } from '../../kit/tick';
import {
  askedOf,
  badProtection,
  figures,
  networkField,
  readFigure,
  sides,
  typedAs,
  type AskedTyped,
} from './asked-typed';

const yesNoOptions = [
  { value: '' as const, label: 'not known' },
  { value: 'yes' as const, label: 'yes' },
  { value: 'no' as const, label: 'no' },
];

/** What machine and place ask of a unit; with a network, what the controller must know, asked before anything is decided. */
export function AskedForm({ asked, store }: { asked: UnitRequirements; store: JobStore }) {
  const [typed, setTyped] = useState(() => typedAs(asked));
  const [kept, setKept] = useState<string | null>(null);
  const set = (change: Partial<AskedTyped>) => setTyped((before) => ({ ...before, ...change }));
  const at = (key: string): string => typed.texts[key] ?? '';
  const put = (key: string) => (value: string) =>
    setTyped((before) => ({ ...before, texts: { ...before.texts, [key]: value } }));
  const entry = askedOf(typed);
  const notRead = (key: string) => (readFigure(at(key)) === undefined ? 'A figure' : undefined);
  return (
    <Section title="What the place asks">
      <FieldGrid min="160px">
        <NumberField label="Supply" unit="V" text={at('volts')} set={put('volts')} />
        <Select
          label="Phases of the supply"
          value={typed.phases}
          onChange={(phases) => set({ phases })}
          options={[
            { value: '3', label: '3' },
            { value: '1', label: '1' },
          ]}
        />
        <Select
          label="Earthing"
          value={typed.earthing}
          onChange={(earthing) => set({ earthing })}
          options={[
            { value: 'star-earthed', label: 'star point earthed' },
            { value: 'isolated', label: 'isolated' },
            { value: 'corner-earthed', label: 'corner earthed' },
          ]}
        />
        <Select
          label="Duty"
          value={typed.duty}
          onChange={(duty) => set({ duty })}
          options={[
            { value: '', label: 'not known' },
            { value: 'normal', label: 'normal: pumps, fans' },
            { value: 'heavy', label: 'heavy: hoists, crushers, full load at standstill' },
          ]}
        />
        {figures.map(([key, label, unit]) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            text={at(key)}
            error={notRead(key)}
            set={put(key)}
          />
        ))}
        <Select
          label="Does the load drive the motor?"
          value={typed.brakes}
          onChange={(brakes) => set({ brakes })}
          options={yesNoOptions}
        />
        <Select
          label="Encoder on the motor?"
          value={typed.feedback}
          onChange={(feedback) => set({ feedback })}
          options={yesNoOptions}
        />
        <Select
          label="Cables come from"
          value={typed.cables}
          onChange={(cables) => set({ cables })}
          options={[
            { value: '', label: 'as the old unit' },
            { value: 'below', label: 'below' },
            { value: 'above', label: 'above' },
          ]}
        />
        <Field
          label="Protection class wanted"
          value={at('protection')}
          maxLength={4}
          placeholder="as the old unit"
          error={badProtection(typed) ? 'IP and two figures, e.g. IP54' : undefined}
          onChange={(e) => put('protection')(e.target.value)}
        />
        {sides.map(([side, label]) => (
          <NumberField
            key={side}
            label={label}
            unit="mm"
            text={at(side)}
            error={notRead(side)}
            set={put(side)}
          />
        ))}
      </FieldGrid>
      <Tick
        label="Other units close beside it"
        checked={typed.sideBySide}
        onChange={(sideBySide) => set({ sideBySide })}
      />
      <FieldGrid min="240px">
        <Field
          label="Network"
          value={at('network')}
          maxLength={60}
          hint="e.g. Modbus RTU. Empty: none"
          onChange={(e) => put('network')(e.target.value)}
        />
      </FieldGrid>
      {at('network').trim() !== '' && (
        <Box borderLeft="4px solid" borderColor="doubt" pl="3" mb="3">
          <Text fontWeight="500" mb="2">
            On a network the controller must change too. Ask before you decide.
          </Text>
          <FieldGrid min="240px">
            {networkQuestions.map((q) => (
              <Field
                key={q.id}
                label={q.asks}
                value={at(networkField(q.id))}
                maxLength={300}
                onChange={(e) => put(networkField(q.id))(e.target.value)}
              />
            ))}
          </FieldGrid>
        </Box>
      )}
      <Primary
        disabled={entry === null}
        onClick={() => {
          if (entry === null) return;
          store.record('swap.asked', entry);
          setKept('Kept.');
        }}
      >
        Keep what the place asks
      </Primary>
      <KeptNote text={kept} />
    </Section>
  );
}
