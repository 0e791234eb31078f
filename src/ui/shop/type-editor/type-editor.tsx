'use client';
import { Box } from '@chakra-ui/react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  asOwn,
  formOf,
  isList,
  isRecord,
  labelOf,
  oneFile,
  type Path,
  type Schema,
  type TypeFiles,
} from '@/core/equipment/type-edit';
import type { TypeVersion } from '@/api/type-files';
import type { Person } from '@/core/logbook';
import { call } from '../../api/call';
import { Secondary } from '../../kit/buttons';
import { CardPage } from '../../kit/card-page';
import { Notice } from '../../kit/notice';
import { saveText } from '../../kit/save-text';
import { Section } from '../../kit/section';
import { Text } from '../../kit/text';
import type { Editing } from './editing';
import { NodeForm } from './node-form';
import { SavePart } from './save-part';
import { useTypeEdit, type FileKey } from './use-type-edit';
import { Versions } from './versions';

/** A part of the files that is edited by itself. */
interface Part {
  file: FileKey;
  path: Path;
  title: string;
}

/** Parts whose names in the file are not the words of the trade. */
const partNames: Readonly<Record<string, string>> = {
  ...{ alarms: 'Faults', safeStop: 'STO', fitting: 'Installation', places: 'Terminal places' },
  ...{ knob: 'Keypad knob', rampCountsTo: 'Ramps count to', locks: 'Lock codes' },
};

const labelPart: Part = { file: 'type', path: [], title: 'Rating label and power stage' };

function partsOf(control: Schema): Part[] {
  const form = formOf(control, control);
  if (form.kind !== 'record') return [labelPart];
  return [
    labelPart,
    ...form.fields.map(({ name }): Part => ({
      file: 'control',
      path: [name],
      title: partNames[name] ?? labelOf(name),
    })),
  ];
}

/** How many items a part has, for its button. */
const sizeOf = (files: TypeFiles, { file, path: [key] }: Part): string => {
  const inner = typeof key === 'string' ? files[file]?.[key] : undefined;
  return isList(inner) ? ` (${inner.length})` : '';
};

/** The first model of a type that was saved. */
function firstModel({ type: { models } }: TypeFiles): string {
  const [first] = isList(models) ? models : [];
  return isRecord(first) ? String(first['type']) : '';
}

/** The saved type as the simulated drive; where it cannot be, the simulator says what it lacks. */
function RunIt({ type, model }: { type: string; model: string }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const run = async () => {
    const answer = await call('POST /api/v1/rig', { body: { drive: { type, model }, wait_s: 3 } });
    if (answer.ok) router.push('/simulator');
    else setTrouble(answer.status === 0 ? 'Server not reachable: try again.' : answer.error);
  };
  return (
    <>
      <Secondary onClick={() => void run()}>Run in the simulator</Secondary>
      {trouble !== null && (
        <Text role="alert" color="failed" alignSelf="center">
          {trouble}
        </Text>
      )}
    </>
  );
}

/** Ctrl+Z and Ctrl+Shift+Z outside of fields, which undo their own typing. */
function useUndoKeys(undo: () => void, redo: () => void): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return;
      if (e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement) return;
      e.preventDefault();
      if (e.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

/** Both files of a type on screen: every field of both schemas, with undo, versions and one file to hand on. */
export function TypeEditor({
  id,
  version,
  supplied,
  files,
  versions,
  schemas,
  people,
  person,
}: {
  id: string;
  version: number;
  supplied: boolean;
  files: TypeFiles;
  versions: readonly TypeVersion[];
  schemas: { type: Schema; control: Schema };
  people: readonly Person[];
  person: Person;
}) {
  const router = useRouter();
  const edit = useTypeEdit(id, version, supplied ? asOwn(files) : files);
  const [part, setPart] = useState<Part>(labelPart);
  const { now, history, outcome, problems } = edit;
  const parts = partsOf(schemas.control);
  const mine = problems.filter((p) => p.file === `${part.file}.json`);
  const editing: Editing = {
    root: schemas[part.file],
    whole: now[part.file] ?? {},
    problems: new Map(mine.map((p) => [p.path, p.allowed])),
    set: (path, value) => edit.set(part.file, path, value),
  };
  const schemaOfPart = (): Schema => {
    const [key] = part.path;
    const form = formOf(editing.root, editing.root);
    const field = form.kind === 'record' ? form.fields.find(({ name }) => name === key) : undefined;
    return field?.schema ?? editing.root;
  };
  const troubled = ({ file, path: [key] }: Part): boolean =>
    problems.some(
      (p) =>
        p.file === `${file}.json` && (key === undefined || p.path === key || p.path.startsWith(`${key}.`)),
    );
  const { undo, redo } = edit;
  useUndoKeys(undo, redo);
  const name = `${String(now.type['maker'])} ${String(now.type['range'])}`;
  return (
    <CardPage
      title={`Edit ${name}`}
      about={
        supplied
          ? 'A supplied type stays as it is: what you change is saved as a type of your own, under another id.'
          : `Version ${version}. Every change can be undone; nothing counts before it is saved.`
      }
      people={people}
      person={person}
    >
      {edit.restored && (
        <Notice tone="slate" headline="Changes from before are here">
          They were not saved.{' '}
          <Secondary px="3" onClick={edit.discard}>
            Discard them
          </Secondary>
        </Notice>
      )}
      <Box display="flex" gap="2" flexWrap="wrap" mb="3" role="toolbar" aria-label="Editing">
        <Secondary disabled={history.past.length === 0} onClick={undo}>
          Undo
        </Secondary>
        <Secondary disabled={history.future.length === 0} onClick={redo}>
          Redo
        </Secondary>
        <Secondary disabled={outcome?.state === 'busy'} onClick={() => void edit.send(false, '')}>
          Check
        </Secondary>
        <Secondary onClick={() => saveText(`${String(now.type['id'])}.json`, oneFile(now))}>
          Save as one file
        </Secondary>
        {!supplied && <RunIt type={id} model={firstModel(files)} />}
        <Secondary asChild>
          <Link href="/drive-types">Back to drive types</Link>
        </Secondary>
      </Box>
      <Box display="flex" gap="2" flexWrap="wrap" mb="5" role="group" aria-label="Part of the type">
        {parts.map((one) => (
          <Secondary
            key={one.title}
            px="3"
            aria-pressed={one.title === part.title}
            onClick={() => setPart(one)}
            {...(one.title === part.title ? { bg: 'paper', borderColor: 'ink' } : {})}
          >
            {one.title}
            {sizeOf(now, one)}
            {troubled(one) && ' – to correct'}
          </Secondary>
        ))}
      </Box>
      <Section title={part.title}>
        <NodeForm
          key={part.title}
          editing={editing}
          schema={schemaOfPart()}
          path={part.path}
          label={part.title}
        />
      </Section>
      <SavePart
        lead={person.role === 'lead'}
        outcome={outcome}
        problems={problems}
        save={async (note) => {
          const saved = await edit.send(true, note);
          if (saved === null) return false;
          if (saved !== id) router.push(`/drive-types/edit?type=${saved}`);
          else router.refresh();
          return true;
        }}
      />
      {versions.length > 0 && <Versions id={id} versions={versions} now={now} restore={edit.replace} />}
    </CardPage>
  );
}
