import { greatestLimits } from '../bench/make-safe';
import { fold, handsLock, stageLines, summarise, type Payload } from '.';
import { testDrive, ines, job, odo, pip, proven } from './__tests__/job';

const context = { limits: greatestLimits };
const state = (j: ReturnType<typeof job>) => fold(j.entries, context);
const lastVoid = (j: ReturnType<typeof job>) => state(j).log.at(-1)?.void;

const plate = (type: string) => ({
  typeId: 'whimbrel-w4',
  maker: 'Whimbrel',
  type,
  supply_V: 400,
  phases: 3 as const,
  ratedAmps: 15,
});
const wire = (n: number, changed: Partial<Payload<'wire.noted'>> = {}): Payload<'wire.noted'> => ({
  wire: `0190c000-0000-7000-8000-00000000000${n}`,
  number: n,
  from: 'X1',
  role: 'in:run-forward',
  ferrule: '',
  drawing: '',
  colour: '',
  core: '',
  drawnAt: null,
  proven: false,
  shared: null,
  later: false,
  photos: [],
  ...changed,
});
const idOf = (n: number) => wire(n).wire;

describe('the wire list', () => {
  it('keeps one line a wire: the newest note, with its ticks and what was chosen for it', () => {
    const j = proven();
    j.add('wire.noted', wire(1));
    j.add('wire.chosen', { wire: idOf(1), to: 'X5', reason: 'shorter', back: false });
    j.add('wire.ticked', { wire: idOf(1), end: 'field', on: true, to: 'X1' }, { by: pip });
    j.add('wire.noted', wire(1, { ferrule: '17', proven: true }));
    expect(state(j).swap.wires).toMatchObject([
      { number: 1, ferrule: '17', proven: true, chosen: 'X5', ticked: { field: 'Pip Sallow' } },
    ]);
    j.add('wire.chosen', { wire: idOf(1), to: null, reason: '', back: true });
    j.add('wire.ticked', { wire: idOf(1), end: 'field', on: false, to: 'X1' });
    expect(state(j).swap.wires[0]).not.toHaveProperty('chosen');
    expect(state(j).swap.wires[0]?.ticked).toEqual({});
    j.add('wire.removed', { wire: idOf(1), reason: 'noted twice' });
    expect(state(j).swap.wires).toEqual([]);
    j.add('wire.ticked', { wire: idOf(1), end: 'field', on: true, to: 'X1' });
    expect(lastVoid(j)).toContain('not in this job');
  });

  it('a second person at the far end does not take the proof over', () => {
    const j = proven();
    j.add('wire.noted', wire(1));
    j.add('wire.ticked', { wire: idOf(1), end: 'field', on: true, to: 'X1' }, { by: pip });
    expect(handsLock(state(j).safety, testDrive, greatestLimits, ines, j.now()).open).toBe(true);
  });
});

describe('the old unit', () => {
  it('does not come out while a wire is unknown and nobody took it on', () => {
    const j = proven();
    j.add('swap.units', { old: plate('W4-15'), next: plate('W4-24') });
    j.add('wire.noted', wire(1, { role: 'unknown' }));
    j.add('swap.unit-out', { lookedAt: [] });
    expect(lastVoid(j)).toContain('Wire 1 is unknown');
    j.add('wire.accepted', { wire: idOf(1), reason: 'spare core' }, { by: pip });
    expect(lastVoid(j)).toContain('technician or the lead');
    j.add('wire.accepted', { wire: idOf(1), reason: 'spare core' });
    j.add('swap.unit-out', { lookedAt: [] });
    expect(state(j).swap.outAt).not.toBeNull();
  });

  it('does not come out where it is not proven dead, or by another hand', () => {
    const alive = job();
    alive.add('identify.drive', testDrive);
    alive.add('swap.unit-out', { lookedAt: [] });
    expect(lastVoid(alive)).toBe('The drive is not proven dead yet.');
    const j = proven();
    j.add('swap.unit-out', { lookedAt: [] }, { by: odo });
    expect(lastVoid(j)).toContain('Proven dead by Ines Tarrow');
    j.add('swap.unit-out', { lookedAt: [] }, { after: 31 * 60 });
    expect(lastVoid(j)).toContain('half an hour');
  });

  it('may come out above the limit of a diode test, never above that of hands', () => {
    const warm = proven({ bank_V: 38 });
    warm.add('swap.unit-out', { lookedAt: [] });
    expect(state(warm).swap.outAt).not.toBeNull();
    const full = proven({ bank_V: 80 });
    full.add('swap.unit-out', { lookedAt: [] });
    expect(lastVoid(full)).toContain('80 V measured');
  });

  it('takes its readings and what was seen along; isolated stays isolated, and the new bank is proven anew', () => {
    const j = proven();
    j.add('swap.units', { old: plate('W4-15'), next: plate('W4-24') });
    j.add('static.reading', { red: 'DC-', black: 'L1', value: 0.45, typed: '0.45' });
    j.add('swap.unit-out', { lookedAt: [] });
    j.add('identify.drive', { ...testDrive, type: 'W4-24' });
    const after = state(j);
    expect(after.drive?.type).toBe('W4-24');
    expect(after.readings).toEqual([]);
    expect(after.setAside).toMatchObject([{ reason: 'of the old unit' }]);
    expect(after.safety.locked).not.toBeNull();
    expect(handsLock(after.safety, after.drive, greatestLimits, ines, j.now()).open).toBe(false);
    // Its plate put right later is no third unit.
    j.add('identify.drive', { ...testDrive, type: 'W4-24', serial: 'W424-0002' });
    expect(state(j).swap.inAt).toBe(after.swap.inAt);
    expect(state(j).setAside).toHaveLength(1);
  });
});

describe('round the button: tasks and ticks', () => {
  const tasks = [
    { id: 'labels', needs: [], after: [] },
    { id: 'mark', needs: ['isolated' as const], after: ['labels'] },
    { id: 'out', needs: ['isolated' as const], after: ['mark'] },
    { id: 'drill', needs: ['isolated' as const], after: ['out'] },
    { id: 'wire', needs: ['isolated' as const], after: ['drill'] },
  ].map((t) => ({ ...t, name: t.id, minutes: 10, people: 1 }));
  const did = (j: ReturnType<typeof job>, task: string, options = {}) => {
    j.add('stop.task', { task, did: 'done' }, options);
    return lastVoid(j);
  };
  const withPlan = (j: ReturnType<typeof job>) => {
    j.add('stop.planned', { people: 2, allowed_min: 90, tasks });
    return j;
  };
  const tick = (j: ReturnType<typeof job>, options = {}) => {
    j.add('wire.ticked', { wire: idOf(1), end: 'drive', on: true, to: 'X1' }, options);
    return lastVoid(j);
  };

  it('a task with hands in the drive wants the proof of that person; one at a desk does not', () => {
    const alive = withPlan(job());
    alive.add('identify.drive', testDrive);
    expect(did(alive, 'labels')).toBeNull();
    expect(did(alive, 'mark')).toBe('The drive is not proven dead yet.');
    alive.add('stop.task', { task: 'mark', did: 'begun' });
    expect(lastVoid(alive)).toBe('The drive is not proven dead yet.');
    const j = withPlan(proven());
    expect(did(j, 'mark', { by: odo })).toContain('Proven dead by Ines Tarrow');
    expect(did(j, 'mark')).toBeNull();
    expect(did(j, 'out', { after: 31 * 60 })).toContain('half an hour');
  });

  it('the old unit does not come out as a task either, while a wire is unknown', () => {
    const j = withPlan(proven());
    j.add('wire.noted', wire(1, { role: 'unknown' }));
    expect(did(j, 'mark')).toBeNull();
    expect(did(j, 'out')).toContain('Wire 1 is unknown');
    expect(did(j, 'drill')).toBe('The old unit is not removed yet.');
  });

  it('nothing is seen on at the new unit before the old one is out and the new one proven dead', () => {
    const j = withPlan(proven());
    j.add('wire.noted', wire(1));
    expect(tick(j)).toBe('The old unit is not removed yet.');
    expect(state(j).swap.wires[0]?.ticked).toEqual({});
    j.add('swap.unit-out', { lookedAt: [] });
    expect(tick(j)).toBeNull();
    j.add('identify.drive', { ...testDrive, type: 'W4-24' });
    expect(tick(j)).toContain('not proven dead');
    expect(did(j, 'wire')).toContain('not proven dead');
    j.add('wire.ticked', { wire: idOf(1), end: 'field', on: true, to: 'X1' }, { by: pip });
    expect(lastVoid(j)).toBeNull();
  });

  it('two STO channels without their return keep the old unit in', () => {
    const j = withPlan(proven());
    j.add('wire.noted', wire(1, { role: 'safe-1' }));
    expect(did(j, 'out')).toBeNull();
    j.add('wire.noted', wire(2, { role: 'safe-2' }));
    j.add('swap.unit-out', { lookedAt: [] });
    expect(lastVoid(j)).toContain('their return is not');
    expect(did(j, 'out')).toContain('their return is not');
    j.add('wire.noted', wire(3, { role: 'safe-return' }));
    j.add('swap.unit-out', { lookedAt: [] });
    expect(lastVoid(j)).toBeNull();
  });

  it('what earlier versions recorded counts by the rules of then', () => {
    const j = withPlan(proven());
    j.add('wire.noted', wire(1));
    tick(j);
    const before = j.entries.map((e) => ({ ...e, v: 1 }) as typeof e);
    expect(fold(before, context).log.at(-1)?.void).toBeNull();
  });
});

describe('the stop', () => {
  it('is timed task by task, by the clock of the server', () => {
    const j = job();
    j.add('stop.task', { task: 'out', did: 'begun' });
    expect(lastVoid(j)).toContain('No such task');
    const task = (id: string) => ({
      id,
      name: id,
      minutes: 10,
      needs: ['stop' as const],
      after: [],
      people: 1,
    });
    j.add('stop.planned', { people: 2, allowed_min: 90, tasks: [task('out'), task('in')] });
    j.add('stop.begun', {});
    const begun = j.now();
    j.add('stop.begun', {});
    expect(lastVoid(j)).toContain('already stopped');
    j.add('stop.task', { task: 'out', did: 'begun' }, { after: 60 });
    j.add('stop.task', { task: 'out', did: 'done' }, { after: 300 });
    j.add('stop.task', { task: 'in', did: 'done' });
    j.add('stop.task', { task: 'in', did: 'open' });
    j.add('stop.over', {});
    expect(state(j).swap.stop).toEqual({
      begunAt: begun,
      overAt: j.now(),
      tasks: {
        out: { begunAt: begun + 65_000, doneAt: begun + 365_000 },
        in: { begunAt: null, doneAt: null },
      },
    });
  });
});

describe('decision and hand-over', () => {
  const made = { choice: 'newer' as const, reason: 'discontinued', costs: [], cheapest: 'newer' as const };
  const off = { second: 'Tam Brine', secondIs: 'harbour', open: [], seq: 0 };
  it('are not an apprentice’s, and two names are two people', () => {
    const j = job();
    j.add('decide.made', made, { by: pip });
    expect(lastVoid(j)).toContain('can decide');
    j.add('job.signed-off', off, { by: pip });
    expect(lastVoid(j)).toContain('can sign');
    j.add('job.signed-off', { ...off, second: 'ines tarrow' });
    expect(lastVoid(j)).toContain('another person');
    j.add('job.signed-off', off);
    expect(state(j).swap.signedOff?.payload.second).toBe('Tam Brine');
  });

  it('a job that was handed over is closed, whatever was signed before', () => {
    const j = proven();
    const conclusion = () => summarise(state(j), greatestLimits, false)?.conclusion;
    expect(conclusion()).toBeNull();
    j.add('job.signed-off', off);
    expect(conclusion()).toEqual({ verdict: 'handed-over', headline: 'Handed over to Tam Brine' });
  });

  it('a machine with a bridged safety function is not handed over', () => {
    const j = job();
    j.add('jumper.set', {
      form: 'jumper',
      where: 'X5 to 24',
      guards: 'guard',
      reason: 'test',
      removeBy: '2026-12-01',
      approver: 'Odo Wrack',
      motorConnected: false,
    } as never);
    j.add('job.signed-off', off);
    expect(lastVoid(j)).toContain('safety function');
  });

  it('what changes after the signature takes it off', () => {
    const j = job();
    j.add('job.signed-off', off);
    j.add('handover.partner', { machine: 'grading drum', right: false, note: '' });
    expect(state(j).swap.signedOff).toBeNull();
  });

  it('punch their stages open', () => {
    const j = job();
    j.add('decide.made', made);
    const line = (id: string) => stageLines(state(j), greatestLimits).find((l) => l.id === id);
    expect(line('decide')).toMatchObject({ state: 'done', note: 'replace with a newer type' });
    j.add('wire.noted', wire(1, { role: 'unknown' }));
    expect(line('prepare')).toMatchObject({ state: 'todo', note: '1 wire, 1 unknown' });
    j.add('job.signed-off', off);
    expect(line('hand-over')).toMatchObject({ state: 'done', note: 'handed over' });
  });
});
