import { Box } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { conceptIds, conceptOf } from '@/core/equipment/concepts';
import {
  blankOf,
  formOf,
  isList,
  isRecord,
  labelOf,
  valueAt,
  variantOf,
  type Form,
  type Json,
  type Path,
  type Schema,
} from '@/core/equipment/type-edit';
import { Secondary } from '../../kit/buttons';
import { NumberField, Select, TextField } from '../../kit/field';
import { figureFrom } from '../../kit/number-from';
import { FieldGrid } from '../../kit/section';
import { Text } from '../../kit/text';
import { Tick } from '../../kit/tick';
import type { Editing, NodeProps } from './editing';
import { ListForm } from './list-form';

const errorAt = ({ problems }: Editing, path: Path): string | undefined => problems.get(path.join('.'));

const isConcept = (id: string): id is (typeof conceptIds)[number] => conceptIds.some((c) => c === id);
const wordsOf = (path: Path, option: string): string =>
  path.at(-1) === 'concept' && isConcept(option) ? conceptOf(option).name : option;
const isWordy = (path: Path): boolean => path.at(-1) === 'concept' || path.at(-1) === 'family';

/** A figure as it is typed; what is no figure is kept as it is, and said when the file is checked. */
function FigureNode({ editing, path, label, value }: NodeProps & { value: Json | undefined }) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = value === undefined || value === null ? '' : String(value);
  const isTyping = typed !== null && (figureFrom(typed) ?? typed) === value;
  return (
    <NumberField
      label={label}
      text={isTyping ? typed : shown}
      set={(text) => {
        setTyped(text);
        editing.set(path, figureFrom(text) ?? text);
      }}
      error={errorAt(editing, path)}
    />
  );
}

/** One value that has a field of its own. */
function LeafNode(props: NodeProps & { form: Form; value: Json | undefined }) {
  const { editing, path, label, form, value } = props;
  const error = errorAt(editing, path);
  switch (form.kind) {
    case 'number':
      return <FigureNode {...props} />;
    case 'flag':
      return <Tick label={label} checked={value === true} onChange={(on) => editing.set(path, on)} />;
    case 'choice': {
      const options = form.options.map((option) => ({
        value: String(option),
        label: wordsOf(path, String(option)),
      }));
      if (isWordy(path)) options.sort((a, b) => a.label.localeCompare(b.label));
      return (
        <Select
          label={label}
          value={String(value)}
          options={options}
          error={error}
          onChange={(chosen) =>
            editing.set(
              path,
              form.options.find((o) => String(o) === chosen),
            )
          }
        />
      );
    }
    case 'nothing':
      return <Text color="soft">{label}: none</Text>;
    default:
      return (
        <TextField
          label={label}
          text={typeof value === 'string' ? value : ''}
          set={(text) => editing.set(path, text)}
          error={error}
          {...(form.kind === 'text' && form.most !== null ? { maxLength: form.most } : {})}
        />
      );
  }
}

const isLeaf = (form: Form): boolean => ['text', 'number', 'flag', 'choice', 'nothing'].includes(form.kind);

const variantNames: Readonly<Record<Form['kind'], string>> = {
  ...{ text: 'text', number: 'figure', flag: 'yes or no', nothing: 'none', list: 'list' },
  ...{ choice: 'choice', record: 'of its parts', places: 'row', either: 'either' },
};

/** What a variant is called: its only value, or the names of what is in it. */
function variantName(form: Form): string {
  if (form.kind === 'choice' && form.options.length === 1) return String(form.options[0]);
  if (form.kind === 'record') return form.fields.map(({ name }) => labelOf(name)).join(', ');
  return variantNames[form.kind];
}

/** A value of one of several kinds: which one, then its form. */
function EitherNode({ editing, path, label, variants }: NodeProps & { variants: readonly Schema[] }) {
  const { root, whole } = editing;
  const chosen = variantOf(valueAt(whole, path), variants, root);
  const schema = variants[chosen];
  return (
    <Box>
      <Select
        label={`${label}: kind`}
        value={String(chosen)}
        options={variants.map((v, i) => ({
          value: String(i),
          label: variantName(formOf(v, root)).slice(0, 80),
        }))}
        onChange={(i) => {
          const next = variants[Number(i)];
          if (next !== undefined) editing.set(path, blankOf(next, root));
        }}
      />
      {schema !== undefined && formOf(schema, root).kind !== 'nothing' && (
        <Box mt="3">
          <NodeForm {...{ editing, path, label, schema }} />
        </Box>
      )}
    </Box>
  );
}

/** A frame around what belongs together. */
function Framed({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box as="fieldset" border="1px solid" borderColor="line" borderRadius="3px" p="3" mb="3" minW="0">
      <Text as="legend" fontFamily="heading" fontWeight="600" px="1">
        {label}
      </Text>
      {children}
    </Box>
  );
}

/** What may be in a record and is not. */
function AddField({ absent, add }: { absent: readonly { name: string }[]; add: (name: string) => void }) {
  if (absent.length === 0) return null;
  return (
    <Box display="flex" gap="2" flexWrap="wrap" mb="3" alignItems="center">
      <Text as="span" color="soft">
        Add:
      </Text>
      {absent.map(({ name }) => (
        <Secondary key={name} px="3" onClick={() => add(name)}>
          {labelOf(name)}
        </Secondary>
      ))}
    </Box>
  );
}

function RecordNode({
  editing,
  path,
  fields,
}: NodeProps & { fields: readonly { name: string; schema: Schema; required: boolean }[] }) {
  const { root, whole } = editing;
  const value = valueAt(whole, path);
  const has = (name: string): boolean => isRecord(value) && Object.hasOwn(value, name);
  const present = fields.filter(({ name, required }) => required || has(name));
  const leaves = present.filter(({ schema }) => isLeaf(formOf(schema, root)));
  const wider = present.filter((field) => !leaves.includes(field));
  const remove = ({ name, required }: { name: string; required: boolean }) =>
    !required && (
      <Secondary
        px="3"
        mt="1"
        aria-label={`Remove ${labelOf(name)}`}
        onClick={() => editing.set([...path, name], undefined)}
      >
        Remove
      </Secondary>
    );
  return (
    <>
      {leaves.length > 0 && (
        <FieldGrid min="220px">
          {leaves.map((field) => (
            <Box key={field.name}>
              <NodeForm
                editing={editing}
                schema={field.schema}
                path={[...path, field.name]}
                label={labelOf(field.name)}
              />
              {remove(field)}
            </Box>
          ))}
        </FieldGrid>
      )}
      {wider.map((field) => (
        <Framed key={field.name} label={labelOf(field.name)}>
          <NodeForm
            editing={editing}
            schema={field.schema}
            path={[...path, field.name]}
            label={labelOf(field.name)}
          />
          {remove(field)}
        </Framed>
      ))}
      <AddField
        absent={fields.filter((field) => !present.includes(field))}
        add={(name) => {
          const field = fields.find((f) => f.name === name);
          if (field !== undefined) editing.set([...path, name], blankOf(field.schema, root));
        }}
      />
    </>
  );
}

/** The form of any place of a file, made from its schema. */
export function NodeForm({ editing, schema, path, label }: NodeProps) {
  const { root, whole } = editing;
  const form = formOf(schema, root);
  const value = valueAt(whole, path);
  const props = { editing, schema, path, label };
  if (form.kind === 'either') return <EitherNode {...props} variants={form.variants} />;
  if (form.kind === 'record') return <RecordNode {...props} fields={form.fields} />;
  if (form.kind === 'list')
    return (
      <ListForm
        {...props}
        item={form.item}
        most={form.most}
        items={isList(value) ? value : []}
        inner={NodeForm}
      />
    );
  if (form.kind === 'places')
    return (
      <FieldGrid min="160px">
        {form.items.map((item, i) => (
          <NodeForm key={i} editing={editing} schema={item} path={[...path, i]} label={`${label} ${i + 1}`} />
        ))}
      </FieldGrid>
    );
  return <LeafNode {...props} form={form} value={value} />;
}
