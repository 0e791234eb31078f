import { Box } from '@chakra-ui/react';
import * as z from 'zod';
import type { HandOverItem } from '@/core/job/hand-over';
import type { StageProps } from '../../job-store/stage-props';
import { Primary, Secondary } from '../../kit/buttons';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, optionsOf, Select, TextField } from '../../kit/field';
import { filledText, zeroOrMore } from '../../kit/form-figures';
import { useDraftText } from '../../kit/draft-text';
import { useTypedForm } from '../../kit/typed-form';

interface Given extends StageProps {
  item: HandOverItem;
  done: () => void;
}

const toldSchema = z.object({ who: filledText('Enter who was informed'), how: z.string().trim() });
const nobody: z.input<typeof toldSchema> = { who: '', how: '' };

function Told({ store, done }: Given) {
  const { text, submit } = useTypedForm('control system told', toldSchema, nobody);
  const keep = submit((told) => {
    store.record('handover.told', told);
    done();
  });
  return (
    <form onSubmit={keep} noValidate>
      <FieldGrid min="220px">
        <Field label="Who was informed" maxLength={200} autoFocus {...text('who')} />
        <Field label="How" maxLength={200} hint="E.g. by radio, from the board" {...text('how')} />
      </FieldGrid>
      <Primary type="submit">Informed, override off</Primary>
    </form>
  );
}

const points = [0, 1, 2] as const;
const pointSchema = z.object({ asked: zeroOrMore, got: zeroOrMore });
const followedSchema = z.object({
  unit: z.enum(['Hz', 'rpm', '%']),
  points: z.array(pointSchema),
});
const noPoints: z.input<typeof followedSchema> = {
  unit: 'Hz',
  points: points.map(() => ({ asked: '', got: '' })),
};

function Followed({ store, done }: Given) {
  const { typed, text, pick, submit } = useTypedForm('follows its reference', followedSchema, noPoints);
  const keep = submit((followed) => {
    store.record('handover.followed', followed);
    done();
  });
  return (
    <form onSubmit={keep} noValidate>
      <FieldGrid min="160px">
        <Select label="In" {...pick('unit')} options={optionsOf({ Hz: 'Hz', rpm: 'rpm', '%': '%' })} />
      </FieldGrid>
      {points.map((i) => (
        <FieldGrid key={i} min="160px">
          <Field label={`Reference ${i + 1}`} figure unit={typed.unit} {...text(`points.${i}.asked`)} />
          <Field label={`Output ${i + 1}`} figure unit={typed.unit} {...text(`points.${i}.got`)} />
        </FieldGrid>
      ))}
      <Primary type="submit">Save three references</Primary>
    </form>
  );
}

function Partner({ store, item, done }: Given) {
  const [note, setNote] = useDraftText(`seen of ${item.id}`);
  const keep = (right: boolean) => {
    store.record('handover.partner', { machine: item.title, right, note: note.trim() });
    setNote('');
    done();
  };
  return (
    <>
      <FieldGrid min="260px">
        <TextField label="Observation" text={note} maxLength={200} set={setNote} />
      </FieldGrid>
      <Box display="flex" gap="2" flexWrap="wrap">
        <Primary onClick={() => keep(true)}>Runs as before</Primary>
        <Secondary onClick={() => keep(false)}>Does not run as before</Secondary>
      </Box>
    </>
  );
}

function Locks({ store, done }: Given) {
  const [note, setNote] = useDraftText('remark on locks');
  return (
    <>
      <FieldGrid min="260px">
        <TextField label="Remark" text={note} maxLength={200} set={setNote} />
      </FieldGrid>
      <Choice
        label="Codes and menu locks"
        hideLabel
        value={null}
        onChange={(locks) => {
          store.record('handover.locks', { locks, note: note.trim() });
          setNote('');
          done();
        }}
        options={optionsOf({ on: 'locked again', none: 'not on this type', open: 'left open' })}
      />
    </>
  );
}

const inspectionSchema = z.object({ date: z.iso.date('Choose a day'), what: z.string().trim() });
const noDate: z.input<typeof inspectionSchema> = { date: '', what: '' };

function Inspection({ store, done }: Given) {
  const { text, submit } = useTypedForm('next inspection', inspectionSchema, noDate);
  const keep = submit((next) => {
    store.record('handover.inspection', next);
    done();
  });
  return (
    <form onSubmit={keep} noValidate>
      <FieldGrid min="200px">
        <Field label="Next inspection on" type="date" {...text('date')} />
        <Field label="What to inspect" maxLength={200} {...text('what')} />
      </FieldGrid>
      <Primary type="submit">Save date</Primary>
    </form>
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
  terminals: 'To Commissioning',
  wires: 'To the wires',
  stop: 'To the outage',
  settings: 'To Commissioning',
  backup: 'Read out',
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
      aria-label={`${item.title}: ${item.state === 'done' ? 'again' : 'open'}`}
      onClick={toggle}
    >
      {item.state === 'done' ? 'Again' : 'Open'}
    </Secondary>
  );
}
