import { sendingWords } from './troubles';

const words = (state: 'ok' | 'no-server' | 'held', why: string | null, unsent = 1) =>
  sendingWords({
    sending: { state, why, nextTry: state === 'ok' ? null : 1 },
    unsent: new Set(Array.from({ length: unsent }, (_, i) => String(i))),
  });

it('one line says whether the server is away, cannot record, or has something against it', () => {
  expect(words('ok', null)).toBeNull();
  expect(words('no-server', null)).toMatch(/^Server not reachable\. 1 log entry stored on this device/);
  expect(words('no-server', null, 0)).toMatch(/What you enter is stored/);
  expect(words('no-server', 'The disk of the server is full: free some space.', 3)).toBe(
    'Not recorded yet. The disk of the server is full: free some space. 3 log entries stored on this device, sent automatically when the server can record again.',
  );
  expect(words('held', 'Choose a person first.', 2)).toMatch(
    /^2 log entries not taken by the server yet: Choose/,
  );
});
