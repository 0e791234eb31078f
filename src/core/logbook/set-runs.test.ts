import { greatestLimits } from '../bench/make-safe';
import { fold, summarise, type Payload } from '.';
import { testDrive, job, odo, opening } from './__tests__/job';

const stateOf = (j: ReturnType<typeof job>) => fold(j.entries, { limits: greatestLimits });
const run = '0190c000-0000-7000-8000-000000000001';
const saw = { runOpen: true, enableOpen: true, peopleClear: true } as const;
const begun: Payload<'set.write-begun'> = {
  ...{ run, set: '0190c000-0000-7000-8000-000000000002', name: 'as translated', target: 't:1' },
  ...{ serial: 'W415-0001', values: 40 },
  ...saw,
};
const left = [{ number: '3-01', name: 'Acceleration', planned: '9 s', left: '5 s', why: 'refused' }];

it('a run is begun, held, resumed by another, ended and looked at again', () => {
  const j = job();
  j.add('set.write-begun', begun);
  j.add('set.write-held', { run, why: 'The link failed.' });
  expect(stateOf(j).setRuns).toMatchObject([{ id: run, held: 'The link failed.', end: null }]);
  j.add('set.write-resumed', { run, leftOut: null, ...saw }, { by: odo });
  expect(stateOf(j).setRuns[0]?.held).toBeNull();
  j.add('set.write-ended', { run, ending: 'as planned', taken: 39, leftOver: left });
  j.add('set.verified', { run, afterPower: true, ending: 'in between', leftOver: [] });
  expect(stateOf(j).setRuns).toMatchObject([
    {
      by: { name: 'Ines Tarrow' },
      end: { ending: 'as planned', taken: 39, leftOver: left },
      verified: [{ afterPower: true, ending: 'in between' }],
    },
  ]);
});

it('what speaks of a run or a set that is not there does not count', () => {
  const j = job();
  j.add('set.write-ended', { run, ending: 'as found', taken: 0, leftOver: [] });
  j.add('set.good', { set: run, why: 'ran well' });
  const { setRuns, log } = stateOf(j);
  expect(setRuns).toEqual([]);
  expect(log.map((l) => l.void)).toEqual([
    'This write run is not in this job.',
    'This parameter set is not in this job.',
  ]);
});

it('values that go to the drive take a start-up signature off; a second look does not', () => {
  const j = job();
  j.add('startup.signed', { seq: 0, entries: 1, against: [] });
  expect(stateOf(j).startUp.signed).not.toBeNull();
  j.add('set.write-begun', begun);
  expect(stateOf(j).startUp.signed).toBeNull();
  j.add('set.write-ended', { run, ending: 'as planned', taken: 40, leftOver: [] });
  j.add('startup.signed', { seq: 2, entries: 1, against: [] });
  j.add('set.verified', { run, afterPower: false, ending: 'as planned', leftOver: [] });
  expect(stateOf(j).startUp.signed).not.toBeNull();
});

it('the board asks for a backup until a set of the drive’s own type is kept', () => {
  const j = job();
  j.add('job.opened', opening);
  const nag = () => summarise(stateOf(j), greatestLimits, false)?.noBackup;
  expect(nag()).toBeUndefined();
  j.add('identify.drive', testDrive);
  expect(nag()).toBe(true);
  const rating = { ratedAmps: 18, power_kW: 7.5, supply_V: 400 };
  const set = { name: 'paper', rating, values: { 'A-00': 50 }, strangers: [], source: 'typed' } as const;
  j.add('set.kept', { ...set, strangers: [], typeId: 'knot-k3' });
  expect(nag()).toBe(true);
  const kept = j.add('set.kept', { ...set, strangers: [], typeId: 'whimbrel-w4' });
  expect(nag()).toBeUndefined();
  j.add('set.good', { set: kept, why: 'ran a week' });
  expect(stateOf(j).sets.map((s) => s.good)).toEqual([null, 'ran a week']);
});

it('jumpers and shortest ramps are kept for the audit', () => {
  const j = job();
  j.add('startup.jumper', { input: 'AI1', position: 'V' });
  j.add('startup.jumper', { input: 'AI1', position: 'mA' });
  j.add('startup.shortest', { up_s: 2.5, down_s: null });
  expect(stateOf(j).startUp).toMatchObject({ jumpers: { AI1: 'mA' }, shortest: { up_s: 2.5, down_s: null } });
});
