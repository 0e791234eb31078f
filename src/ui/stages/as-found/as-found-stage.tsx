'use client';
import { Box, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { alarmFamilies, type AlarmFamily } from '@/core/equipment/concepts';
import { mustStayDead } from '@/core/logbook';
import { Primary, Secondary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { StageHead, FieldGrid, Section } from '../../kit/section';
import { Field, Select } from '../../kit/field';
import { Photos } from '../../kit/photos';
import type { StageProps } from '../../job-store/stage-props';

const reasons = [
  'unsafe to energise',
  'display dead',
  'no access to the keypad',
  'history was cleared before',
];
const familyLabel = (family: AlarmFamily): string => (family === 'none' ? 'none' : family.replace(/-/g, ' '));

/** Freezing what the drive says before anything is reset. */
export function AsFoundStage({ store, goTo }: StageProps) {
  const known =
    store.state.asFound !== null && 'captured' in store.state.asFound ? store.state.asFound.captured : null;
  const [active, setActive] = useState(known?.active ?? store.state.call?.display ?? '');
  const [family, setFamily] = useState<AlarmFamily>(known?.family ?? 'none');
  const [slots, setSlots] = useState(
    known?.slots.map((s) => ({ code: s.code, when: s.when ?? '' })) ?? [{ code: '', when: '' }],
  );
  const [selectors, setSelectors] = useState(known?.selectors ?? '');
  const [photos, setPhotos] = useState<string[]>(known?.photos ?? []);
  const dead = mustStayDead(store.state);
  const setSlot = (i: number, slot: { code: string; when: string }) =>
    setSlots((list) => list.map((s, n) => (n === i ? slot : s)));
  return (
    <>
      <StageHead title="As found">Capture before clear: one long key press may wipe the history.</StageHead>
      {dead.length > 0 && (
        <Caution grave title="Do not restore mains to read it.">
          After {dead.join(', ')} the fault may still be there. Use an external 24 V control supply where the
          type has one, or write why it was not captured.
        </Caution>
      )}
      <form
        onSubmit={(e) => {
          e.preventDefault();
          const filled = slots
            .filter((s) => s.code.trim() !== '')
            .map((s) => ({ code: s.code.trim(), ...(s.when.trim() === '' ? {} : { when: s.when.trim() }) }));
          store.record('as-found.captured', {
            active: active.trim(),
            family,
            slots: filled,
            selectors: selectors.trim(),
            photos,
          });
          goTo('look');
        }}
      >
        <FieldGrid>
          <Field
            label="Active alarm"
            value={active}
            onChange={(e) => setActive(e.target.value)}
            hint="as displayed; empty if none"
            maxLength={200}
          />
          <Select
            label="What kind is it?"
            value={family}
            onChange={setFamily}
            options={alarmFamilies.map((f) => ({ value: f, label: familyLabel(f) }))}
          />
          <Field
            label="Selector and jumper positions"
            value={selectors}
            onChange={(e) => setSelectors(e.target.value)}
            maxLength={200}
          />
        </FieldGrid>
        <Section title="Fault slots, newest first">
          <Text color="soft" mb="2" fontSize="0.92rem">
            The newest may only be the consequence of an older one.
          </Text>
          {slots.map((slot, i) => (
            <Box key={i} display="grid" gridTemplateColumns="1fr 1fr" gap="3" mb="2">
              <Field
                label={`Slot ${i + 1}, code`}
                value={slot.code}
                onChange={(e) => setSlot(i, { ...slot, code: e.target.value })}
                maxLength={60}
              />
              <Field
                label="When"
                value={slot.when}
                onChange={(e) => setSlot(i, { ...slot, when: e.target.value })}
                hint="if the clock was set"
                maxLength={60}
              />
            </Box>
          ))}
          {slots.length < 30 && (
            <Secondary onClick={() => setSlots([...slots, { code: '', when: '' }])}>Another slot</Secondary>
          )}
        </Section>
        <Box mb="4">
          <Photos label="Display and selectors" photos={photos} onChange={setPhotos} />
        </Box>
        <Primary type="submit">Keep and look</Primary>
      </form>
      <Section title="Cannot be captured?">
        <Box display="flex" flexWrap="wrap" gap="2" mt="2">
          {reasons.map((reason) => (
            <Secondary
              key={reason}
              onClick={() => {
                store.record('as-found.impossible', { reason });
                goTo('look');
              }}
            >
              {reason}
            </Secondary>
          ))}
        </Box>
      </Section>
    </>
  );
}
