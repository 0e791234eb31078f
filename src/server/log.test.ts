import { readable } from './log';

it('says what failed, where and why', () => {
  const line = JSON.stringify({
    level: 50,
    message: 'request failed',
    method: 'GET',
    path: '/x',
    requestId: 'r1',
    err: { message: 'no', stack: 'Error: no\n    at here' },
  });
  expect(readable(line)).toBe('grim: error: request failed GET /x (request r1): Error: no\n    at here\n');
});

it('says a plain line plainly', () => {
  expect(readable(JSON.stringify({ level: 30, message: 'serving' }))).toBe('grim: serving\n');
});
