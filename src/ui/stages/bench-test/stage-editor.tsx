import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import * as z from 'zod';
import { stripFor } from '@/core/equipment/catalogue';
import { isStated, stageWords, type Stage, type MarkedTerminal } from '@/core/equipment/power-stage';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, optionsOf } from '../../kit/field';
import { orNone, positiveFigureOr } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { Schematic } from './schematic';
import { Text } from '../../kit/text';

const yesNo = [
  { value: 'yes' as const, label: 'yes' },
  { value: 'no' as const, label: 'no' },
];

const figure = positiveFigureOr('A value above zero; an estimate is enough.');
const figuresSchema = z.object({ prechargeOhm: figure, capacitance_uF: orNone(figure) });

/** A stage as it was put together: what the editor asks for is stated then, but for a bank that nobody knows. */
function stated(stage: Stage, { prechargeOhm, capacitance_uF }: z.output<typeof figuresSchema>): Stage {
  const { assumed: before = [], ...built } = stage;
  const assumed = [
    ...before.filter((what) => what === 'bleederOhm'),
    ...(capacitance_uF === null ? (['capacitance_uF'] as const) : []),
  ];
  return {
    ...built,
    prechargeOhm,
    ...(capacitance_uF === null ? {} : { capacitance_uF }),
    ...(assumed.length === 0 ? {} : { assumed }),
  };
}

/** The stage in hand, put together from its parts; the drawing follows. */
export function StageEditor({
  stage: before,
  strip,
  keep,
  close,
}: {
  stage: Stage;
  strip: readonly MarkedTerminal[];
  keep: (stage: Stage, strip: MarkedTerminal[]) => void;
  close: () => void;
}) {
  const [stage, setStage] = useState(before);
  const { text, submit } = useTypedForm('power stage', figuresSchema, {
    prechargeOhm: String(before.prechargeOhm),
    capacitance_uF: isStated(before, 'capacitance_uF') ? String(before.capacitance_uF) : '',
  });
  const set = (differs: Partial<Stage>) => setStage({ ...stage, ...differs });
  const half = stage.frontEnd === 'scr-half-3ph';
  const resistor = stage.link === 'precharge' || (half && stage.scrPrecharge === 'diodes');
  const done = submit((figures) => {
    const kept = stated(stage, figures);
    keep(kept, stripFor(strip, kept));
  });
  return (
    <Box as="section" aria-label="Power stage" borderTop="2px solid" borderColor="ink" pt="3" mb="5">
      <Text fontFamily="heading" fontWeight="600" fontSize="1.25rem" mb="1">
        Power stage: {stageWords(stage)}
      </Text>
      <Text mb="3">
        Enter how the unit is built, not what it reads. Existing readings stay and are evaluated with the new
        circuit.
      </Text>
      <Schematic stage={stage} states={{}} probe={null} />
      <Box display="grid" gridTemplateColumns={{ base: '1fr', xl: '1fr 1fr' }} gap="4" my="4">
        <Choice
          label="Rectifier"
          value={stage.frontEnd}
          onChange={(frontEnd) => set({ frontEnd })}
          options={optionsOf({
            'diode-3ph': 'three-phase diode rectifier',
            'diode-1ph': 'single-phase diode rectifier',
            'scr-half-3ph': 'half-controlled',
          })}
        />
        <Choice
          label="Between rectifier and capacitor bank"
          value={stage.link}
          onChange={(link) => set({ link, dcrAccessible: link !== 'none' })}
          options={optionsOf({ none: 'nothing', link: 'link or choke', precharge: 'precharge' })}
        />
        {half && (
          <Choice
            label="Precharge diode bridge"
            value={stage.scrPrecharge}
            onChange={(scrPrecharge) => set({ scrPrecharge })}
            options={optionsOf({ diodes: 'yes', none: 'no' })}
          />
        )}
        {stage.link !== 'none' && (
          <Choice
            label="Is DC+R brought out to a terminal?"
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
      <form onSubmit={done} noValidate>
        <FieldGrid>
          {resistor && <Field label="Precharge resistor" figure unit="Ω" {...text('prechargeOhm')} />}
          <Field label="Capacitor bank" figure unit="µF" {...text('capacitance_uF')} />
        </FieldGrid>
        <Box display="flex" gap="2" flexWrap="wrap">
          <Primary type="submit">Save power stage</Primary>
          <Secondary onClick={close}>Cancel</Secondary>
        </Box>
      </form>
    </Box>
  );
}
