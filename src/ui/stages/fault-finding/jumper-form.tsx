import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { neverJumpered, type LoopGuard, type Payload } from '@/core/logbook';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, Select, optionsOf } from '../../kit/field';

type Jumper = Payload<'jumper.set'>;

const guardWords: Readonly<Record<LoopGuard, string>> = {
  process: 'a process condition',
  'level-or-pressure': 'level, flow or pressure',
  'thermal-relay': 'a thermal relay',
  'remote-enable': 'an enable from elsewhere',
  other: 'something else',
  'safe-stop': 'safe stop',
  'emergency-stop': 'emergency stop',
  guard: 'a guard or door',
  'over-travel': 'over-travel',
};
const tomorrow = (): string => new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);

/** What is asked before a loop is bridged; for what saves people nothing is offered with a motor connected. */
export function JumperForm({ where, keep }: { where: string; keep: (jumper: Jumper) => void }) {
  const [plant, setPlant] = useState<Jumper['plant'] | null>(null);
  const [landed, setLanded] = useState<Jumper['landed'] | null>(null);
  const [wire, setWire] = useState('');
  const [guards, setGuards] = useState<LoopGuard | ''>('');
  const [motor, setMotor] = useState<'yes' | 'no' | null>(null);
  const [form, setForm] = useState<Jumper['form']>('jumper');
  const [reason, setReason] = useState('');
  const [approver, setApprover] = useState('');
  const [removeBy, setRemoveBy] = useState(tomorrow);
  const [missing, setMissing] = useState<string | null>(null);
  const never = guards !== '' && neverJumpered.includes(guards);
  const refused = never && motor !== 'no';
  const set = () => {
    if (plant === null || landed === null || guards === '' || motor === null)
      return setMissing('Answer every question first: each can change the advice.');
    if (reason.trim() === '' || approver.trim() === '' || removeBy === '')
      return setMissing('Reason, who accepts the risk, and the day it comes out are needed.');
    setMissing(null);
    keep({
      form,
      where,
      guards,
      plant,
      landed,
      ...(wire.trim() === '' ? {} : { wire: wire.trim() }),
      motorConnected: motor === 'yes',
      reason: reason.trim(),
      approver: approver.trim(),
      removeBy,
    });
  };
  return (
    <Box as="section" aria-label="Before a remedy" display="grid" gap="4">
      <Choice
        label="Is the plant an existing one, or new?"
        value={plant}
        onChange={setPlant}
        options={[
          { value: 'existing', label: 'existing' },
          { value: 'new', label: 'new' },
        ]}
      />
      <FieldGrid>
        <Choice
          label={`Is a wire landed at ${where}?`}
          value={landed}
          onChange={setLanded}
          options={[
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no' },
            { value: 'not-sure', label: 'not sure' },
          ]}
        />
        <Field label="Number on it" value={wire} maxLength={40} onChange={(e) => setWire(e.target.value)} />
      </FieldGrid>
      {plant === 'existing' && landed === 'yes' && (
        <Text fontWeight="500">
          Ask why the voltage is missing: somebody wanted this contact. Follow wire {wire || '…'} before
          anything is bridged.
        </Text>
      )}
      {plant === 'new' && (
        <Text fontWeight="500">
          Decide with whoever answers for the machine whether this interlock is wanted at all.
        </Text>
      )}
      <FieldGrid>
        <Select
          label="What does the loop watch over?"
          value={guards}
          onChange={setGuards}
          options={[{ value: '', label: 'choose' }, ...optionsOf(guardWords)]}
        />
      </FieldGrid>
      <Choice
        label="Is a motor connected?"
        value={motor}
        onChange={setMotor}
        options={[
          { value: 'yes', label: 'yes' },
          { value: 'no', label: 'no, its cable is off' },
        ]}
      />
      {refused ? (
        <Caution grave title="Not offered.">
          Safe stop, emergency stop, guards and over-travel are never jumpered or set to no function with a
          motor connected. Find why it is open.
        </Caution>
      ) : (
        <>
          <Caution title="The risk is yours by name.">
            A bridged loop no longer stops the machine. It is temporary, it goes on the report, and the job
            cannot be signed off while it is in. A permanent change needs a named qualified person.
          </Caution>
          <Choice
            label="How"
            value={form}
            onChange={setForm}
            options={[
              { value: 'jumper', label: 'temporary jumper' },
              { value: 'no-function', label: 'input set to no function' },
            ]}
          />
          <FieldGrid>
            <Field
              label="Reason"
              value={reason}
              maxLength={200}
              onChange={(e) => setReason(e.target.value)}
            />
            <Field
              label="Who accepts the risk"
              hint="Name and function"
              value={approver}
              maxLength={200}
              onChange={(e) => setApprover(e.target.value)}
            />
            <Field
              label="Comes out by"
              type="date"
              value={removeBy}
              onChange={(e) => setRemoveBy(e.target.value)}
            />
          </FieldGrid>
          {missing !== null && (
            <Text role="alert" color="failed">
              {missing}
            </Text>
          )}
          <Box>
            <Primary onClick={set}>Enter it in the register</Primary>
          </Box>
        </>
      )}
    </Box>
  );
}
