/** A stop that is under way, and what could be taken out of it. */
import fc from 'fast-check';
import { goingOn, movable, stopPlan, usualSwap, type Progress, type Task } from '.';

const inStop = usualSwap.filter((t) => t.needs.length > 0);
const ids = new Set(inStop.map((t) => t.id));
const stopOnly: Task[] = inStop.map((t) => ({ ...t, after: t.after.filter((a) => ids.has(a)) }));

describe('a stop under way', () => {
  it('at its beginning is the plan', () => {
    expect(goingOn(stopOnly, 2, {}, 0).stopEnds_min).toBe(stopPlan(stopOnly, 2).stop_min);
  });

  it('going by the plan it ends with the plan, whenever one looks', () => {
    const plan = stopPlan(usualSwap, 2);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 130 }), (passed) => {
        const now = plan.stopsAt_min + passed;
        const progress = Object.fromEntries(
          plan.schedule.map((s): [string, Progress] => [
            s.id,
            {
              begun_min: s.start_min <= now ? s.start_min : null,
              done_min: s.end_min <= now ? s.end_min : null,
            },
          ]),
        );
        const { stopEnds_min } = goingOn(usualSwap, 2, progress, now);
        if (passed < plan.stop_min) expect(stopEnds_min).toBeCloseTo(plan.stopsAt_min + plan.stop_min, 6);
        else expect(stopEnds_min === null || stopEnds_min <= now + 2).toBe(true);
      }),
    );
  });

  it('a task that takes longer moves the end, and no more than it must', () => {
    const late = goingOn(stopOnly, 2, { stop: { begun_min: 0, done_min: 35 } }, 35);
    expect(late.stopEnds_min).toBe(stopPlan(stopOnly, 2).stop_min + 15);
    // Over its time and still going: a minute more at least.
    const slow = goingOn(stopOnly, 2, { stop: { begun_min: 0, done_min: null } }, 50);
    expect(slow.stopEnds_min).toBe(50 + 1 + stopPlan(stopOnly, 2).stop_min - 20);
    expect(slow.schedule[0]).toMatchObject({ id: 'stop', start_min: 50, end_min: 51 });
  });

  it('says what can be begun now, and that nothing is left', () => {
    expect(goingOn(stopOnly, 2, { stop: { begun_min: 0, done_min: 20 } }, 20).ready).toEqual(['mark']);
    const done = Object.fromEntries(usualSwap.map((t) => [t.id, { begun_min: 0, done_min: 1 }]));
    expect(goingOn(usualSwap, 2, done, 99)).toMatchObject({ stopEnds_min: null, schedule: [], ready: [] });
  });

  it('nobody does two things at once, and nothing before what it waits for', () => {
    fc.assert(
      fc.property(fc.subarray(usualSwap.map((t) => t.id)), fc.nat(60), (some, now) => {
        // Done is only what everything before is done of.
        const done = new Set<string>();
        for (const t of usualSwap)
          if (some.includes(t.id) && t.after.every((a) => done.has(a))) done.add(t.id);
        const progress = Object.fromEntries([...done].map((id) => [id, { begun_min: 0, done_min: 1 }]));
        const { schedule } = goingOn(usualSwap, 2, progress, now);
        const byId = new Map(schedule.map((s) => [s.id, s]));
        for (const s of schedule) {
          expect(s.start_min).toBeGreaterThanOrEqual(now);
          for (const a of usualSwap.find((t) => t.id === s.id)?.after ?? [])
            if (!done.has(a))
              expect(byId.get(a)?.end_min ?? Infinity).toBeLessThanOrEqual(s.start_min + 1e-9);
        }
        for (const who of [1, 2]) {
          const mine = schedule
            .filter((s) => s.people.includes(who))
            .sort((a, b) => a.start_min - b.start_min);
          mine
            .slice(1)
            .forEach((s, i) => expect(s.start_min).toBeGreaterThanOrEqual((mine[i]?.end_min ?? 0) - 1e-9));
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('what could be done outside of the stop', () => {
  it('is never what has hands in it, nor the isolating itself', () => {
    const offered = movable(usualSwap, 2).map((m) => m.id);
    for (const t of usualSwap) if (t.needs.includes('isolated')) expect(offered).not.toContain(t.id);
    expect(offered).not.toContain('stop');
    expect(offered).toContain('power');
  });

  it('saves what it says', () => {
    const tasks: Task[] = [
      { id: 'off', minutes: 10, needs: ['stop'], after: [] },
      { id: 'out', minutes: 20, needs: ['isolated'], after: ['off'] },
      { id: 'photo', minutes: 15, needs: [], after: ['out'] },
      { id: 'in', minutes: 20, needs: ['isolated'], after: ['photo'] },
      { id: 'look', minutes: 5, needs: ['stop'], after: ['in'] },
    ];
    expect(movable(tasks, 1)).toEqual([
      { id: 'photo', why: 'between', saves_min: 15, stop_min: 55 },
      { id: 'look', why: 'standing', saves_min: 5, stop_min: 65 },
    ]);
  });
});
