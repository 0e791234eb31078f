import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { HandOverItem } from '@/core/job/hand-over';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, NumberField, Select } from '../../kit/field';
import { numberFrom } from '../../kit/number-from';

interface Given extends StageProps {
  item: HandOverItem;
  done: () => void;
}

function Told({ store, done }: Given) {
  const [who, setWho] = useState('');
  const [how, setHow] = useState('');
  return (
    <>
      <FieldGrid min="220px">
        <Field
          label="Who was told"
          value={who}
          maxLength={200}
          autoFocus
          onChange={(e) => setWho(e.target.value)}
        />
        <Field
          label="How"
          value={how}
          maxLength={200}
          hint="e.g. by radio, from the board"
          onChange={(e) => setHow(e.target.value)}
        />
      </FieldGrid>
      <Primary
        disabled={who.trim() === ''}
        onClick={() => {
          store.record('handover.told', { who: who.trim(), how: how.trim() });
          done();
        }}
      >
        They know, and the override is off
      </Primary>
    </>
  );
}

function Followed({ store, done }: Given) {
  const [unit, setUnit] = useState<'Hz' | 'rpm' | '%'>('Hz');
  const [points, setPoints] = useState(['', '', ''].map(() => ({ asked: '', got: '' })));
  const read = points.map((p) => ({ asked: figure(p.asked), got: figure(p.got) }));
  const whole = read.flatMap((p) =>
    p.asked === null || p.got === null ? [] : [{ asked: p.asked, got: p.got }],
  );
  return (
    <>
      <FieldGrid min="160px">
        <Select
          label="In"
          value={unit}
          onChange={setUnit}
          options={(['Hz', 'rpm', '%'] as const).map((value) => ({ value, label: value }))}
        />
      </FieldGrid>
      {points.map((p, i) => (
        <FieldGrid key={i} min="160px">
          {(['asked', 'got'] as const).map((side) => (
            <NumberField
              key={side}
              label={`${side === 'asked' ? 'Reference' : 'Ran at'} ${i + 1}`}
              unit={unit}
              text={p[side]}
              error={p[side] !== '' && figure(p[side]) === null ? 'A figure from zero' : undefined}
              set={(text) => setPoints(points.map((q, k) => (k === i ? { ...q, [side]: text } : q)))}
            />
          ))}
        </FieldGrid>
      ))}
      <Primary
        disabled={whole.length !== points.length}
        onClick={() => {
          store.record('handover.followed', { unit, points: whole });
          done();
        }}
      >
        Keep three references
      </Primary>
    </>
  );
}

const figure = (text: string): number | null => (/^0+([.,]0*)?$/.test(text.trim()) ? 0 : numberFrom(text));

function Partner({ store, item, done }: Given) {
  const [note, setNote] = useState('');
  const keep = (right: boolean) => {
    store.record('handover.partner', { machine: item.title, right, note: note.trim() });
    done();
  };
  return (
    <>
      <FieldGrid min="260px">
        <Field label="What was seen" value={note} maxLength={200} onChange={(e) => setNote(e.target.value)} />
      </FieldGrid>
      <Box display="flex" gap="2" flexWrap="wrap">
        <Primary onClick={() => keep(true)}>It runs as before</Primary>
        <Secondary onClick={() => keep(false)}>It does not</Secondary>
      </Box>
    </>
  );
}

function Locks({ store, done }: Given) {
  const [note, setNote] = useState('');
  return (
    <>
      <FieldGrid min="260px">
        <Field label="Remark" value={note} maxLength={200} onChange={(e) => setNote(e.target.value)} />
      </FieldGrid>
      <Choice<'on' | 'none' | 'open'>
        label="Codes and menu locks"
        hideLabel
        value={null}
        onChange={(locks) => {
          store.record('handover.locks', { locks, note: note.trim() });
          done();
        }}
        options={[
          { value: 'on', label: 'back on' },
          { value: 'none', label: 'the type has none' },
          { value: 'open', label: 'left open' },
        ]}
      />
    </>
  );
}

function Inspection({ store, done }: Given) {
  const [date, setDate] = useState('');
  const [what, setWhat] = useState('');
  return (
    <>
      <FieldGrid min="200px">
        <Field
          label="Looked at again on"
          type="date"
          value={date}
          onChange={(e) => setDate(e.target.value)}
        />
        <Field
          label="What is looked at"
          value={what}
          maxLength={200}
          onChange={(e) => setWhat(e.target.value)}
        />
      </FieldGrid>
      <Primary
        disabled={!/^\d{4}-\d{2}-\d{2}$/.test(date)}
        onClick={() => {
          store.record('handover.inspection', { date, what: what.trim() });
          done();
        }}
      >
        Keep the date
      </Primary>
    </>
  );
}

/** Where a line is settled elsewhere. */
const elsewhere = {
  terminals: 'settings',
  wires: 'swap',
  stop: 'swap',
  settings: 'settings',
  backup: 'trace',
} as const;
const isElsewhere = (id: string): id is keyof typeof elsewhere => id in elsewhere;
const buttonWords = {
  terminals: 'To the settings',
  wires: 'To the wires',
  stop: 'To the stop',
  settings: 'To the settings',
  backup: 'Read it out',
} as const;

const hasForm = (id: string): boolean =>
  id.startsWith('partner:') || ['told', 'followed', 'locks', 'inspection'].includes(id);

/** What a line of the hand-over is settled with. */
export function BackForm(given: Given) {
  const { id } = given.item;
  return (
    <Box py="3" pl={{ md: 4 }} borderLeft="4px solid" borderColor="line" mt="2">
      {id === 'told' && <Told {...given} />}
      {id === 'followed' && <Followed {...given} />}
      {id.startsWith('partner:') && <Partner {...given} />}
      {id === 'locks' && <Locks {...given} />}
      {id === 'inspection' && <Inspection {...given} />}
    </Box>
  );
}

/** The way to it: a form below the line, or another stage. */
export function BackButton({
  item,
  open,
  toggle,
  goTo,
}: {
  item: HandOverItem;
  open: boolean;
  toggle: () => void;
  goTo: StageProps['goTo'];
}) {
  const { id } = item;
  if (isElsewhere(id))
    return item.state === 'done' ? null : (
      <Secondary onClick={() => goTo(elsewhere[id])}>{buttonWords[id]}</Secondary>
    );
  if (!hasForm(id)) return null;
  return (
    <Secondary
      aria-expanded={open}
      aria-label={`${item.title}: ${item.state === 'done' ? 'again' : 'see to it'}`}
      onClick={toggle}
    >
      {item.state === 'done' ? 'Again' : 'See to it'}
    </Secondary>
  );
}
