import { plainWords, LauncherError } from './terminal';

it('turns the system’s failures into words that say what to do', () => {
  expect(plainWords(new LauncherError('port 3000 is taken'))).toBe('port 3000 is taken');
  expect(plainWords(Object.assign(new Error('write'), { code: 'ENOSPC' }))).toMatch(/disk is full/);
  expect(plainWords(Object.assign(new Error('open'), { code: 'EACCES' }))).toMatch(/no permission/);
  expect(
    plainWords(Object.assign(new Error('outer'), { original: new Error('relation is missing') })),
  ).toMatch(/relation is missing/);
});
