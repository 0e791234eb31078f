import { isList, isRecord, type Json, type JsonRecord } from './json';

/** A node of a JSON Schema (draft 2020-12), as far as forms are made from it. */
export type Schema = JsonRecord;

/** How a value is entered. Of lists and records the inner nodes come along, so that only what is shown is looked at. */
export type Form =
  | { kind: 'text'; most: number | null }
  | { kind: 'number' }
  | { kind: 'flag' }
  | { kind: 'choice'; options: readonly (string | number)[] }
  | { kind: 'nothing' }
  | { kind: 'record'; fields: readonly { name: string; schema: Schema; required: boolean }[] }
  | { kind: 'list'; item: Schema; least: number; most: number | null }
  | { kind: 'places'; items: readonly Schema[] }
  | { kind: 'either'; variants: readonly Schema[] };

const schemasIn = (value: Json | undefined): Schema[] => (isList(value) ? value.filter(isRecord) : []);
const figureIn = (value: Json | undefined): number | null => (typeof value === 'number' ? value : null);
const isPlain = (value: Json): value is string | number =>
  typeof value === 'string' || typeof value === 'number';

/** The node that a reference leads to. @throws Error where it leads nowhere */
function resolved(schema: Schema, root: Schema): Schema {
  const { $ref } = schema;
  if (typeof $ref !== 'string') return schema;
  const name = $ref.replace('#/$defs/', '');
  const target = $ref === '#' ? root : isRecord(root['$defs']) ? root['$defs'][name] : undefined;
  if (!isRecord(target)) throw new Error(`the schema has no ${$ref}`);
  return resolved(target, root);
}

/**
 * How a value of a schema is entered.
 * @param root the whole schema, for its references
 * @throws Error for a schema that no form is known for
 */
export function formOf(given: Schema, root: Schema): Form {
  const schema = resolved(given, root);
  const { type } = schema;
  if (isList(type)) return { kind: 'either', variants: type.map((one) => ({ ...schema, type: one })) };
  const variants = schemasIn(schema['anyOf'] ?? schema['oneOf']);
  if (variants.length > 0) {
    const values = variants.map((v) => v['const']);
    if (values.every((v): v is string | number => v !== undefined && isPlain(v)))
      return { kind: 'choice', options: values };
    return { kind: 'either', variants };
  }
  if (isList(schema['enum'])) return { kind: 'choice', options: schema['enum'].filter(isPlain) };
  if (schema['const'] !== undefined) return { kind: 'choice', options: [schema['const']].filter(isPlain) };
  if (type === 'string') return { kind: 'text', most: figureIn(schema['maxLength']) };
  if (type === 'number' || type === 'integer') return { kind: 'number' };
  if (type === 'boolean') return { kind: 'flag' };
  if (type === 'null') return { kind: 'nothing' };
  if (type === 'array') {
    const { items, minItems, maxItems, prefixItems } = schema;
    const places = schemasIn(prefixItems);
    if (places.length > 0) return { kind: 'places', items: places };
    if (isRecord(items))
      return { kind: 'list', item: items, least: figureIn(minItems) ?? 0, most: figureIn(maxItems) };
  }
  if (type === 'object') {
    const properties = isRecord(schema['properties']) ? schema['properties'] : {};
    const required = isList(schema['required']) ? schema['required'] : [];
    return {
      kind: 'record',
      fields: Object.entries(properties).flatMap(([name, inner]) =>
        isRecord(inner) ? [{ name, schema: inner, required: required.includes(name) }] : [],
      ),
    };
  }
  throw new Error(`no form for ${JSON.stringify(given).slice(0, 120)}`);
}

/** What a form begins with: what is required and nothing else; what it cannot know stays empty. */
export function blankOf(given: Schema, root: Schema): Json {
  const schema = resolved(given, root);
  if (schema['default'] !== undefined) return schema['default'];
  const form = formOf(schema, root);
  switch (form.kind) {
    case 'text':
    case 'number':
      return '';
    case 'flag':
      return false;
    case 'choice':
      return form.options[0] ?? '';
    case 'nothing':
      return null;
    case 'either': {
      const [first] = form.variants;
      return first === undefined ? null : blankOf(first, root);
    }
    case 'places':
      return form.items.map((item) => blankOf(item, root));
    case 'list':
      return Array.from({ length: form.least }, () => blankOf(form.item, root));
    case 'record':
      return Object.fromEntries(
        form.fields.flatMap(({ name, schema: inner, required }) =>
          required ? [[name, blankOf(inner, root)]] : [],
        ),
      );
  }
}

/** Does a value look like one of this form? Its inner values are not looked at, but the keys of a record are. */
function looksLike(value: Json, schema: Schema, root: Schema): boolean {
  const form = formOf(schema, root);
  switch (form.kind) {
    case 'text':
      return typeof value === 'string';
    case 'number':
      return typeof value === 'number';
    case 'flag':
      return typeof value === 'boolean';
    case 'choice':
      return isPlain(value) && form.options.includes(value);
    case 'nothing':
      return value === null;
    case 'either':
      return form.variants.some((v) => looksLike(value, v, root));
    case 'places':
    case 'list':
      return isList(value);
    case 'record':
      return (
        isRecord(value) && Object.keys(value).every((key) => form.fields.some(({ name }) => name === key))
      );
  }
}

/** Which of several forms a value has; the first where none fits. */
export function variantOf(value: Json | undefined, variants: readonly Schema[], root: Schema): number {
  const fits = value === undefined ? -1 : variants.findIndex((v) => looksLike(value, v, root));
  return Math.max(0, fits);
}

/** Keys whose values name an item among its like. */
const naming = ['number', 'code', 'id', 'cap', 'key', 'shows', 'terminals', 'mark', 'type', 'name', 'where'];

/** What an item of a list is called: what names it, else what stands in it. */
export function titleOf(item: Json): string {
  if (!isRecord(item)) return isList(item) ? item.map(titleOf).join(' ') : String(item);
  const named = naming.flatMap((key) => (typeof item[key] === 'string' ? [String(item[key])] : []));
  const title = named.slice(0, 2).join(' ');
  return title === '' ? JSON.stringify(item).slice(0, 60) : title;
}

/** What names an item within its list, for comparing two versions of it; null where only its place does. */
export function identityOf(item: Json): string | null {
  if (!isRecord(item)) return null;
  const key = naming.find((k) => typeof item[k] === 'string');
  return key === undefined ? null : String(item[key]);
}

/** Keys that say too little by themselves. */
const fieldNames: Readonly<Record<string, string>> = {
  ...{ concept: 'Meaning', means: 'Neutral choice', stop: 'Changed at standstill only' },
  ...{ lock: 'Lock level', needs: 'There only while', resets: 'Puts back to defaults' },
};

/** A key of the files as the label of a field: "ratedAmps" is "Rated amps", "power_kW" is "Power kW". */
export function labelOf(key: string): string {
  const named = Object.hasOwn(fieldNames, key) ? fieldNames[key] : undefined;
  if (named !== undefined) return named;
  const [words = '', unit] = key.split('_');
  const spaced = words
    .replace(/([a-z0-9])([A-Z])/g, '$1 $2')
    .split(' ')
    .map((word, i) => (i > 0 && !/^[A-Z]{2}/.test(word) ? word.toLowerCase() : word))
    .join(' ');
  return `${spaced.charAt(0).toUpperCase()}${spaced.slice(1)}${unit === undefined ? '' : ` ${unit}`}`;
}
