import fc from 'fast-check';
import { greatestLimits, proofSteps, sourceKinds } from '../bench/make-safe';
import { benchLock, extend, fold, levelsOf, mustStayDead, type Entry, type Payload } from '.';
import {
  testDrive,
  ines,
  job,
  knownSources,
  odo,
  opening,
  pip,
  proven,
  start,
  testStage,
} from './__tests__/job';

const context = { limits: greatestLimits };
const reading = (value: number | 'OL' = 0.45): Payload<'static.reading'> => ({
  red: 'L1',
  black: 'DC+',
  value,
  typed: String(value),
});
const lockOf = (j: ReturnType<typeof job>, person = ines, later_s = 0) => {
  const state = fold(j.entries, context);
  return benchLock(state.safety, state.drive, greatestLimits, person, j.now() + later_s * 1000);
};

describe('the gate before the bench', () => {
  it('opens when every step of the proof was taken in order', () => {
    expect(lockOf(proven()).open).toBe(true);
  });

  it.each([
    ['one volt too many for the test', { bank_V: 6 }, 'above-limit'],
    ['more than hands may meet', { bank_V: 62 }, 'above-limit'],
  ])('stays shut with %s', (_, options, why) => {
    expect(lockOf(proven(options))).toMatchObject({ open: false, why });
  });

  it('is shut for an apprentice’s proof', () => {
    expect(lockOf(proven({ by: pip }), pip)).toMatchObject({ open: false, why: 'not-proven' });
  });

  it('lapses when another person measures, and for both', () => {
    const j = proven();
    j.add('static.reading', reading(), { by: odo });
    const state = fold(j.entries, context);
    expect(state.readings).toHaveLength(0);
    expect(state.log.at(-1)?.void).toMatch(/took over/);
    expect(lockOf(j).open).toBe(false);
  });

  it('is left as it was by a step that is refused, whoever tries it', () => {
    const j = proven();
    j.add(
      'safety.meter-proof',
      { when: 'before', ...knownSources, dc: { source: 'battery', volts: 9 } },
      { by: odo },
    );
    j.add('safety.figure', { point: 'no such point', quantity: 'dc', volts: 0 }, { by: odo });
    j.add('safety.discharged', { startVolts: 560, ohm: 1000 }, { by: pip });
    const state = fold(j.entries, context);
    expect(state.log.slice(-3).every(({ void: reason }) => reason !== undefined)).toBe(true);
    expect(state.safety).toEqual(fold(proven().entries, context).safety);
    expect(lockOf(j).open).toBe(true);
  });

  it('lapses after half an hour without an entry, not while work goes on', () => {
    const j = proven();
    for (let i = 0; i < 10; i += 1) j.add('static.reading', reading(), { after: 20 * 60 });
    expect(fold(j.entries, context).readings).toHaveLength(10);
    expect(lockOf(j, ines, 29 * 60).open).toBe(true);
    expect(lockOf(j, ines, 31 * 60)).toMatchObject({ open: false, why: 'lapsed' });
    j.add('static.reading', reading(), { after: 31 * 60 });
    expect(fold(j.entries, context).readings).toHaveLength(10);
  });

  it('lapses when a source comes back', () => {
    const j = proven();
    j.add('safety.source-back', { kind: 'foreign-24v' });
    expect(lockOf(j)).toMatchObject({ open: false, why: 'lapsed' });
  });

  it('does not take the second bus value within a minute', () => {
    const j = proven();
    const again = j.entries.findIndex((e) => e.kind === 'safety.figure' && e.payload.point === 'bank-again');
    const early = j.entries.slice(0, again);
    const bank = early.find((e) => e.kind === 'safety.figure' && e.payload.point === 'bank') as Entry;
    const soon = {
      ...(j.entries[again] as Entry),
      receivedAt: new Date(Date.parse(bank.receivedAt ?? '') + 30_000).toISOString(),
    };
    expect(fold([...early, soon], context).log.at(-1)?.void).toMatch(/Too early/);
  });

  it('does not take the meter before the label’s wait is over', () => {
    const j = job();
    j.add('identify.drive', testDrive);
    j.add('safety.sources', { sources: sourceKinds.map((kind) => ({ kind, state: 'absent' })) });
    j.add('safety.locked', { isolatedAt: new Date(start).toISOString(), tag: 'x' });
    j.add('safety.meter-proof', { when: 'before', ...knownSources });
    expect(fold(j.entries, context).log.at(-1)?.void).toMatch(/5 minutes/);
  });

  it('leads to covers-on removal only when no bank terminal is within reach', () => {
    const j = proven();
    j.add('safety.no-bank-terminal', {});
    expect(lockOf(j)).toMatchObject({ open: false, why: 'no-bank-terminal' });
  });

  it('needs the mechanical load answered too', () => {
    const j = job();
    j.add('identify.drive', testDrive);
    j.add('safety.sources', {
      sources: sourceKinds.filter((k) => k !== 'load').map((kind) => ({ kind, state: 'absent' })),
    });
    j.add('safety.locked', { isolatedAt: new Date(start).toISOString(), tag: 'x' });
    expect(fold(j.entries, context).log.at(-1)?.void).toMatch(/Every source/);
  });
});

describe('entries', () => {
  it('keeps both a corrected entry and its correction, and counts the correction', () => {
    const j = proven();
    const wrong = j.add('static.reading', reading(4.5));
    const right = j.add('static.reading', reading(0.45), { corrects: wrong });
    const state = fold(j.entries, context);
    expect(state.readings.map((r) => r.value)).toEqual([0.45]);
    expect(state.log.find((l) => l.entry.id === wrong)?.correctedBy).toBe(right);
  });

  it('keeps both values of a repeated reading', () => {
    const j = proven();
    j.add('static.reading', reading('OL'));
    j.add('static.reading', reading(0.45));
    expect(fold(j.entries, context).readings.map((r) => r.value)).toEqual(['OL', 0.45]);
  });

  it('forbids restoring mains after a bang or a ground trip', () => {
    const j = job();
    j.add('take.call', { signs: ['bang'] });
    j.add('as-found.captured', { family: 'ground', slots: [], photos: [] });
    expect(mustStayDead(fold(j.entries, context))).toEqual(['bang', 'ground fault trip']);
  });
});

type LifeStep = typeof life extends fc.Arbitrary<(infer T)[]> ? T : never;

/** Random lives of a job: any kind, any person, any pause, sometimes a correction. */
const life = fc.array(
  fc.record({
    what: fc.constantFrom(
      'reading',
      'figure',
      'sources',
      'locked',
      'before',
      'after',
      'back',
      'note',
      'drive',
    ),
    by: fc.constantFrom(ines, odo, pip),
    after: fc.constantFrom(1, 5, 61, 400, 1900),
    volts: fc.constantFrom(0, 3, 12, 80),
    step: fc.nat({ max: 30 }),
    corrects: fc.option(fc.nat({ max: 30 }), { freq: 5, nil: undefined }),
  }),
  { maxLength: 60 },
);

function lived(steps: LifeStep[]): Entry[] {
  const j = proven();
  for (const { what, by, after, volts, step, corrects } of steps) {
    const target = corrects === undefined ? undefined : j.entries[corrects]?.id;
    const options = { by, after, ...(target === undefined ? {} : { corrects: target }) };
    const points = proofSteps(testStage);
    const point = points[step % points.length] as (typeof points)[number];
    if (what === 'reading') j.add('static.reading', reading(), options);
    if (what === 'figure')
      j.add('safety.figure', { point: point.point.id, quantity: point.quantity, volts }, options);
    if (what === 'sources')
      j.add('safety.sources', { sources: sourceKinds.map((kind) => ({ kind, state: 'absent' })) }, options);
    if (what === 'locked')
      j.add('safety.locked', { isolatedAt: new Date(start).toISOString(), tag: 'x' }, options);
    if (what === 'before' || what === 'after')
      j.add('safety.meter-proof', { when: what, ...knownSources }, options);
    if (what === 'back') j.add('safety.source-back', { kind: 'mains' }, options);
    if (what === 'note') j.add('note.added', { stage: 'bench', text: 'x', photos: [] }, options);
    if (what === 'drive') j.add('identify.drive', testDrive, options);
  }
  return j.entries;
}

describe('the fold, whatever happens', () => {
  const seeded = { seed: 20261120, numRuns: 150 };

  it('does not depend on the order of arrival or on entries arriving twice', () => {
    fc.assert(
      fc.property(life, fc.infiniteStream(fc.nat()), (steps, random) => {
        const entries = lived(steps);
        const shuffled = [...entries, ...entries.slice(0, 7)]
          .map((e) => [random.next().value as number, e] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, e]) => e);
        expect(fold(shuffled, context)).toEqual(fold(entries, context));
      }),
      seeded,
    );
  });

  it('is the same incrementally', () => {
    fc.assert(
      fc.property(life, fc.nat({ max: 80 }), (steps, cut) => {
        const entries = lived(steps);
        const begun = fold(entries.slice(0, cut), context);
        expect(extend(begun, entries.slice(cut), context)).toEqual(fold(entries, context));
      }),
      seeded,
    );
  });

  it('never counts a reading whose taker had not proven the drive dead within the last half hour', () => {
    fc.assert(
      fc.property(life, (steps) => {
        const entries = lived(steps);
        const state = fold(entries, context);
        for (const r of state.readings) {
          const own = entries.filter(
            (e) => Date.parse(e.receivedAt ?? '') <= r.at && e.by.id === r.by.id && e.id !== r.entryId,
          );
          const after = own
            .filter((e) => e.kind === 'safety.meter-proof' && e.payload.when === 'after')
            .at(-1);
          const last = own.at(-1);
          expect(after).toBeDefined();
          expect(r.at - Date.parse(last?.receivedAt ?? '')).toBeLessThanOrEqual(30 * 60 * 1000);
        }
        expect(state.log).toHaveLength(entries.length);
      }),
      seeded,
    );
  });
});

describe('readings set aside, another stage, and modules', () => {
  it('keeps readings that were taken again as a whole, with the reason, out of the judgement', () => {
    const j = proven();
    j.add('static.reading', { red: 'L1', black: 'DC+', value: 0.451, typed: '0.451' });
    j.add('static.retake', { reason: 'Motor still connected' });
    const state = fold(j.entries, { limits: greatestLimits });
    expect(state.readings).toEqual([]);
    expect(state.setAside).toMatchObject([{ reason: 'Motor still connected', readings: [{ value: 0.451 }] }]);
  });

  it('judges on the stage that was put together last', () => {
    const j = proven();
    const half = { ...testDrive.stage, frontEnd: 'scr-half-3ph' as const };
    j.add('identify.stage', { stage: half, strip: testDrive.strip });
    expect(fold(j.entries, { limits: greatestLimits }).drive?.stage.frontEnd).toBe('scr-half-3ph');
    const early = job();
    early.add('job.opened', opening);
    early.add('identify.stage', { stage: half, strip: testDrive.strip });
    expect(fold(early.entries, { limits: greatestLimits }).log[1]?.void).toContain('not read yet');
  });

  it('never lets one verdict level stand for another', () => {
    const j = proven();
    const begun = j.add('module.begun', { kind: 'single', name: 'V lower' });
    j.add('module.proven', { module: begun, lampLights: true, polarityRight: true });
    j.add('module.touch', { module: begun, device: 1, gate: 'plus', lamp: 'on', holds: true });
    j.add('module.touch', { module: begun, device: 1, gate: 'minus', lamp: 'off', holds: true });
    j.add('module.diode', { module: begun, device: 1, forward_V: 0.37, reverse: 'OL' });
    j.add('module.gate', { module: begun, device: 1, ohm: 'OL' });
    const state = fold(j.entries, { limits: greatestLimits });
    expect(levelsOf(state).map((l) => l.state)).toEqual(['not tested', 'yes', 'not tested', 'not tested']);
    j.add('module.touch', { module: 'elsewhere', device: 1, gate: 'plus', lamp: 'on', holds: true });
    expect(fold(j.entries, { limits: greatestLimits }).log.at(-1)?.void).toContain('not started');
  });
});
