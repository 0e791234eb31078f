/** What is not the page's to say: the hazard of a check, and the terminals of a unit. */
import { jest } from '@jest/globals';
import { usualTables } from '../../core/fault-finding/tracing';
import { emptyJob, extend, type JobState, type NewEntry, type Payload } from '../../core/logbook';
import { greatestLimits } from '../../core/bench/make-safe';
import { job } from '../../core/logbook/__tests__/job';
import { db } from '../database/connection';
import { ownDatabase } from '../database/__tests__/own-database';
import { setTraceTables } from '../administration/settings';
import { settingVersion } from '../administration/versions';
import { refusals } from './refuse-entry';

ownDatabase();

const entry = (kind: string, payload: object) => ({ kind, payload }) as unknown as NewEntry;
const refused = (kind: string, payload: object, before: JobState = emptyJob) =>
  refusals()(entry(kind, payload), before);

describe('an answer of a trace', () => {
  const live = { family: 'ground', check: 'unloaded', outcome: 'no', words: 'runs', hazard: 'live' };

  it('has the hazard and the outcomes of the table in force', async () => {
    expect(await refused('trace.answered', live)).toBeNull();
    expect(await refused('trace.answered', { ...live, outcome: 'not-now' })).toBeNull();
    expect(await refused('trace.answered', { ...live, hazard: 'none' })).toContain('another hazard: live');
    expect(await refused('trace.answered', { ...live, outcome: 'made-up' })).toContain('no such outcome');
    expect(await refused('trace.answered', { ...live, check: 'made-up' })).toContain('No such check');
  });

  it('is held against the shop’s own table where there is one', async () => {
    const own = usualTables.map((t) =>
      t.family !== 'ground'
        ? t
        : { ...t, checks: t.checks.map((c) => (c.id === 'length' ? { ...c, hazard: 'dead' as const } : c)) },
    );
    await setTraceTables(own, await settingVersion('trace-tables'));
    const looked = { family: 'ground', check: 'length', outcome: 'no', words: 'short', hazard: 'none' };
    expect(await refused('trace.answered', looked)).toContain('another hazard: dead');
    expect(await refused('trace.answered', { ...looked, hazard: 'dead' })).toBeNull();
  });
});

describe('a terminal', () => {
  const units: Payload<'swap.units'> = {
    old: { typeId: 'knot-k3', maker: 'Knot', type: 'K3-18', supply_V: 400, phases: 3, ratedAmps: 18 },
    next: {
      typeId: 'whimbrel-w4',
      maker: 'Whimbrel',
      type: 'W4-15',
      supply_V: 400,
      phases: 3,
      ratedAmps: 15,
    },
  };
  const swap = (() => {
    const j = job();
    j.add('swap.units', units);
    return extend(emptyJob, j.entries, { limits: greatestLimits });
  })();

  it('that the unit does not have is refused by name, the old one’s and the new one’s', async () => {
    expect(await refused('wire.noted', { from: 'X1' }, swap)).toMatch(
      /^The Knot K3-18 has no terminal X1\. It has R, S/,
    );
    expect(await refused('wire.noted', { from: 'CM' }, swap)).toBeNull();
    expect(await refused('wire.noted', { from: null }, swap)).toBeNull();
    expect(await refused('wire.chosen', { to: 'CM' }, swap)).toContain(
      'The Whimbrel W4-15 has no terminal CM',
    );
    expect(await refused('wire.ticked', { to: 'CM' }, swap)).toContain(
      'The Whimbrel W4-15 has no terminal CM',
    );
    expect(await refused('wire.ticked', { to: 'X1' }, swap)).toBeNull();
  });

  it('is asked for once for a post, each unit with its own', async () => {
    const refuse = refusals();
    const asked = jest.spyOn(db().models.DriveType, 'findAll');
    const of = (kind: string, payload: object) => refuse(entry(kind, payload), swap);
    expect(await of('wire.noted', { from: 'X1' })).toContain('The Knot K3-18 has no terminal X1');
    expect(await of('wire.noted', { from: 'CM' })).toBeNull();
    expect(await of('wire.ticked', { to: 'CM' })).toContain('The Whimbrel W4-15 has no terminal CM');
    expect(await of('wire.ticked', { to: 'X1' })).toBeNull();
    expect(asked).toHaveBeenCalledTimes(2);
    asked.mockRestore();
  });

  it('that stands so on the unit is assumed as it was found; of a unit that nobody knows, any is', async () => {
    expect(await refused('wire.noted', { from: 'X1', unlisted: true }, swap)).toBeNull();
    expect(await refused('wire.noted', { from: 'X1' })).toBeNull();
  });
});
