/** Words that JavaScript's own objects answer to, in every place where a person may write. */
import { greatestLimits } from '../bench/make-safe';
import { keysOf } from '../numerics/arrays';
import { entryWords, fold, openIssues, stageLines, summarise, type Entry } from '.';
import { ines, job, proven } from './__tests__/job';
import { objectWords, samplesOf } from './__tests__/samples';
import { payloads } from './payloads';

it('every kind can be made with such a word', () => {
  expect(keysOf(payloads).filter((kind) => samplesOf(kind, 'constructor').length === 0)).toEqual([]);
});

it.each(objectWords)('"%s" is a word like any other, wherever it is written', (word) => {
  for (const j of [proven(), job()]) {
    for (let round = 0; round < 2; round += 1)
      for (const kind of keysOf(payloads).filter((k) => k !== 'job.opened'))
        for (const payload of samplesOf(kind, word)) j.add(kind, payload as never, { by: ines, after: 2 });
    const verified = { verdict: 'not-shorted' as const, openIssues: [] };
    const entries: Entry[] = j.entries.map((e) => ({ ...e, verified }));
    const state = fold(entries, { limits: greatestLimits });
    const said = [
      ...entries.map(entryWords),
      ...state.log.map((line) => line.void),
      stageLines(state, greatestLimits),
      summarise(state, greatestLimits, false),
      openIssues(state),
    ];
    expect(JSON.stringify(said)).not.toContain('native code');
    expect(state.log).toHaveLength(entries.length);
    // The state holds data only: nothing that an object brings along by itself got into it.
    expect(() => structuredClone(state)).not.toThrow();
  }
  expect(Object.keys(Object.prototype)).toEqual([]);
});
