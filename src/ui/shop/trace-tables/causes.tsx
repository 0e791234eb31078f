import { Box } from '@chakra-ui/react';
import type { TraceCause } from '@/core/fault-finding/tracing';
import { Secondary } from '../../kit/buttons';
import { Section } from '../../kit/section';
import { Field, LongField } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';

/** What may be behind it, how often, and what its cure takes. */
export function Causes({
  causes,
  disabled,
  change,
  add,
  remove,
}: {
  causes: readonly TraceCause[];
  disabled: boolean;
  change: (cause: TraceCause) => void;
  add: () => void;
  remove: (id: string) => void;
}) {
  return (
    <Section title="Causes">
      <Box as="ol" listStyleType="none">
        {causes.map((c) => (
          <Box
            as="li"
            key={c.id}
            borderTop="1px solid"
            borderColor="line"
            py="3"
            display="grid"
            gap="3"
            gridTemplateColumns={{ base: '1fr', md: '2fr 2fr 110px 130px auto' }}
            alignItems="end"
          >
            <LongField
              label="Cause"
              rows={2}
              value={c.name}
              disabled={disabled}
              onChange={(e) => change({ ...c, name: e.target.value })}
            />
            <LongField
              label="Fix"
              rows={2}
              value={c.remedy}
              disabled={disabled}
              onChange={(e) => change({ ...c, remedy: e.target.value })}
            />
            <Field
              label="Weight"
              figure
              defaultValue={String(c.weight)}
              disabled={disabled}
              onBlur={(e) => change({ ...c, weight: numberFrom(e.target.value) ?? c.weight })}
            />
            <Field
              label="Fix time"
              figure
              unit="min"
              defaultValue={String(c.cure_min)}
              disabled={disabled}
              onBlur={(e) => change({ ...c, cure_min: numberFrom(e.target.value) ?? c.cure_min })}
            />
            {!disabled && (
              <Secondary onClick={() => remove(c.id)} aria-label={`Delete: ${c.name}`}>
                Delete
              </Secondary>
            )}
          </Box>
        ))}
      </Box>
      {!disabled && <Secondary onClick={add}>Add cause</Secondary>}
    </Section>
  );
}
