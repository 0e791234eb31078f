'use client';
import { Text } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useRef, useState, type FormEvent } from 'react';
import { v7 } from 'uuid';
import type { Payload, Person } from '@/core/logbook';
import { CardPage } from '../../kit/card-page';
import { Primary } from '../../kit/buttons';
import { Caution } from '../../kit/caution';
import { FieldGrid } from '../../kit/section';
import { Choice, Field, NumberField, Select } from '../../kit/field';
import { call } from '../../api/call';

type YesNo = 'yes' | 'no' | 'not-sure';
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
  { value: 'running', label: 'it still runs' },
];

/** A new job in half a minute: which machine, what is wrong, how long it may stand. */
export function NewJob({
  machines,
  people,
  person,
}: {
  machines: readonly { id: string; site: string; name: string }[];
  people: readonly Person[];
  person: Person;
}) {
  const router = useRouter();
  const [machine, setMachine] = useState(machines[0]?.id ?? newMachine);
  const [name, setName] = useState('');
  const [site, setSite] = useState(machines[0]?.site ?? '');
  const [complaint, setComplaint] = useState('');
  const [stopped, setStopped] = useState('0');
  const [allowed, setAllowed] = useState('');
  const [downstream, setDownstream] = useState('');
  const [danger, setDanger] = useState<YesNo | null>(null);
  const [suspended, setSuspended] = useState<YesNo | null>(null);
  const [bypass, setBypass] = useState<YesNo>('not-sure');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // Made once, so that pressing twice or again after a failure opens one job only.
  const ids = useRef({ job: '', entry: '', asset: '' });

  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const known = machines.find((m) => m.id === machine);
    const hours = allowed.trim() === '' ? null : Number(allowed.replace(',', '.'));
    if (complaint.trim() === '') return setTrouble('Say in a few words what is wrong.');
    if (known === undefined && (name.trim() === '' || site.trim() === ''))
      return setTrouble('Name the machine and its place.');
    if (danger === null || suspended === null)
      return setTrouble('Answer both questions about danger; “not sure” is an answer.');
    if (hours !== null && !(hours >= 0))
      return setTrouble('Hours allowed: a figure like 4 or 1.5, or leave it empty.');
    if (ids.current.job === '') ids.current = { job: v7(), entry: v7(), asset: v7() };
    const payload: Payload<'job.opened'> = {
      assetId: known?.id ?? ids.current.asset,
      site: known?.site ?? site.trim(),
      machine: known?.name ?? name.trim(),
      complaint: complaint.trim(),
      stoppedAt: stopped === 'running' ? null : new Date(Date.now() - Number(stopped) * 60_000).toISOString(),
      downtimeAllowed_min: hours === null ? null : hours * 60,
      ...(downstream.trim() === '' ? {} : { downstream: downstream.trim() }),
      peopleInDanger: danger,
      loadSuspended: suspended,
      bypass,
    };
    setBusy(true);
    setTrouble(null);
    const answer = await call('POST /api/v1/jobs', {
      body: {
        entry: {
          v: 1,
          id: ids.current.entry,
          jobId: ids.current.job,
          at: new Date().toISOString(),
          kind: 'job.opened',
          payload,
        },
      },
    });
    if (answer.ok) return router.push(`/jobs/${ids.current.job}`);
    if (answer.status === 409) ids.current = { job: '', entry: '', asset: '' };
    setTrouble(
      answer.status === 0
        ? 'The server does not answer. What you typed is still here: try again in a moment.'
        : answer.error,
    );
    setBusy(false);
  };

  return (
    <CardPage
      title="New job"
      about="Half a minute; the rest comes at the machine."
      people={people}
      person={person}
      maxW="1000px"
    >
      <form onSubmit={(e) => void submit(e)} noValidate>
        <FieldGrid min="240px">
          <Select
            label="Machine"
            value={machine}
            onChange={setMachine}
            options={[
              ...machines.map((m) => ({ value: m.id, label: `${m.name}, ${m.site}` })),
              { value: newMachine, label: 'another machine' },
            ]}
          />
          {machine === newMachine && (
            <>
              <Field
                label="Its name"
                value={name}
                onChange={(e) => setName(e.target.value)}
                maxLength={200}
              />
              <Field label="Place" value={site} onChange={(e) => setSite(e.target.value)} maxLength={200} />
            </>
          )}
          <Field
            label="What is wrong?"
            value={complaint}
            onChange={(e) => setComplaint(e.target.value)}
            maxLength={200}
            autoFocus
          />
          <Select label="Standing since" value={stopped} onChange={setStopped} options={since} />
          <NumberField
            label="May stand for"
            unit="h"
            hint="empty if nobody said"
            text={allowed}
            set={setAllowed}
          />
          <Field
            label="Who waits downstream?"
            value={downstream}
            onChange={(e) => setDownstream(e.target.value)}
            maxLength={200}
          />
        </FieldGrid>
        <FieldGrid min="240px">
          <Choice label="Is anyone in danger?" options={yesNo} value={danger} onChange={setDanger} />
          <Choice label="Is a load suspended?" options={yesNo} value={suspended} onChange={setSuspended} />
          <Choice label="Is there a bypass?" options={yesNo} value={bypass} onChange={setBypass} />
        </FieldGrid>
        {(danger === 'yes' || suspended === 'yes') && (
          <Caution grave title="People first.">
            Clear the area and have the load lowered or blocked by whoever is responsible for it, before
            anything else.
          </Caution>
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
    </CardPage>
  );
}
