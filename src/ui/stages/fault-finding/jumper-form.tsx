import { Box, chakra } from '@chakra-ui/react';
import * as z from 'zod';
import { keysOf } from '@/core/numerics/arrays';
import { neverJumpered, type LoopGuard, type Payload } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { filledText, mustChoose, unread } from '../../kit/form-figures';
import { useTypedForm } from '../../kit/typed-form';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, Select, optionsOf } from '../../kit/field';
import { Text } from '../../kit/text';

type Jumper = Payload<'jumper.set'>;

const guardWords: Readonly<Record<LoopGuard, string>> = {
  process: 'a process condition',
  'level-or-pressure': 'level, flow or pressure',
  'thermal-relay': 'a thermal relay',
  'remote-enable': 'an enable from elsewhere',
  other: 'something else',
  'safe-stop': 'STO',
  'emergency-stop': 'emergency stop',
  guard: 'a guard or door',
  'over-travel': 'over-travel',
};
const dayIn = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
const today = (): string => dayIn(0);
const tomorrow = (): string => dayIn(1);

const jumperSchema = z
  .object({
    plant: mustChoose(['existing', 'new']),
    landed: mustChoose(['yes', 'no', 'not-sure']),
    wire: z.string().trim(),
    guards: z
      .enum(['', ...keysOf(guardWords)])
      .transform((guards, context): LoopGuard => (guards === '' ? unread(context, 'Choose one') : guards)),
    motor: mustChoose(['yes', 'no']),
    form: z.enum(['jumper', 'no-function']),
    reason: filledText('Say why'),
    approver: filledText('Name and function'),
    removeBy: filledText('Removal date'),
  })
  .refine(({ guards }) => !neverJumpered.includes(guards), {
    path: ['guards'],
    message: 'Never jumper',
  });
const blankJumper = (): z.input<typeof jumperSchema> => ({
  plant: null,
  landed: null,
  wire: '',
  guards: '',
  motor: null,
  form: 'jumper',
  reason: '',
  approver: '',
  removeBy: tomorrow(),
});

/** What is asked before a loop is bridged; for what saves people nothing is offered. */
export function JumperForm({ where, keep }: { where: string; keep: (jumper: Jumper) => void }) {
  const { typed, refused, text, pick, submit } = useTypedForm('jumper', jumperSchema, blankJumper());
  const { plant, landed, wire, guards, motor, form } = typed;
  const never = guards !== '' && neverJumpered.includes(guards);
  const enter = submit(({ motor: connected, wire: mark, ...read }) =>
    keep({
      ...read,
      where,
      ...(mark === '' ? {} : { wire: mark }),
      motorConnected: connected === 'yes',
    }),
  );
  return (
    <chakra.form onSubmit={enter} noValidate aria-label="Before a jumper" display="grid" gap="4">
      <Choice
        label="Is the plant existing or new?"
        {...pick('plant')}
        options={optionsOf({ existing: 'existing', new: 'new' })}
      />
      <FieldGrid>
        <Choice
          label={`Is a wire landed at ${where}?`}
          {...pick('landed')}
          options={optionsOf({ yes: 'yes', no: 'no', 'not-sure': 'not sure' })}
        />
        <Field label="Wire number" maxLength={40} {...text('wire')} />
      </FieldGrid>
      {plant === 'existing' && landed === 'yes' && (
        <Text fontWeight="500">
          Find out why the voltage is missing: this contact was installed for a reason. Follow wire{' '}
          {wire || '…'} before bridging anything.
        </Text>
      )}
      {plant === 'new' && (
        <Text fontWeight="500">
          Decide with the person responsible for the machine whether this interlock is needed.
        </Text>
      )}
      <FieldGrid>
        <Select
          label="What does the loop monitor?"
          {...pick('guards')}
          options={[{ value: '', label: 'choose' }, ...optionsOf(guardWords)]}
        />
      </FieldGrid>
      <Choice
        label="Is a motor connected?"
        {...pick('motor')}
        options={optionsOf({ yes: 'yes', no: 'no, its cable is off' })}
      />
      {never ? (
        <>
          <Caution grave signal={null} title="Not offered.">
            STO, E-stop, guards and over-travel are never jumpered or set to no function, with or without
            motor. Find why it is open.
          </Caution>
          <Box>
            <Secondary
              waitsFor={
                plant === null || landed === null || motor === null
                  ? 'Answer the three questions first.'
                  : null
              }
              onClick={() =>
                keep({
                  ...{ where, guards, plant: plant ?? 'existing', landed: landed ?? 'not-sure', form },
                  ...{ motorConnected: motor !== 'no', found: true },
                  ...{ reason: 'found in place', approver: 'nobody', removeBy: today() },
                })
              }
            >
              A jumper is already fitted: record it
            </Secondary>
            <Text fontSize="0.9rem" color="soft" mt="1">
              It must be removed before anything is signed. Answer the questions above first.
            </Text>
          </Box>
        </>
      ) : (
        <>
          <Caution title="You accept the risk by name.">
            A jumpered loop no longer stops the machine. The jumper is temporary and goes on the report; the
            job cannot be signed off while it is fitted. A permanent change needs a named qualified person.
          </Caution>
          <Choice
            label="How"
            {...pick('form')}
            options={optionsOf({ jumper: 'temporary jumper', 'no-function': 'input set to no function' })}
          />
          <FieldGrid>
            <Field label="Reason" maxLength={200} {...text('reason')} />
            <Field
              label="Who accepts the risk"
              hint="Name and function"
              maxLength={200}
              {...text('approver')}
            />
            <Field label="Remove by" type="date" {...text('removeBy')} />
          </FieldGrid>
          {refused && (
            <Text role="alert" color="failed">
              {guards === '' || [plant, landed, motor].includes(null)
                ? 'Answer every question first: each may change the advice.'
                : 'Reason, person accepting the risk, and removal date are required.'}
            </Text>
          )}
          <Box>
            <Primary type="submit">Record jumper</Primary>
          </Box>
        </>
      )}
    </chakra.form>
  );
}
