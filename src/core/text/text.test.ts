import { parse } from 'papaparse';
import { csvOf, csvOfRecords, isNestedBeyond } from '.';

// RFC 4180, read back by Papa Parse.
it('has its head line without any row, too', () => {
  expect(parse<string[]>(csvOf(['a', 'b'], []), { skipEmptyLines: true }).data).toEqual([['a', 'b']]);
});

it('writes the columns in their order and marks what would be a formula', () => {
  const { data } = parse<string[]>(csvOfRecords(['b', 'a'], [{ a: 1, b: '=1+1' }, { a: 'x, "y"' }]));
  expect(data).toEqual([
    ['b', 'a'],
    ["'=1+1", '1'],
    ['', 'x, "y"'],
  ]);
});

it('knows how deep JSON is nested, whatever stands in its texts', () => {
  expect(isNestedBeyond('[[1], {"a": "[[["}]', 2)).toBe(false);
  expect(isNestedBeyond('[[1], {"a": [1]}]', 2)).toBe(true);
  expect(isNestedBeyond(String.raw`["\"[[[", 1]`, 1)).toBe(false);
  expect(isNestedBeyond('['.repeat(100_000), 100)).toBe(true);
});
