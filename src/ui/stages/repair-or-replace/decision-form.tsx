import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { choiceIds, choiceNames, type ChoiceId, type Decision } from '@/core/replacement/replacement';
import type { StageProps } from '../../job-store/stage-props';
import { Primary } from '../../kit/buttons';
import { Choice, Field } from '../../kit/field';
import { Section } from '../../kit/section';

/** The person decides and says why; what the table said is kept beside it. */
export function DecisionForm({
  store,
  person,
  decision,
}: Pick<StageProps, 'store' | 'person'> & { decision: Decision | null }) {
  const { drive } = store.state;
  const [reason, setReason] = useState('');
  const [chosen, setChosen] = useState<ChoiceId | null>(null);
  return (
    <Section title="The decision">
      <Text mb="2">
        The table weighs money and hours only. You decide
        {drive === null ? '' : ` about this ${drive.maker} ${drive.type}`}, and say why.
      </Text>
      <Choice<ChoiceId>
        label="Decided"
        value={chosen}
        onChange={setChosen}
        options={choiceIds.map((value) => ({ value, label: choiceNames[value] }))}
      />
      <Box my="3">
        <Field label="Reason" value={reason} maxLength={1000} onChange={(e) => setReason(e.target.value)} />
      </Box>
      <Primary
        disabled={chosen === null || reason.trim() === '' || person.role === 'apprentice'}
        onClick={() => {
          if (chosen === null) return;
          store.record('decide.made', {
            choice: chosen,
            reason: reason.trim(),
            costs: (decision?.choices ?? []).map((c) => ({
              choice: c.id,
              mid: c.out === null ? Math.round(c.cost.mid) : null,
              stop_h: Number(c.stop_h.toFixed(2)),
            })),
            cheapest: decision?.best ?? null,
          });
          setReason('');
        }}
      >
        {person.role === 'apprentice' ? 'A technician decides' : 'Keep the decision'}
      </Primary>
    </Section>
  );
}
