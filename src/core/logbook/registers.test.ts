import { greatestLimits } from '../bench/make-safe';
import { fold, signatureBlocker, openJumpers, openTrials, summarise, type Payload } from '.';
import { testDrive, job, odo, opening, pip } from './__tests__/job';

const context = { limits: greatestLimits };
const stateOf = (j: ReturnType<typeof job>) => fold(j.entries, context);
const jumper = (differs: Partial<Payload<'jumper.set'>> = {}): Payload<'jumper.set'> => ({
  form: 'jumper',
  where: 'X3',
  guards: 'level-or-pressure',
  plant: 'existing',
  landed: 'yes',
  wire: '114',
  motorConnected: true,
  reason: 'level switch ordered',
  approver: 'A. Fenn, works manager',
  removeBy: '2026-11-27',
  ...differs,
});
const write = (differs: Partial<Payload<'drive.write-asked'>> = {}): Payload<'drive.write-asked'> => ({
  target: '127.0.0.1:4403',
  typeId: 'whimbrel-w4',
  number: '4-07',
  name: 'Coast from',
  from: 2,
  to: 0,
  shownFrom: 'either',
  shownTo: 'terminals',
  reason: 'does the serial side hold it?',
  trial: true,
  mayMove: 'It may start.',
  runOpen: true,
  peopleClear: true,
  ...differs,
});
const signature: Payload<'sheet.signed'> = {
  verdict: 'not-shorted',
  headline: 'Not shorted.',
  detail: '',
  seq: 0,
};
const begun = () => {
  const j = job();
  j.add('job.opened', opening);
  j.add('identify.drive', testDrive);
  return j;
};

describe('temporary jumpers', () => {
  it('block the signature until they are out, with what proved it', () => {
    const j = begun();
    const id = j.add('jumper.set', jumper());
    j.add('sheet.signed', signature, { by: odo });
    expect(stateOf(j).signed).toBeNull();
    expect(stateOf(j).log.at(-1)?.void).toMatch(/jumper is still fitted: X3/);
    j.add('jumper.removed', { jumper: id, how: 'contact opened: X3 goes off' });
    expect(openJumpers(stateOf(j).registers)).toEqual([]);
    j.add('sheet.signed', signature, { by: odo });
    expect(stateOf(j).signed).not.toBeNull();
  });

  it('take a signature off that was there before them', () => {
    const j = begun();
    j.add('sheet.signed', signature, { by: odo });
    expect(stateOf(j).signed).not.toBeNull();
    j.add('jumper.set', jumper());
    expect(stateOf(j).signed).toBeNull();
  });

  it.each(['safe-stop', 'emergency-stop', 'guard', 'over-travel'] as const)(
    'over %s stand in the register whoever set them, and no name makes a signature over them possible',
    (guards) => {
      const j = begun();
      j.add('jumper.set', jumper({ guards }), { by: pip });
      j.add('jumper.set', jumper({ guards, form: 'no-function', motorConnected: false, found: true }));
      expect(stateOf(j).registers.jumpers).toHaveLength(2);
      j.add('sheet.signed', signature, { by: odo });
      expect(stateOf(j).signed).toBeNull();
    },
  );

  it('that nobody set cannot be taken out', () => {
    const j = begun();
    j.add('jumper.removed', { jumper: '0190a000-0000-7000-8000-00000000ffff', how: 'gone' });
    expect(stateOf(j).log.at(-1)?.void).toMatch(/not in this job/);
  });
});

describe('values written to the drive', () => {
  it('what a write resets is not known until read out; of an uncertain one, nothing is', () => {
    const values = () => stateOf(j).seen?.values;
    const readOut = { '4-07': 2, '4-08': 1, '3-01': 5 };
    const j = begun();
    const read = () =>
      j.add('drive.read', {
        ...{ target: 't', typeId: 'whimbrel-w4', values: readOut, live: {}, history: [] },
        identity: { vendor: 'Whimbrel', product: 'W4', revision: '1' },
      });
    read();
    const done = j.add('drive.write-asked', write({ resets: ['4-08'] }));
    j.add('drive.write-done', { asked: done, found: 0 });
    expect(values()).toEqual({ '4-07': 0, '3-01': 5 });
    read();
    const lost = j.add('drive.write-asked', write({ resets: ['4-08'] }));
    j.add('drive.write-failed', { asked: lost, why: 'the link failed', certain: false });
    expect(values()).toEqual({ '3-01': 5 });
    read();
    const refused = j.add('drive.write-asked', write({ resets: 'all' }));
    j.add('drive.write-failed', { asked: refused, why: 'locked', certain: true });
    expect(values()).toEqual(readOut);
  });

  it('a trial is open until it is put back', () => {
    const j = begun();
    const asked = j.add('drive.write-asked', write());
    j.add('drive.write-done', { asked, found: 0 });
    expect(stateOf(j).seen?.values).toEqual({ '4-07': 0 });
    expect(openTrials(stateOf(j).registers).map((w) => w.id)).toEqual([asked]);
    expect(signatureBlocker(stateOf(j).registers)).toMatch(/4-07 Coast from/);
    const back = j.add(
      'drive.write-asked',
      write({ from: 0, to: 2, shownFrom: 'terminals', shownTo: 'either', trial: false, restores: asked }),
    );
    expect(openTrials(stateOf(j).registers)).toHaveLength(1);
    j.add('drive.write-done', { asked: back, found: 2 });
    expect(signatureBlocker(stateOf(j).registers)).toBeNull();
  });

  it('one that nobody answered is not known to have failed', () => {
    const j = begun();
    j.add('drive.write-asked', write());
    expect(openTrials(stateOf(j).registers)[0]?.outcome).toBe('asked');
    const asked = j.add('drive.write-asked', write());
    j.add('drive.write-failed', { asked, why: 'the link failed', certain: false });
    expect(openTrials(stateOf(j).registers)).toHaveLength(2);
  });

  it('one that surely failed is no trial any more; one may stay with a reason', () => {
    const j = begun();
    const failed = j.add('drive.write-asked', write());
    j.add('drive.write-failed', { asked: failed, why: 'locked', certain: true });
    const stays = j.add('drive.write-asked', write());
    j.add('drive.write-done', { asked: stays, found: 0 });
    j.add('trial.kept', { asked: stays, reason: 'no controller on this machine' });
    expect(openTrials(stateOf(j).registers)).toEqual([]);
    expect(stateOf(j).registers.writes.map((w) => w.outcome)).toEqual(['failed', 'done']);
  });
});

it('an apprentice may note a jumper; the board still has its summary', () => {
  const j = begun();
  j.add('jumper.set', jumper(), { by: pip });
  expect(summarise(stateOf(j), greatestLimits, false)?.stage).toBe('take');
});
