import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import { choiceIds, choiceNames, type Decision } from '@/core/replacement/replacement';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { Choice, Field } from '../../kit/field';
import { mustChoose, filledText } from '../../kit/form-figures';
import { Section } from '../../kit/section';
import { useTypedForm } from '../../kit/typed-form';
import { Text } from '../../kit/text';

const decisionSchema = z.object({ choice: mustChoose(choiceIds), reason: filledText('Say why') });
const blank: z.input<typeof decisionSchema> = { choice: null, reason: '' };

/** The person decides and says why; what the table said is kept beside it. */
export function DecisionForm({
  store,
  person,
  decision,
}: Pick<StageProps, 'store' | 'person'> & { decision: Decision | null }) {
  const { drive } = store.state;
  const { text, pick, submit } = useTypedForm('decision', decisionSchema, blank);
  const keep = submit(
    ({ choice, reason }) =>
      store.record('decide.made', {
        choice,
        reason,
        costs: (decision?.choices ?? []).map((c) => ({
          choice: c.id,
          mid: c.out === null ? Math.round(c.cost.mid) : null,
          stop_h: Number(c.stop_h.toFixed(2)),
        })),
        cheapest: decision?.best ?? null,
      }),
    blank,
  );
  return (
    <Section title="The decision">
      <Text mb="2">
        The table compares money and hours only. You decide
        {drive === null ? '' : ` about this ${drive.maker} ${drive.type}`}, and give the reason.
      </Text>
      <form onSubmit={keep} noValidate>
        <Choice
          label="Decided"
          {...pick('choice')}
          options={choiceIds.map((value) => ({ value, label: choiceNames[value] }))}
        />
        <Box my="3">
          <Field label="Reason" maxLength={1000} {...text('reason')} />
        </Box>
        <Primary type="submit" disabled={person.role === 'apprentice'}>
          {person.role === 'apprentice' ? 'A technician decides' : 'Save decision'}
        </Primary>
      </form>
    </Section>
  );
}
