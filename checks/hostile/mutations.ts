/** Ways to spoil a body, a path and a query. Seeds are fixed: each run asks the same. */
import { pick } from '../random';

/** A body with one thing spoilt, and what that was. */
export interface Spoilt {
  what: string;
  value: unknown;
}

const leaves: readonly unknown[] = [
  null,
  true,
  '',
  'NaN',
  '\0',
  'a\0b',
  '\ud800',
  'x'.repeat(20_000),
  '0000-01-01T00:00:00.000Z',
  '99999-01-01T00:00:00Z',
  '2300-01-01T00:00:00.000Z',
  '../../../../etc/passwd',
  "'; drop table entries; --",
  '=cmd|calc!A1',
  '<script>alert(1)</script>',
  1e308,
  -1e308,
  1e-320,
  9007199254740993,
  -1,
  0.1,
  [],
  {},
  [[[[[[[[]]]]]]]],
  { constructor: { prototype: { polluted: true } } },
  Array.from({ length: 5000 }, () => 0),
];

type Place = readonly (string | number)[];

function places(value: unknown, at: Place = []): Place[] {
  if (typeof value !== 'object' || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, inner]) => places(inner, [...at, key]))];
}

function replaced(value: unknown, [first, ...rest]: Place, by: (old: unknown) => unknown): unknown {
  if (first === undefined) return by(value);
  const copy: Record<string | number, unknown> | unknown[] = Array.isArray(value)
    ? [...(value as unknown[])]
    : { ...(value as object) };
  const record = copy as Record<string | number, unknown>;
  const inner = replaced(record[first], rest, by);
  if (inner === undefined && !Array.isArray(copy)) delete record[first];
  else record[first] = inner;
  return copy;
}

/** So many ways to spoil a value, spread over all its places. */
export function spoilt(value: unknown, count: number, random: () => number): Spoilt[] {
  const all = places(value);
  return Array.from({ length: count }, () => {
    const at = pick(random, all);
    const name = at.join('.');
    const way = random();
    if (way < 0.12 && at.length > 0)
      return { what: `without ${name}`, value: replaced(value, at, () => undefined) };
    if (way < 0.24)
      return {
        what: `more in ${name}`,
        value: replaced(value, at, (old) =>
          typeof old === 'object' && old !== null && !Array.isArray(old) ? { ...old, unheardOf: 1 } : [old],
        ),
      };
    const leaf = pick(random, leaves);
    return {
      what: `${name} is ${JSON.stringify(leaf).slice(0, 40)}`,
      value: replaced(value, at, () => leaf),
    };
  });
}

/** Bodies that are no JSON of any kind that we take. */
export const rawBodies: readonly [what: string, body: string | Buffer][] = [
  ['nothing', ''],
  ['half a text', '{"entries":['],
  ['a list', '[]'],
  ['null', 'null'],
  ['a word', '"x"'],
  ['a number', '1e999'],
  ['no UTF-8', Buffer.from([0x7b, 0xff, 0xfe, 0x7d])],
  ['UTF-16', Buffer.from('{"a":1}', 'utf16le')],
  ['nested deep', '['.repeat(100_000) + ']'.repeat(100_000)],
  ['objects nested deep', '{"a":'.repeat(50_000) + '1' + '}'.repeat(50_000)],
  ['keys of objects', '{"__proto__":{"admin":true},"constructor":{"prototype":{}}}'],
  ['a drawing', '<svg xmlns="http://www.w3.org/2000/svg"><image href="file:///etc/passwd"/></svg>'],
  ['a zip of nothing', Buffer.from('UEsFBgAAAAAAAAAAAAAAAAAAAAAAAA==', 'base64')],
  ['noise', Buffer.from(Array.from({ length: 4096 }, (_, i) => (i * 7919) & 0xff))],
  ['a JPEG that is none', Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(3000, 0x41)])],
  ['too much', Buffer.alloc(27 * 1024 * 1024, 0x20)],
];

/** What stands where an id is wanted. */
export const ids: readonly string[] = [
  'x',
  '%00',
  'a%00b',
  '%E0%A4%A',
  '%',
  '..%2f..%2f..%2fetc%2fpasswd',
  '....//....//etc/passwd',
  '__proto__',
  'constructor',
  "'%20or%201=1--",
  '0190a200-0000-7000-8000-000000000001%0d%0aset-cookie:a=b',
  '0190A200-0000-7000-8000-00000000000Z',
  '-1',
  '%F0%9F%94%A7',
  'x'.repeat(4000),
  '0190a200-0000-7000-8000-0000000000fe',
  '0190a200-0000-7000-8000-000000000001',
];

/** What stands behind the `?`. */
export const queries: readonly string[] = [
  '',
  '?after=-1',
  '?after=1e309',
  '?after=NaN&after=2',
  '?after[]=1',
  '?page=-1&sort=x&stage=__proto__',
  '?page=99999999999999999999',
  '?search=%00',
  '?search=%25%25%25%27',
  `?search=${'x'.repeat(6000)}`,
  '?form=exe&paper=a0',
  '?form=pdf&form=csv',
  '?target=127.0.0.1:99999&typeId=../x',
  '?target=169.254.169.254:80&typeId=whimbrel-w4',
  '?target=%5B::ffff:127.0.0.1%5D:4405/999&typeId=whimbrel-w4',
  '?sheet=constructor&skip=1e9',
  '?from=0000-00-00',
  '?set=%00&set=1',
  '?%E0%A4%A',
  '?constructor=1&__proto__=1&toString=x',
];
