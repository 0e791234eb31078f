import type { WaveformWorker } from '@/workers/waveform.worker';
import type { WorkerLink } from '../../kit/use-worker';
import { openCaptureFiles } from './open-capture';

/** No file here may get as far as the worker. */
const ask: WorkerLink<WaveformWorker>['ask'] = () => Promise.reject(new Error('the worker was asked'));
const file = (name: string, size = 10) =>
  Object.defineProperty(new File(['x'], name), 'size', { value: size });

test('no file is nothing to read', async () => {
  expect(await openCaptureFiles([], ask)).toBeNull();
});

test.each([
  [[file('run.CFG')], 'a COMTRADE record is one .cff file or two: choose the .cfg and the .dat together.'],
  [[file('run.dat')], 'a COMTRADE record is one .cff file or two: choose the .cfg and the .dat together.'],
  [[file('long.csv', 401e6)], 'it is larger than 400 MB: save a shorter section.'],
  [[file('run.csv')], 'the worker was asked'],
])('%# says what to choose instead', async (files, words) => {
  await expect(openCaptureFiles(files, ask)).rejects.toThrow(words);
});
