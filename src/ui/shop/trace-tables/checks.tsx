import { Box } from '@chakra-ui/react';
import type { TraceCause, Check, Hazard } from '@/core/fault-finding/tracing';
import { Secondary } from '../../kit/buttons';
import { FieldGrid, Section } from '../../kit/section';
import { Field, LongField, Select, TextField } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';
import { chanceOf, withChance } from './edit';
import { Text } from '../../kit/text';

const hazards: readonly { value: Hazard; label: string }[] = [
  { value: 'none', label: 'nothing' },
  { value: 'dead', label: 'dead parts, after the dead proof' },
  { value: 'control', label: 'control voltage on: machine may start' },
  { value: 'live', label: 'live parts' },
];

/** Under each cause: how often is the first answer the one that is seen? */
function Chances({
  check,
  causes,
  disabled,
  change,
}: {
  check: Check;
  causes: readonly TraceCause[];
  disabled: boolean;
  change: (check: Check) => void;
}) {
  const [first] = check.outcomes;
  if (first === undefined) return null;
  return (
    <Box>
      <Text fontWeight="500">Of 100 cases, how often “{first.words}” if the cause is</Text>
      <FieldGrid min="230px">
        {causes.map((c) => (
          <Field
            key={c.id}
            label={c.name === '' ? 'the new cause' : c.name}
            figure
            disabled={disabled}
            defaultValue={String(Number((chanceOf(first, c.id) * 100).toFixed(1)))}
            onBlur={(e) => {
              const hundredths = numberFrom(e.target.value);
              if (hundredths !== null && hundredths >= 0 && hundredths <= 100)
                change(withChance(check, c.id, hundredths / 100));
            }}
          />
        ))}
      </FieldGrid>
    </Box>
  );
}

/** What can be looked at or measured, what it costs, and what it tells. */
export function Checks({
  checks,
  causes,
  disabled,
  change,
  add,
  remove,
}: {
  checks: readonly Check[];
  causes: readonly TraceCause[];
  disabled: boolean;
  change: (check: Check) => void;
  add: () => void;
  remove: (id: string) => void;
}) {
  return (
    <Section title="Checks">
      <Box as="ol" listStyleType="none">
        {checks.map((k) => (
          <Box as="li" key={k.id} borderTop="1px solid" borderColor="line" py="3" display="grid" gap="3">
            <LongField
              label="What to do"
              rows={2}
              value={k.what}
              disabled={disabled}
              onChange={(e) => change({ ...k, what: e.target.value })}
            />
            <FieldGrid>
              <Field
                label="Takes"
                figure
                unit="min"
                disabled={disabled}
                defaultValue={String(k.minutes)}
                onBlur={(e) => change({ ...k, minutes: numberFrom(e.target.value) ?? k.minutes })}
              />
              <Select
                label="Hazard"
                value={k.hazard}
                disabled={disabled}
                onChange={(v) =>
                  change({ ...k, hazard: hazards.find((h) => h.value === v)?.value ?? k.hazard })
                }
                options={hazards}
              />
              <TextField
                label="Tool"
                text={k.tool ?? ''}
                disabled={disabled}
                set={(text) => change({ ...k, tool: text === '' ? undefined : text })}
              />
              {k.outcomes.map((o, i) => (
                <TextField
                  key={o.id}
                  label={`Answer ${i + 1}`}
                  text={o.words}
                  disabled={disabled}
                  set={(text) =>
                    change({
                      ...k,
                      outcomes: k.outcomes.map((x) => (x.id === o.id ? { ...x, words: text } : x)),
                    })
                  }
                />
              ))}
            </FieldGrid>
            <Chances check={k} causes={causes} disabled={disabled} change={change} />
            {!disabled && (
              <Box>
                <Secondary onClick={() => remove(k.id)}>Delete this check</Secondary>
              </Box>
            )}
          </Box>
        ))}
      </Box>
      {!disabled && <Secondary onClick={add}>Add check</Secondary>}
    </Section>
  );
}
