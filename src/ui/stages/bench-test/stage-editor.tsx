import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { stripFor } from '@/core/equipment/catalogue';
import { stageWords, type Stage, type Screw } from '@/core/equipment/power-stage';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, NumberField } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';
import { Schematic } from './schematic';

const yesNo = [
  { value: 'yes' as const, label: 'yes' },
  { value: 'no' as const, label: 'no' },
];

/** The stage in hand, put together from its parts; the drawing follows. */
export function StageEditor({
  stage: before,
  strip,
  keep,
  close,
}: {
  stage: Stage;
  strip: readonly Screw[];
  keep: (stage: Stage, strip: Screw[]) => void;
  close: () => void;
}) {
  const [stage, setStage] = useState(before);
  const [ohms, setOhms] = useState(String(before.prechargeOhm));
  const [bank, setBank] = useState(String(before.capacitance_uF));
  const [trouble, setTrouble] = useState<string | undefined>();
  const set = (differs: Partial<Stage>) => setStage({ ...stage, ...differs });
  const half = stage.frontEnd === 'scr-half-3ph';
  const resistor = stage.link === 'precharge' || (half && stage.scrPrecharge === 'diodes');
  const done = () => {
    const prechargeOhm = numberFrom(ohms);
    const capacitance_uF = numberFrom(bank);
    if (prechargeOhm === null || capacitance_uF === null)
      return setTrouble('A figure above zero; an estimate will do.');
    const kept = { ...stage, prechargeOhm, capacitance_uF };
    keep(kept, stripFor(strip, kept));
  };
  return (
    <Box as="section" aria-label="Power stage" borderTop="2px solid" borderColor="ink" pt="3" mb="5">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.25rem" mb="1">
        Power stage: {stageWords(stage)}
      </Text>
      <Text mb="3">
        As it is built, not as it reads. Readings that were taken stay; they are judged on the new drawing.
      </Text>
      <Schematic stage={stage} states={{}} probe={null} />
      <Box display="grid" gridTemplateColumns={{ base: '1fr', xl: '1fr 1fr' }} gap="4" my="4">
        <Choice
          label="Front end"
          value={stage.frontEnd}
          onChange={(frontEnd) => set({ frontEnd })}
          options={[
            { value: 'diode-3ph', label: 'six diodes' },
            { value: 'diode-1ph', label: 'four diodes' },
            { value: 'scr-half-3ph', label: 'half-controlled' },
          ]}
        />
        <Choice
          label="Between rectifier and bank"
          value={stage.link}
          onChange={(link) => set({ link, dcrAccessible: link !== 'none' })}
          options={[
            { value: 'none', label: 'nothing' },
            { value: 'link', label: 'link or choke' },
            { value: 'precharge', label: 'precharge' },
          ]}
        />
        {half && (
          <Choice
            label="Small precharge bridge"
            value={stage.scrPrecharge}
            onChange={(scrPrecharge) => set({ scrPrecharge })}
            options={[
              { value: 'diodes', label: 'yes' },
              { value: 'none', label: 'no' },
            ]}
          />
        )}
        {stage.link !== 'none' && (
          <Choice
            label="Is DC+R brought out to a screw?"
            value={stage.dcrAccessible ? 'yes' : 'no'}
            onChange={(answer) => set({ dcrAccessible: answer === 'yes' })}
            options={yesNo}
          />
        )}
        <Choice
          label="Fuse before the inverter"
          value={stage.fuse === 'inverter' ? 'yes' : 'no'}
          onChange={(answer) => set({ fuse: answer === 'yes' ? 'inverter' : 'none' })}
          options={yesNo}
        />
        <Choice
          label="Brake chopper"
          value={stage.brake ? 'yes' : 'no'}
          onChange={(answer) => set({ brake: answer === 'yes' })}
          options={yesNo}
        />
      </Box>
      <FieldGrid>
        {resistor && (
          <NumberField label="Precharge resistor" unit="Ω" text={ohms} set={setOhms} error={trouble} />
        )}
        <NumberField
          label="Bank"
          unit="µF"
          text={bank}
          set={setBank}
          error={resistor ? undefined : trouble}
        />
      </FieldGrid>
      <Box display="flex" gap="2" flexWrap="wrap">
        <Primary onClick={done}>Keep this stage</Primary>
        <Secondary onClick={close}>Leave as it was</Secondary>
      </Box>
    </Box>
  );
}
