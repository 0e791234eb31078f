import { greatestLimits } from '../bench/make-safe';
import { forwardPlan } from '../equipment/power-stage';
import { currentStage, fold, mustStayDead, stageLines, summarise, type StageId } from '.';
import { ines, job, opening, proven, testStage } from './__tests__/job';

const context = { limits: greatestLimits };
const lineOf = (j: ReturnType<typeof job>, id: StageId) =>
  stageLines(fold(j.entries, context), greatestLimits).find((l) => l.id === id);

describe('the edge of the card', () => {
  it('begins with taking the job, and keeps the bench and first power locked', () => {
    const j = job();
    j.add('job.opened', opening);
    expect(currentStage(stageLines(fold(j.entries, context), greatestLimits))).toBe('take');
    expect(lineOf(j, 'make-safe')).toMatchObject({ state: 'locked', note: 'nameplate first' });
    expect(lineOf(j, 'bench')).toMatchObject({ state: 'locked', note: 'locked: not proven dead' });
    expect(lineOf(j, 'first-power')).toMatchObject({ state: 'locked', note: 'locked: bench not passed' });
  });

  it('says what making safe waits for, step by step', () => {
    const notes: (string | undefined)[] = [];
    const whole = proven();
    for (const until of [2, 3, 4, 5, 6])
      notes.push(lineOf({ ...whole, entries: whole.entries.slice(0, until) }, 'make-safe')?.note);
    expect(notes).toEqual([
      'list the sources',
      'lock and tag',
      'prove the meter',
      '39 readings left',
      '38 readings left',
    ]);
    expect(lineOf(whole, 'make-safe')).toMatchObject({ state: 'done', note: '3.1 V proven' });
    expect(lineOf(proven({ bank_V: 38 }), 'make-safe')).toMatchObject({
      state: 'todo',
      note: '38 V: too high',
    });
  });

  it('counts the readings, and punches the bench open when the plan is through', () => {
    const j = proven();
    const plan = forwardPlan(testStage);
    expect(lineOf(j, 'bench')).toMatchObject({ state: 'todo', note: 'ready to measure' });
    for (const { red, black } of plan.slice(0, 4))
      j.add('static.reading', { red, black, value: 0.45, typed: '' });
    expect(lineOf(j, 'bench')?.note).toBe('reading 4 of 15');
    for (const { red, black } of plan.slice(4))
      j.add('static.reading', { red, black, value: 0.45, typed: '' });
    expect(lineOf(j, 'bench')).toMatchObject({ state: 'done', note: '15 readings' });
  });

  it('opens first power only on a signed pass, and a new reading takes the signature off', () => {
    const j = proven();
    const sign = (verdict: 'not-shorted' | 'faulty') =>
      j.add('sheet.signed', { verdict, headline: 'x', detail: '', seq: 0 });
    sign('faulty');
    expect(lineOf(j, 'first-power')?.state).toBe('locked');
    sign('not-shorted');
    expect(lineOf(j, 'first-power')?.state).toBe('todo');
    expect(lineOf(j, 'hand-over')?.state).toBe('done');
    j.add('static.reading', { red: 'L1', black: 'DC+', value: 0, typed: '0' });
    expect(lineOf(j, 'first-power')?.state).toBe('locked');
    expect(lineOf(j, 'hand-over')?.state).toBe('todo');
  });
});

describe('the board’s summary', () => {
  it('has what a board shows', () => {
    const j = proven();
    j.add('take.call', { signs: ['blown-fuse'] });
    j.add('question.opened', { text: 'who?' });
    const state = fold(j.entries, context);
    expect(summarise(state, greatestLimits, mustStayDead(state).length > 0)).toMatchObject({
      machine: 'Slipway winch',
      drive: 'Whimbrel W4-15',
      stage: 'as-found',
      stayDead: true,
      openQuestions: 1,
      conclusion: null,
      downtimeAllowed_min: 240,
    });
  });

  it('has none for a job that was never opened', () => {
    expect(summarise(fold([], context), greatestLimits, false)).toBeNull();
  });
});

describe('questions', () => {
  it('stay open until answered', () => {
    const j = job();
    const question = j.add('question.opened', { text: 'who replaced F2?' });
    expect(fold(j.entries, context).questions).toEqual([
      { id: question, text: 'who replaced F2?', answer: null },
    ]);
    j.add('question.closed', { question, answer: 'the fitter' }, { by: ines });
    expect(fold(j.entries, context).questions[0]?.answer).toBe('the fitter');
  });
});
