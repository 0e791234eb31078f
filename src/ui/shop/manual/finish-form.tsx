import Link from 'next/link';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import * as z from 'zod';
import type { TypeDraft, UnitFacts } from '@/core/reading/type-draft';
import { call } from '../../api/call';
import { Primary, Secondary } from '../../kit/buttons';
import { Choice, Field } from '../../kit/field';
import { filledText, positiveFigure } from '../../kit/form-figures';
import { Notice } from '../../kit/notice';
import { frontEndOptions } from '../../kit/front-end-picture';
import { FieldGrid, Section } from '../../kit/section';
import { Item, Text } from '../../kit/text';
import { useTypedForm } from '../../kit/typed-form';

const labelSchema = z.object({
  model: filledText('Read it from the rating label'),
  ratedAmps: positiveFigure,
  power_kW: positiveFigure,
  supply_V: positiveFigure,
  labelWait_min: positiveFigure,
});

interface Made {
  id: string;
  leftOut: readonly { number: string; why: string }[];
}

/** What was made, and what of the draft could not be used. */
function MadeNotice({ draft, made: { leftOut } }: { draft: TypeDraft; made: Made }) {
  return (
    <Notice tone="sound" headline={`${draft.maker} ${draft.range} is in the catalogue`}>
      <Text mb="2">
        Choose it at the nameplate of the drive. Terminals have neutral names, and the link stays shut:
        compare with the unit.
      </Text>
      {leftOut.length > 0 && (
        <ul aria-label="Not used">
          {leftOut.map(({ number, why }) => (
            <Item key={`${number} ${why}`}>
              {number}: {why}
            </Item>
          ))}
        </ul>
      )}
      <Secondary asChild>
        <Link href="/">To the board</Link>
      </Secondary>
    </Notice>
  );
}

/** The label of the unit makes a draft a type that a job can choose. */
export function FinishForm({ draft, saved }: { draft: TypeDraft; saved: boolean }) {
  const [frontEnd, setFrontEnd] = useState<UnitFacts['frontEnd']>('diode-3ph');
  const [brake, setBrake] = useState<UnitFacts['brake']>('unknown');
  const [answer, setAnswer] = useState<{ made: Made } | { trouble: string } | 'asked' | null>(null);
  const { text, submit } = useTypedForm('type label', labelSchema, {
    ...{ model: '', ratedAmps: '', power_kW: '', supply_V: '', labelWait_min: '' },
  });
  const make = submit(({ model, ratedAmps, power_kW, supply_V, labelWait_min }) => {
    setAnswer('asked');
    const send = async () => {
      const phases = frontEnd === 'diode-1ph' ? ('1' as const) : ('3' as const);
      const got = await call('POST /api/v1/type-drafts/:id/type', {
        params: { id: draft.id },
        body: {
          ...{ phases, supply_V, labelWait_min, frontEnd, brake },
          models: [{ type: model, ratedAmps, power_kW }],
        },
      });
      const away = 'Server not reachable: what you entered stays here.';
      setAnswer(got.ok ? { made: got.value } : { trouble: got.status === 0 ? away : got.error });
    };
    void send();
  });
  return (
    <Section title="Make it a drive type">
      <Text mb="2">
        From the rating label of the unit. Another size of the same range is added the same way.
      </Text>
      <form onSubmit={make} noValidate aria-label="Rating label of the unit">
        <FieldGrid>
          <Field label="Type code" {...text('model')} />
          <Field label="Rated output current" unit="A" figure {...text('ratedAmps')} />
          <Field label="Motor power" unit="kW" figure {...text('power_kW')} />
          <Field label="Supply" unit="V" figure {...text('supply_V')} />
          <Field label="Discharge time on the label" unit="min" figure {...text('labelWait_min')} />
          <Choice
            label="Brake terminal"
            value={brake}
            onChange={setBrake}
            options={[
              { value: 'yes', label: 'yes' },
              { value: 'no', label: 'no' },
              { value: 'unknown', label: 'not known' },
            ]}
          />
        </FieldGrid>
        <Box mb="4">
          <Choice label="Rectifier" value={frontEnd} onChange={setFrontEnd} options={frontEndOptions} />
        </Box>
        <Primary type="submit" mb="3" disabled={!saved || answer === 'asked'}>
          {answer === 'asked' ? 'Adding to the catalogue…' : 'Add to the catalogue'}
        </Primary>
        {!saved && <Text color="soft">The draft has to be saved first.</Text>}
      </form>
      {answer !== null && answer !== 'asked' && 'trouble' in answer && (
        <Text role="alert" color="failed" mt="2">
          {answer.trouble}
        </Text>
      )}
      {answer !== null && answer !== 'asked' && 'made' in answer && (
        <MadeNotice draft={draft} made={answer.made} />
      )}
    </Section>
  );
}
