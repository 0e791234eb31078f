import fc from 'fast-check';
import { stopPlan, taskTrouble, timetable, type TimetableTask, type Task } from '.';

/** Every order of the jobs, each job as early as it fits: no bound, no rule that leaves any out. */
function exhaustive(jobs: readonly TimetableTask[], people: number): number {
  let best = Infinity;
  const place = (start: (number | null)[], left: number): void => {
    if (left === 0) {
      best = Math.min(best, Math.max(0, ...jobs.map((j, i) => (start[i] ?? 0) + j.minutes)));
      return;
    }
    jobs.forEach((job, i) => {
      if (start[i] !== null || job.after.some((a) => start[a] === null)) return;
      const ready = Math.max(0, ...job.after.map((a) => (start[a] ?? 0) + (jobs[a]?.minutes ?? 0)));
      const at = Array.from({ length: 200 }, (_, k) => ready + k).find((from) =>
        Array.from({ length: job.minutes }, (_, k) => from + k).every(
          (minute) =>
            jobs.reduce((sum, other, k) => {
              const s = start[k];
              return s !== null && s !== undefined && s <= minute && minute < s + other.minutes
                ? sum + other.people
                : sum;
            }, 0) +
              job.people <=
            people,
        ),
      );
      place(
        start.map((s, k) => (k === i ? (at ?? 0) : s)),
        left - 1,
      );
    });
  };
  place(
    jobs.map(() => null),
    jobs.length,
  );
  return best;
}

const jobsArbitrary = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 6 }),
      people: fc.integer({ min: 1, max: 2 }),
      links: fc.array(fc.nat(20), { maxLength: 2 }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((list) =>
    list.map(({ minutes, people, links }, i): TimetableTask => ({
      minutes,
      people,
      after: i === 0 ? [] : [...new Set(links.map((l) => l % i))],
    })),
  );

it('the shortest timetable is the one that trying every order finds', () => {
  fc.assert(
    fc.property(jobsArbitrary, fc.integer({ min: 2, max: 3 }), (jobs, people) => {
      const made = timetable(jobs, people);
      return (
        made !== null &&
        made.exact &&
        made.minutes === exhaustive(jobs, people) &&
        made.bound === made.minutes
      );
    }),
    { numRuns: 150 },
  );
});

// A textbook's two machines that work in turn, by Johnson's rule, from memory: jobs of (3,2) (5,4) (1,6) on one
// person each; the best order is 3, 2, 1 and takes 13.
it('three jobs on two stations one after the other take what Johnson’s rule says', () => {
  const pairs = [
    [3, 2],
    [5, 4],
    [1, 6],
  ] as const;
  const orders = [
    [0, 1, 2],
    [0, 2, 1],
    [1, 0, 2],
    [1, 2, 0],
    [2, 0, 1],
    [2, 1, 0],
  ];
  const span = (order: number[]): number => {
    const jobs: TimetableTask[] = order.flatMap((pair, k): TimetableTask[] => [
      { minutes: pairs[pair]![0], people: 1, after: k === 0 ? [] : [2 * k - 2] },
      { minutes: pairs[pair]![1], people: 1, after: k === 0 ? [0] : [2 * k, 2 * k - 1] },
    ]);
    return timetable(jobs, 2)!.minutes;
  };
  expect(Math.min(...orders.map(span))).toBe(13);
  expect(span([2, 1, 0])).toBe(13);
});

const task = (id: string, minutes: number, needs: string[] = [], after: string[] = [], people = 1): Task => ({
  id,
  minutes,
  needs,
  after,
  people,
});

/** Tasks as they are drawn: links lead to earlier ones only. */
const tasksOf = (
  drawn: readonly { minutes: number; need: string; people: number; links: readonly number[] }[],
): Task[] =>
  drawn.map(({ minutes, need, people, links }, i) =>
    task(
      `t${i}`,
      minutes,
      need === '' ? [] : [need],
      i === 0 ? [] : [...new Set(links.map((l) => `t${l % i}`))],
      people,
    ),
  );

/**
 * Both goals by trying every start of every task, minute by minute: the shortest stop, then the shortest work in all. It knows
 * nothing of orders, bounds or chains.
 */
function everyStart(tasks: readonly Task[], people: number): { stop_min: number; total_min: number } {
  const horizon = tasks.reduce((sum, t) => sum + t.minutes, 0);
  const before = (a: Task, b: Task): boolean =>
    b.after.some((id) => id === a.id || tasks.some((t) => t.id === id && before(a, t)));
  const must = tasks.filter((t) => t.needs.length > 0);
  const inside = tasks.filter(
    (t) => must.includes(t) || (must.some((m) => before(m, t)) && must.some((m) => before(t, m))),
  );
  let best = { stop_min: Infinity, total_min: Infinity };
  const start = new Map<Task, number>();
  const busyAt = (minute: number): number =>
    [...start].reduce(
      (sum, [t, s]) => (s <= minute && minute < s + t.minutes ? sum + (t.people ?? 1) : sum),
      0,
    );
  const place = (left: readonly Task[]): void => {
    const [task, ...rest] = left;
    if (task === undefined) {
      const begins = inside.map((t) => start.get(t)!);
      const ends = inside.map((t) => start.get(t)! + t.minutes);
      const stop_min = inside.length === 0 ? 0 : Math.max(...ends) - Math.min(...begins);
      const total_min = Math.max(0, ...tasks.map((t) => start.get(t)! + t.minutes));
      if (stop_min < best.stop_min || (stop_min === best.stop_min && total_min < best.total_min))
        best = { stop_min, total_min };
      return;
    }
    const from = Math.max(
      0,
      ...tasks.filter((t) => task.after.includes(t.id)).map((t) => start.get(t)! + t.minutes),
    );
    for (let at = from; at + task.minutes <= horizon; at += 1) {
      const fits = Array.from({ length: task.minutes }, (_, k) => at + k).every(
        (minute) => busyAt(minute) + (task.people ?? 1) <= people,
      );
      if (!fits) continue;
      start.set(task, at);
      place(rest);
      start.delete(task);
    }
  };
  place(tasks);
  return best;
}

it('the shortest stop, and with it the shortest work in all, are those that trying every start finds', () => {
  const tasksArbitrary = fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 3 }),
        people: fc.integer({ min: 1, max: 2 }),
        need: fc.constantFrom('', '', 'stop', 'isolated'),
        links: fc.array(fc.nat(20), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map(tasksOf);
  fc.assert(
    fc.property(tasksArbitrary, fc.integer({ min: 2, max: 3 }), (tasks, people) => {
      const plan = stopPlan(tasks, people);
      const { stop_min, total_min } = everyStart(tasks, people);
      expect({ stop_min: plan.stop_min, total_min: plan.total_min }).toEqual({ stop_min, total_min });
      expect(plan).toMatchObject({ totalOptimal: true, totalBound_min: total_min });
    }),
    { numRuns: 120 },
  );
});

describe('the stop', () => {
  const tasks = [
    task('mark', 20),
    task('isolate', 15, ['stop'], ['mark']),
    task('out', 15, ['isolated'], ['isolate']),
    task('swap label', 5, [], ['out']),
    task('in', 20, ['isolated'], ['swap label'], 2),
    task('values', 30),
    task('start', 20, ['stop'], ['in', 'values']),
    task('report', 25, [], ['start']),
  ];

  it('holds what needs it and what is caught between, and nothing that can be moved out', () => {
    const plan = stopPlan(tasks, 2);
    expect(plan).toMatchObject({ stop_min: 75, optimal: true, bound_min: 75 });
    const at = (id: string) => plan.schedule.find((s) => s.id === id)!;
    const end = plan.stopsAt_min + plan.stop_min;
    for (const id of ['isolate', 'out', 'swap label', 'in', 'start']) {
      expect(at(id).start_min).toBeGreaterThanOrEqual(plan.stopsAt_min);
      expect(at(id).end_min).toBeLessThanOrEqual(end);
    }
    expect(at('values').end_min).toBeLessThanOrEqual(at('start').start_min);
    expect(at('report').start_min).toBeGreaterThanOrEqual(end);
  });

  it('nobody is in two places, everybody needed is there, and nothing begins too early', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 0, max: 9 }),
            need: fc.constantFrom('', 'stop', 'isolated'),
            people: fc.integer({ min: 1, max: 2 }),
            links: fc.array(fc.nat(20), { maxLength: 3 }),
          }),
          { maxLength: 9 },
        ),
        (list) => {
          const made = tasksOf(list);
          const plan = stopPlan(made, 2);
          const at = new Map(plan.schedule.map((s) => [s.id, s]));
          const end = plan.stopsAt_min + plan.stop_min;
          return made.every((t) => {
            const s = at.get(t.id)!;
            const inside =
              t.needs.length === 0 || (s.start_min >= plan.stopsAt_min - 1e-9 && s.end_min <= end + 1e-9);
            const after = t.after.every((a) => at.get(a)!.end_min <= s.start_min + 1e-9);
            const alone = plan.schedule.every(
              (o) =>
                o.id === s.id ||
                o.end_min <= s.start_min ||
                s.end_min <= o.start_min ||
                !o.people.some((p) => s.people.includes(p)),
            );
            return (
              inside &&
              after &&
              alone &&
              s.people.length === (t.minutes === 0 ? 0 : t.people) &&
              s.people.every((p) => p <= 2)
            );
          });
        },
      ),
      { numRuns: 200 },
    );
  });

  it('twenty tasks and two people are settled', () => {
    const many = Array.from({ length: 20 }, (_, i) =>
      task(
        `t${i}`,
        3 + ((i * 7) % 11),
        i % 5 === 0 ? [] : ['isolated'],
        i < 3 ? [] : [`t${(i * 3) % i}`],
        i % 6 === 5 ? 2 : 1,
      ),
    );
    const plan = stopPlan(many, 2);
    expect(plan.optimal).toBe(true);
    expect(plan.bound_min).toBe(plan.stop_min);
  });
});

it.each([
  ['a ring', [task('a', 1, [], ['b']), task('b', 1, [], ['a'])], 'ring'],
  ['a task that waits for itself', [task('a', 1, [], ['a'])], 'ring'],
  ['one that is not there', [task('a', 1, [], ['z'])], 'unknown'],
  ['an id twice', [task('a', 1), task('a', 2)], 'twice'],
  ['more people than there are', [task('a', 1, [], [], 5)], 'people'],
])('%s cannot be planned', (_, tasks, trouble) => {
  expect(taskTrouble(tasks, 2)?.trouble).toBe(trouble);
});

it('nothing to do takes no time', () => {
  expect(stopPlan([], 2)).toMatchObject({ stop_min: 0, total_min: 0, schedule: [], optimal: true });
});
