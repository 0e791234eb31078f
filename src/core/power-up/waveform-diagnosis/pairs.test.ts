import { pairNotes } from './pairs';

it('names the pair that is unlike the others, and says nothing where they are alike', () => {
  expect(pairNotes({ vuv_rms: 365, vvw_rms: 312, vwu_rms: 362 }, false)).toEqual([
    'V to W is unlike the other pairs: U to V 365 V, V to W 312 V, W to U 362 V, 9.9 % off their mean. Lay the three waveforms over each other.',
  ]);
  expect(pairNotes({ vuv_rms: 365, vvw_rms: 360, vwu_rms: 362 }, true)).toEqual([]);
});

it('asks for the other pairs before one is blamed', () => {
  expect(pairNotes({ vuv_rms: 312 }, true)).toEqual([
    'Pairs so far: U to V 312 V. Capture V to W and W to U the same way before anything is said of one of them.',
  ]);
  expect(pairNotes({ vuv_rms: 312, vvw_rms: 365 }, false)[0]).toContain('Capture W to U the same way');
  expect(pairNotes({ vuv_rms: 365 }, false)).toEqual([]);
  expect(pairNotes({ vdc_avg: 540 }, true)).toEqual([]);
});
