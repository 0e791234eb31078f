import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { networkQuestions, type UnitRequirements } from '@/core/replacement/replacement';
import { temperature } from '@/core/terms';
import type { JobStore } from '../../job-store/use-job';
import { Primary } from '../../kit/buttons';
import { CableFields } from '../../panels/cable-fields';
import { Field, optionsOf, Select } from '../../kit/field';
import { FieldGrid, Section } from '../../kit/section';
import { KeptNote } from '../../kit/kept-note';
import { Tick } from '../../kit/tick';
import { QuantityField } from '../../kit/quantity-field';
import { useTypedForm } from '../../kit/typed-form';
import { askedTypedSchema, figures, sides, typedAs } from './asked-typed';
import { Text } from '../../kit/text';

const yesNoOptions = optionsOf({ '': 'not known', yes: 'yes', no: 'no' });

/** What machine and place ask of a unit; with a network, what the controller must know, asked before anything is decided. */
export function AskedForm({ asked, store }: { asked: UnitRequirements; store: JobStore }) {
  const { typed, refused, text, quantity, pick, tick, submit } = useTypedForm(
    'installation requirements',
    askedTypedSchema,
    typedAs(asked),
  );
  const [kept, setKept] = useState<string | null>(null);
  const keep = submit((entry) => {
    store.record('swap.asked', entry);
    setKept('Kept.');
  });
  return (
    <Section title="Installation requirements">
      <form onSubmit={keep} noValidate>
        <FieldGrid min="160px">
          <Field label="Supply" figure unit="V" {...text('volts')} />
          <Select
            label="Phases of the supply"
            {...pick('phases')}
            options={[
              { value: '3', label: '3' },
              { value: '1', label: '1' },
            ]}
          />
          <Select
            label="Earthing"
            {...pick('earthing')}
            options={optionsOf({
              'star-earthed': 'star point earthed',
              isolated: 'isolated',
              'corner-earthed': 'corner earthed',
            })}
          />
          <Select
            label="Duty"
            {...pick('duty')}
            options={optionsOf({
              '': 'not known',
              normal: 'normal: pumps, fans',
              heavy: 'heavy: hoists, crushers, full load from standstill',
            })}
          />
          <QuantityField
            label="Highest ambient temperature"
            quantity={temperature}
            {...quantity('ambient_C')}
          />
          {figures.map(([key, label, unit]) => (
            <Field key={key} label={label} figure unit={unit} {...text(key)} />
          ))}
          <Select
            label="Overhauling load (load drives the motor)?"
            {...pick('brakes')}
            options={yesNoOptions}
          />
          <Select label="Encoder on the motor?" {...pick('feedback')} options={yesNoOptions} />
          <Select
            label="Cable entry from"
            {...pick('cables')}
            options={optionsOf({ '': 'as the old unit', below: 'below', above: 'above' })}
          />
          <Field
            label="Required protection class"
            maxLength={4}
            placeholder="as the old unit"
            {...text('protection')}
          />
          <CableFields length={text('cable_m')} winding={pick('winding')} filter={pick('filter')} />
          <Field label="Prospective short-circuit current" figure unit="kA" {...text('shortCircuit_kA')} />
          <Select
            label="Required EMC category"
            {...pick('emc')}
            options={optionsOf({
              '': 'not known',
              C1: 'C1: homes, any user',
              C2: 'C2: homes, fitted by a specialist',
              C3: 'C3: industry',
              C4: 'C4: by a plan of the site',
            })}
          />
          {sides.map(([side, label]) => (
            <Field key={side} label={label} figure unit="mm" {...text(side)} />
          ))}
        </FieldGrid>
        <Tick label="Other units mounted side by side" {...tick('sideBySide')} />
        <FieldGrid min="240px">
          <Field label="Network" maxLength={60} hint="E.g. Modbus RTU; empty: none" {...text('network')} />
        </FieldGrid>
        {typed.network.trim() !== '' && (
          <Box borderLeft="4px solid" borderColor="doubt" pl="3" mb="3">
            <Text fontWeight="500" mb="2">
              With a fieldbus, the controller must be changed too. Ask before you decide.
            </Text>
            <FieldGrid min="240px">
              {networkQuestions.map((q) => (
                <Field key={q.id} label={q.asks} maxLength={300} {...text(`answers.${q.id}`)} />
              ))}
            </FieldGrid>
          </Box>
        )}
        <Primary type="submit">Save installation requirements</Primary>
        <KeptNote text={kept} refused={refused} />
      </form>
    </Section>
  );
}
