import { parse } from 'papaparse';
import { csvOf } from './csv';

// RFC 4180, read back by Papa Parse.
it('has its head line without any row, too', () => {
  expect(parse<string[]>(csvOf(['a', 'b'], []), { skipEmptyLines: true }).data).toEqual([['a', 'b']]);
});

it('writes the columns in their order and marks what would be a formula', () => {
  const { data } = parse<string[]>(csvOf(['b', 'a'], [{ a: 1, b: '=1+1' }, { a: 'x, "y"' }]));
  expect(data).toEqual([
    ['b', 'a'],
    ["'=1+1", '1'],
    ['', 'x, "y"'],
  ]);
});
