'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { DriveType } from '@/core/equipment/catalogue';
import type { Person } from '@/core/logbook';
import { CardPage } from '../../kit/card-page';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Select } from '../../kit/field';
import { driveStateWords } from '../../drive-link/state-words';
import { Keypad } from './keypad';
import { hiddenFaults } from './rig-words';
import { PlantPanel } from './plant';
import { useRig } from './use-rig';
import type { RigState } from '@/api/rig-state';
import { Text } from '../../kit/text';

const shown = (value: number | undefined, unit: string, digits = 1): string =>
  value === undefined ? '–' : `${value.toFixed(digits)} ${unit}`;

function Shows({ rig }: { rig: RigState }) {
  const { shows, shaft_Hz } = rig;
  const figures: [string, string][] = [
    ['output', shown(shows.outputFrequency_Hz, 'Hz')],
    ['reference', shown(shows.reference_Hz, 'Hz')],
    ['current', shown(shows.outputCurrent_A, 'A')],
    ['bus', shown(shows.busVolts, 'V', 0)],
    ['heatsink', shown(shows.heatsink_C, '°C', 0)],
    ['shaft, electrical', shown(shaft_Hz, 'Hz')],
  ];
  return (
    <Box as="section" aria-label="Drive shows" bg="paper" px="4" py="3" mb="5">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.5rem">
        {rig.type.vendor} {rig.type.product}:{' '}
        {shows.alarm === undefined || shows.alarm === null
          ? (driveStateWords[shows.state ?? ''] ?? shows.state)
          : `trip ${shows.alarm}`}
      </Text>
      <Box display="flex" flexWrap="wrap" columnGap="6" rowGap="2" mt="2">
        {figures.map(([name, figure]) => (
          <Box key={name}>
            <Text fontFamily="mono" fontSize="1.5rem" lineHeight="1.2" whiteSpace="nowrap">
              {figure}
            </Text>
            <Text fontSize="0.85rem" color="soft">
              {name}
            </Text>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The hand on the simulated drive: its plant, its wires, its hidden faults. */
export function SimulatorPage({
  types,
  people,
  person,
}: {
  types: readonly DriveType[];
  people: readonly Person[];
  person: Person;
}) {
  const { rig, trouble, order } = useRig();
  const [fault, setFault] = useState(0);
  const [told, setTold] = useState<string | null>(null);
  const models = types.flatMap((t) => t.models.map((m) => ({ type: t.id, model: m.type, maker: t.maker })));
  const fresh = async (current: RigState, which?: { type: string; model: string }) => {
    setTold(null);
    const { type, model } = which ?? { type: current.typeId, model: current.model };
    await order({ drive: { type, model }, wait_s: 3 });
    await order({ plant: { AI1: 5, knob_percent: 50 } });
  };
  const hide = async (current: RigState, index: number, tell: boolean) => {
    const hidden = hiddenFaults[index];
    if (hidden === undefined) return;
    await fresh(current);
    if (await order(hidden.order(current))) {
      await order({ wait_s: 4 });
      setTold(tell ? `Hidden: ${hidden.name}.` : `A fault is hidden: ${hidden.looks}. Find it from the job.`);
    }
  };
  return (
    <CardPage
      title="Simulator"
      about="A simulated drive in a simulated plant, not connected to any real equipment."
      people={people}
      person={person}
    >
      {trouble !== null && (
        <Text role="alert" color="failed" mb="3">
          {trouble}
        </Text>
      )}
      {rig === null ? (
        <Text role="status">{trouble === null ? 'Loading the simulator…' : ''}</Text>
      ) : (
        <>
          <Shows rig={rig} />
          <FieldGrid min="240px">
            <Select
              label="Drive"
              value={`${rig.typeId} ${rig.model}`}
              onChange={(v) => {
                const [type, model] = v.split(' ');
                if (type !== undefined && model !== undefined) void fresh(rig, { type, model });
              }}
              options={models.map((m) => ({
                value: `${m.type} ${m.model}`,
                label: `${m.maker} ${m.model}`,
              }))}
            />
            <Select
              label="Fault to hide"
              value={String(fault)}
              onChange={(v) => setFault(Number(v))}
              options={hiddenFaults.map((h, i) => ({ value: String(i), label: h.name }))}
            />
          </FieldGrid>
          <Box display="flex" gap="2" flexWrap="wrap" mb="3">
            <Primary onClick={() => void hide(rig, fault, true)}>Hide this fault</Primary>
            <Secondary onClick={() => void hide(rig, Math.floor(Math.random() * hiddenFaults.length), false)}>
              Hide a random fault
            </Secondary>
            <Secondary onClick={() => void fresh(rig)}>New drive without faults</Secondary>
          </Box>
          <Text role="status" fontWeight="500" minH="1.5em">
            {told}
          </Text>
          {rig.keypad !== null && (
            <Section title="Keypad">
              <Keypad keypad={rig.keypad} press={(keys) => void order({ keys })} />
            </Section>
          )}
          <Section title="Plant">
            <PlantPanel rig={rig} set={(plant) => void order({ plant })} />
          </Section>
        </>
      )}
    </CardPage>
  );
}
