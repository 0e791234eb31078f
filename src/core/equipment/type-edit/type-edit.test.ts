import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { controlSchema, driveTypeSchema, publishedSchemas } from '../catalogue/schema';
import {
  asOwn,
  begun,
  blankOf,
  changed,
  changesBetween,
  filesIn,
  formOf,
  isRecord,
  labelOf,
  oneFile,
  redone,
  titleOf,
  undone,
  valueAt,
  variantOf,
  withValue,
  type Json,
  type JsonRecord,
  type Schema,
} from '.';

const read = (file: string): JsonRecord => JSON.parse(readFileSync(file, 'utf8')) as JsonRecord;
const files = {
  type: read('catalogue/whimbrel-w4/type.json'),
  control: read('catalogue/whimbrel-w4/control.json'),
};
const schemas = publishedSchemas() as { type: Schema; control: Schema };

/** Walks a value along its forms, as an editor shows it, and counts the leaves that have a field. */
function fieldsOf(value: Json, schema: Schema, root: Schema): number {
  const form = formOf(schema, root);
  switch (form.kind) {
    case 'either':
      return fieldsOf(value, form.variants[variantOf(value, form.variants, root)]!, root);
    case 'places':
      return (value as Json[]).reduce<number>((n, item, i) => n + fieldsOf(item, form.items[i]!, root), 0);
    case 'list':
      return (value as Json[]).reduce<number>((n, item) => n + fieldsOf(item, form.item, root), 0);
    case 'record':
      expect(Object.keys(value as JsonRecord).filter((k) => !form.fields.some((f) => f.name === k))).toEqual(
        [],
      );
      return form.fields.reduce((n, { name, schema: inner }) => {
        const at = (value as JsonRecord)[name];
        return at === undefined ? n : n + fieldsOf(at, inner, root);
      }, 0);
    case 'choice':
      expect(form.options).toContain(value);
      return 1;
    case 'text':
      expect(typeof value).toBe('string');
      return 1;
    case 'number':
      expect(typeof value).toBe('number');
      return 1;
    case 'flag':
      expect(typeof value).toBe('boolean');
      return 1;
    case 'nothing':
      expect(value).toBeNull();
      return 1;
  }
}

const leaves = (value: Json): number =>
  Array.isArray(value) || isRecord(value)
    ? Object.values(value).reduce<number>((n, inner) => n + leaves(inner as Json), 0)
    : 1;

it.each(['dunlin-d1', 'godwit-g4', 'godwit-g6', 'knot-k3', 'whimbrel-w4'])(
  'every value in both files of %s has a field of its kind',
  (id) => {
    const control = read(`catalogue/${id}/control.json`);
    const type = read(`catalogue/${id}/type.json`);
    expect(fieldsOf(control, schemas.control, schemas.control)).toBe(leaves(control));
    expect(fieldsOf(type, schemas.type, schemas.type)).toBe(leaves(type));
  },
);

it('a blank item has what is required, and is refused only for what nobody can know', () => {
  const properties = schemas.control['properties'] as JsonRecord;
  const item = (properties['parameters'] as JsonRecord)['items'] as Schema;
  const blank = blankOf(item, schemas.control);
  expect(blank).toEqual({ number: '', name: '' });
  const filled = { ...(blank as JsonRecord), number: 'Z9', name: 'Rest' };
  const parameters = valueAt(files.control, ['parameters']) as Json[];
  const control = withValue(files.control, ['parameters', parameters.length], filled);
  expect(controlSchema.safeParse(control).success).toBe(true);
  expect(driveTypeSchema.safeParse(files.type).success).toBe(true);
});

describe('places', () => {
  it('what is put there is found there, and nothing else has changed', () => {
    const path = fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(path, fc.jsonValue(), (at, value) => {
        const before: Json = { a: { a: 1, b: [1, 2] }, x: 'y' };
        const isThrough =
          isRecord(valueAt(before, at.slice(0, -1)) ?? {}) &&
          at.slice(0, -1).every((_, i) => {
            const inner = valueAt(before, at.slice(0, i + 1));
            return inner === undefined || isRecord(inner);
          });
        if (!isThrough) return void expect(() => withValue(before, at, 1)).toThrow(RangeError);
        const after = withValue(before, at, value as Json);
        expect(valueAt(after, at)).toEqual(value);
        expect(valueAt(after, ['x'])).toBe('y');
        expect(before).toEqual({ a: { a: 1, b: [1, 2] }, x: 'y' });
      }),
      { numRuns: 200, seed: 3 },
    );
  });

  it('items and keys are taken away, and keys keep their order', () => {
    expect(withValue([1, 2, 3], [1], undefined)).toEqual([1, 3]);
    expect(withValue({ a: 1, b: 2 }, ['a'], undefined)).toEqual({ b: 2 });
    expect(Object.keys(withValue({ a: 1, b: 2 }, ['a'], 3) as JsonRecord)).toEqual(['a', 'b']);
  });
});

it('steps are undone and done again; a new step forgets what was undone', () => {
  const two = changed(changed(begun(0), 1), 2);
  expect(undone(two).now).toBe(1);
  expect(redone(undone(two))).toEqual(two);
  expect(redone(changed(undone(two), 5)).now).toBe(5);
  expect(undone(begun('only')).now).toBe('only');
});

it('two versions are compared by what names an item, not by where it stands', () => {
  const parameters = valueAt(files.control, ['parameters']) as JsonRecord[];
  const [first, second] = parameters;
  const moved = [second!, { ...first!, name: 'Renamed' }, ...parameters.slice(2, -1)];
  const changes = changesBetween(files.control, { ...files.control, parameters: moved });
  expect(changes.map((c) => c.where)).toEqual([
    `Parameters, ${String(first!['number'])}, Name`,
    `Parameters, ${String(parameters.at(-1)!['number'])}`,
  ]);
  expect(changes[1]!.after).toBeUndefined();
  expect(changesBetween(files, files)).toEqual([]);
});

it('a type is handed on as one file, and taken from it', () => {
  const text = oneFile(files);
  expect(filesIn(JSON.parse(text) as Json)).toEqual(files);
  expect(filesIn({ type: {} })).toBeNull();
  expect(filesIn([1])).toBeNull();
  expect(asOwn(files).type['id']).toBe('whimbrel-w4-own');
});

it('labels and titles are words', () => {
  expect(['ratedAmps', 'power_kW', 'DCLink', 'shortCircuit_kA'].map(labelOf)).toEqual([
    'Rated amps',
    'Power kW',
    'DCLink',
    'Short circuit kA',
  ]);
  expect(titleOf({ number: 'P1', name: 'Speed' })).toBe('P1 Speed');
  expect(titleOf(['DC+', 'BR'])).toBe('DC+ BR');
});
