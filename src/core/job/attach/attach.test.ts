import { greatestLimits } from '../../bench/make-safe';
import { fold, type Entry, type JobState } from '../../logbook';
import { job, opening, proven, start, testDrive } from '../../logbook/__tests__/job';
import { againstAttaching, carriedOver } from '.';

const limits = { limits: greatestLimits };
const folded = (entries: readonly Entry[]): JobState => fold(entries, limits);

/** A proven unit with a reading, on no job. */
function sheet() {
  const j = proven();
  const [first] = j.entries;
  Object.assign(first!, { payload: { ...opening, machine: 'Unit without a machine', loose: true } });
  const reading = j.add('static.reading', { red: 'L1', black: 'DC+', value: 0.45, typed: '0.45' });
  j.add('static.reading', { red: 'L1', black: 'DC+', value: 0.46, typed: '0.46' }, { corrects: reading });
  return j;
}
const newJob = () => {
  const j = job();
  j.add('job.opened', opening);
  return j;
};
const ids = () => {
  let n = 0;
  return () => `0190c000-0000-7000-8000-${String((n += 1)).padStart(12, '0')}`;
};

/** The job with what was carried, as the server numbers it an hour later. */
function after(target: ReturnType<typeof newJob>, from: JobState): JobState {
  const carried = carriedOver(from, { id: 'job', state: folded(target.entries) }, ids());
  const later = new Date(start + 3_600_000).toISOString();
  const kept = carried.map(
    ({ entry, of }, i) =>
      ({
        ...entry,
        by: of.by,
        seq: target.entries.length + i + 1,
        receivedAt: later,
        firstReceivedAt: of.receivedAt,
      }) as Entry,
  );
  return folded([...target.entries, ...kept]);
}

describe('a loose sheet in a job', () => {
  it('counts as it did, though it all came at once: waits are of when it was measured', () => {
    const from = folded(sheet().entries);
    expect(from.readings.map((r) => r.value)).toEqual([0.46]);
    const state = after(newJob(), from);
    expect(state.log.filter((line) => line.void !== null)).toEqual([]);
    expect(state.readings.map((r) => [r.value, r.at])).toEqual(from.readings.map((r) => [r.value, r.at]));
    expect(state.drive?.serial).toBe(testDrive.serial);
  });

  it('is put right there as it was here: ids in it are those of the job', () => {
    const carried = carriedOver(
      folded(sheet().entries),
      { id: 'job', state: folded(newJob().entries) },
      ids(),
    );
    const [first, second] = carried.filter(({ entry }) => entry.kind === 'static.reading');
    expect(second?.entry.corrects).toBe(first?.entry.id);
    expect(carried.map(({ entry }) => entry.kind)).not.toContain('job.opened');
    expect(new Set(carried.map(({ entry }) => entry.jobId))).toEqual(new Set(['job']));
  });

  it('leaves nameplates that the job has, and what did not count', () => {
    const target = newJob();
    target.add('identify.drive', { ...testDrive, serial: 'of the job' });
    const j = sheet();
    j.add('safety.source-back', { kind: 'mains' });
    j.add('static.reading', { red: 'L2', black: 'DC+', value: 0.5, typed: '0.5' });
    const state = after(target, folded(j.entries));
    expect(state.drive?.serial).toBe('of the job');
    expect(state.readings).toHaveLength(1);
  });

  it('goes only where it can mean something, and once', () => {
    const from = folded(sheet().entries);
    const target = newJob();
    expect(againstAttaching(from, folded(target.entries))).toBeNull();
    expect(againstAttaching(from, from)).toMatch(/Choose a job/);
    expect(againstAttaching(folded(target.entries), folded(target.entries))).toMatch(/not a loose sheet/);
    target.add('identify.drive', { ...testDrive, stage: { ...testDrive.stage, brake: false } });
    expect(againstAttaching(from, folded(target.entries))).toMatch(/other terminals/);
    const moved = sheet();
    moved.add('loose.moved', { toJobId: opening.assetId, machine: 'Slipway winch' });
    expect(againstAttaching(folded(moved.entries), folded(newJob().entries))).toMatch(/Slipway winch/);
  });

  it('ends the proof of the job: begun anew there', () => {
    const j = sheet();
    expect(folded(j.entries).safety.meterAfter).not.toBeNull();
    j.add('loose.attached', { fromJobId: opening.assetId, unit: 'unit', entries: 1 });
    expect(folded(j.entries).safety).toMatchObject({ meterAfter: null, lapsed: { why: 'attached' } });
  });
});
