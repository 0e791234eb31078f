'use client';
import * as z from 'zod';
import type { Person } from '@/core/logbook';
import { CardPage } from '../../kit/card-page';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, Select } from '../../kit/field';
import { mustChoose, filledText, orNone, readBy } from '../../kit/form-figures';
import { minutesFrom } from '../../kit/number-from';
import { Island } from '../../kit/island';
import { useTypedForm } from '../../kit/typed-form';
import { Text } from '../../kit/text';
import { useOpenJob } from './use-open-job';

const yesNo = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
  { value: 'not-sure', label: 'not sure' },
] as const;
const newMachine = 'new';
const since = [
  { value: '0', label: 'just now' },
  { value: '30', label: 'half an hour' },
  { value: '120', label: '2 hours' },
  { value: '720', label: 'last night' },
  { value: 'at', label: 'a time…' },
  { value: 'running', label: 'still running' },
];

const answer = z.enum(['yes', 'no', 'not-sure']);
const jobSchema = z
  .object({
    machine: z.string().min(1, 'Which one?'),
    name: z.string().trim(),
    site: z.string().trim(),
    complaint: filledText('Describe the trouble in a few words.'),
    stopped: z.string(),
    workOrder: z.string().trim(),
    stoppedAt: z.string(),
    allowed: orNone(readBy(minutesFrom, 'Enter e.g. 4 h, 90 min or 1:30, or leave it empty.')),
    downstream: z.string().trim(),
    danger: mustChoose(answer.options),
    suspended: mustChoose(answer.options),
    bypass: answer,
  })
  .refine(({ stopped, stoppedAt }) => stopped !== 'at' || Date.parse(stoppedAt) <= Date.now(), {
    path: ['stoppedAt'],
    message: 'Day and time, not in the future',
    // Said with all else that is missing.
    when: () => true,
  })
  .refine(({ machine, name }) => machine !== newMachine || name !== '', {
    path: ['name'],
    message: 'Enter its name',
  })
  .refine(({ machine, site }) => machine !== newMachine || site !== '', {
    path: ['site'],
    message: 'Enter its location',
  });
/** When it stopped; null: it runs. */
function stoppedAtOf({ stopped, stoppedAt }: { stopped: string; stoppedAt: string }): string | null {
  if (stopped === 'running') return null;
  const at = stopped === 'at' ? Date.parse(stoppedAt) : Date.now() - Number(stopped) * 60_000;
  return new Date(at).toISOString();
}

/** A new job in half a minute: which machine, what is wrong, how long it may stand. */
export function NewJob({
  machines,
  sheetId,
  people,
  person,
}: {
  /** A loose sheet that becomes this job. */
  sheetId?: string | undefined;
  machines: readonly { id: string; site: string; name: string }[];
  people: readonly Person[];
  person: Person;
}) {
  const { typed, refused, text, pick, submit } = useTypedForm('new job', jobSchema, {
    ...{ name: '', complaint: '', workOrder: '', allowed: '', downstream: '', stopped: '0', stoppedAt: '' },
    ...{ danger: null, suspended: null, bypass: 'not-sure' as const },
    machine: machines.length === 0 ? newMachine : '',
    site: '',
  });
  const { open, busy, trouble } = useOpenJob();
  const openRead = (read: z.output<typeof jobSchema>): Promise<void> => {
    const known = machines.find((m) => m.id === read.machine);
    const job = {
      assetId: known?.id ?? null,
      site: known?.site ?? read.site,
      machine: known?.name ?? read.name,
      complaint: read.complaint,
      ...(read.workOrder === '' ? {} : { workOrder: read.workOrder }),
      stoppedAt: stoppedAtOf(read),
      downtimeAllowed_min: read.allowed,
      ...(read.downstream === '' ? {} : { downstream: read.downstream }),
      peopleInDanger: read.danger,
      loadSuspended: read.suspended,
      bypass: read.bypass,
    };
    return open(job, { sheetId });
  };

  return (
    <CardPage
      title="New job"
      about={
        sheetId === undefined
          ? 'Takes half a minute; details follow at the machine.'
          : 'The loose sheet becomes this job: its log entries are moved to it.'
      }
      people={people}
      person={person}
      maxW="1000px"
    >
      <Island deaf>
        <form onSubmit={(e) => submit((read) => void openRead(read))(e)} noValidate>
          <FieldGrid min="240px">
            <Select
              label="Machine"
              {...pick('machine')}
              options={[
                ...(machines.length === 0 ? [] : [{ value: '', label: 'choose' }]),
                ...machines.map((m) => ({ value: m.id, label: `${m.name}, ${m.site}` })),
                { value: newMachine, label: 'another machine' },
              ]}
            />
            {typed.machine === newMachine && (
              <>
                <Field label="Name of the machine" maxLength={200} {...text('name')} />
                <Field label="Location" maxLength={200} {...text('site')} />
              </>
            )}
            <Field label="What is wrong?" maxLength={200} autoFocus {...text('complaint')} />
            <Select label="Stopped since" {...pick('stopped')} options={since} />
            {typed.stopped === 'at' && (
              <Field label="Stopped at" type="datetime-local" {...text('stoppedAt')} />
            )}
            <Field
              label="Downtime allowed"
              hint="4 h, 90 min, 1:30; empty if not known"
              {...text('allowed')}
            />
            <Field label="Work order" maxLength={200} hint="Customer’s number" {...text('workOrder')} />
            <Field label="What depends on this machine?" maxLength={200} {...text('downstream')} />
          </FieldGrid>
          <FieldGrid min="240px">
            <Choice label="Is anyone in danger?" options={yesNo} {...pick('danger')} />
            <Choice label="Is a load suspended?" options={yesNo} {...pick('suspended')} />
            <Choice label="Is there a bypass?" options={yesNo} {...pick('bypass')} />
          </FieldGrid>
          {(typed.danger === 'yes' || typed.suspended === 'yes') && (
            <Caution grave title="People first.">
              Clear the area and have the load lowered or blocked by the person responsible, before anything
              else.
            </Caution>
          )}
          {refused && (typed.danger === null || typed.suspended === null) && (
            <Text role="alert" color="failed" fontWeight="500" mb="3">
              Answer both questions about danger; “not sure” is allowed.
            </Text>
          )}
          {trouble !== null && (
            <Text role="alert" color="failed" fontWeight="500" mb="3">
              {trouble}
            </Text>
          )}
          <Primary type="submit" disabled={busy}>
            {busy ? 'Opening…' : 'Open job'}
          </Primary>
        </form>
      </Island>
    </CardPage>
  );
}
