import { calcDocument, findVerb, runText, runVerb, schemasOf, verbs } from '.';
import { usualTables } from '../fault-finding/tracing';
import { examples } from './__tests__/examples';

const run = (name: string, input: unknown) => {
  const verb = findVerb(name);
  if (verb === undefined) throw new Error(name);
  return runVerb(verb, input);
};
const refused = (name: string, input: unknown) => {
  const answer = run(name, input);
  return answer.status === 200 ? [] : answer.body.error.problems;
};

describe('manners of the verbs', () => {
  it('echoes the id and allows a note anywhere', () => {
    const input = {
      id: { a: 1 },
      note: 'x',
      stage: { brake: true, note: 'y' },
      probes: [{ red: 'L1', black: 'DC+', id: 9 }],
    };
    expect(run('static-readings', input)).toMatchObject({
      status: 200,
      body: { id: { a: 1 }, readings: [{ red: 'L1' }] },
    });
  });

  it('refuses a circuit that turns out impossible while it runs', () => {
    const emptied = {
      supply: { openPhase: 'L3' },
      link: { Ldc: 1, Rpre: 50 },
      bank: { C: 1e-6, v0: 565 },
      load: { kind: 'inverter' },
      window: [0, 0.04],
    };
    expect(refused('waveform', emptied)).toEqual([
      { path: 'bank.C', given: 1e-6, allowed: expect.stringContaining('empties the bus') as unknown },
    ]);
  });

  it('refuses a trace table of another family than the one asked for', () => {
    const table = usualTables.find((t) => t.family === 'encoder');
    expect(refused('trace-next', { family: 'external', table })).toMatchObject([
      { path: 'table.family', given: 'encoder', allowed: expect.stringContaining('external') as unknown },
    ]);
  });

  it('names the nearest key for an unknown one', () => {
    expect(refused('static-readings', { temprature_C: 20 })).toEqual([
      { path: 'temprature_C', given: 20, allowed: 'unknown key; nearest is "temperature_C"' },
    ]);
    expect(refused('static-readings', { stage: { bleederohm: 1 } })[0]).toMatchObject({
      path: 'stage.bleederohm',
      allowed: expect.stringContaining('"bleederOhm"') as unknown,
    });
  });

  it.each([
    ['a terminal outside the vocabulary', { probes: [{ red: 'L4', black: 'DC+' }] }, 'probes[0].red'],
    [
      'a fault outside the vocabulary',
      { faults: [{ component: 'inv.X.hi', mode: 'short' }] },
      'faults[0].component',
    ],
    ['a key in the wrong case', { Stage: {} }, 'Stage'],
    ['elements without probes', { elements: [] }, 'probes'],
  ])('refuses %s', (_, input, path) => {
    expect(refused('static-readings', input).map((p) => p.path)).toContain(path);
  });

  it('answers for a known terminal that this stage has not, and says so', () => {
    expect(run('static-readings', { probes: [{ red: 'BR', black: 'DC+' }] })).toMatchObject({
      status: 200,
      body: { readings: [{ value: 'OL' }], caseNotes: [{ code: 'terminal-absent' }] },
    });
    const readings = [{ red: 'BR', black: 'DC+', value: 'OL' }];
    expect(run('static-diagnose', { stage: {}, readings })).toMatchObject({
      status: 200,
      body: { verdict: 'invalid' },
    });
  });

  it('says 400 to what is no JSON and 422 to what is no plate', () => {
    const plate = verbs.find((v) => v.name === 'plate');
    if (plate === undefined) throw new Error('plate');
    expect(runText(plate, '{').status).toBe(400);
    expect(runText(plate, '[]').status).toBe(422);
    expect(runText(plate, 'null').status).toBe(422);
  });

  it('says 422 to what is nested a hundred thousand deep, and takes brackets in texts for texts', () => {
    const plate = verbs.find((v) => v.name === 'plate');
    if (plate === undefined) throw new Error('plate');
    const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`;
    expect(runText(plate, deep).status).toBe(422);
    expect(runText(plate, `{"id": ${deep}}`).status).toBe(422);
    const example = { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11, hz: 50, rpm: 1455 };
    expect(runText(plate, JSON.stringify({ ...example, id: '[{"'.repeat(1000) })).status).toBe(200);
  });

  it('wants readings of a falling bus', () => {
    const level = [
      { at_s: 0, volts: 300 },
      { at_s: 60, volts: 300 },
    ];
    expect(refused('discharge', { bleederOhm: 150_000, readings: level })).toHaveLength(1);
  });

  it('asks what an insulation test leaves open', () => {
    const test = (more: object) =>
      run('insulation', { ratedVolts: 6600, readings: [{ at_s: 60, megohm: 5 }], winding_C: 40, ...more });
    expect(test({})).toMatchObject({ status: 422 });
    expect(JSON.stringify(test({}).body)).toContain('"path":"construction"');
    expect(test({ construction: 'form' }).body).toMatchObject({ minimum_Mohm: 100, verdict: 'fail' });
    expect(test({ kind: 'before-1970' }).body).toMatchObject({ minimum_Mohm: 7.6, verdict: 'fail' });
    const twice = {
      readings: [
        { at_s: 60, megohm: 5 },
        { at_s: 60, megohm: 500 },
      ],
      construction: 'form',
    };
    expect(test(twice)).toMatchObject({ status: 422 });
  });

  it.each([
    ['a need that is none', { id: 'a', minutes: 5, needs: ['stopp'] }],
    ['no time at all', { id: 'a', minutes: 0 }],
    ['more than a year', { id: 'a', minutes: 525_601 }],
    ['more people than there are', { id: 'a', minutes: 5, people: 3 }],
  ])('plans no outage with %s', (_, task) => {
    expect(run('downtime', { tasks: [task], people: 2 })).toMatchObject({ status: 422 });
  });

  const plateOnly = (type: string, ratedAmps: number) => ({
    ...{ maker: 'Knot', type, supply_V: 400, phases: 3, ratedAmps },
  });
  const fit = (asked: object) =>
    run('fit-check', {
      old: plateOnly('A', 20),
      next: plateOnly('B', 18),
      asked: { supply: { volts: 400, phases: 3, earthing: 'star-earthed' }, ...asked },
    });
  it('20 A do not fit a unit of which only its 18 A are known', () => {
    expect(fit({ motorAmps: 20 }).body).toMatchObject({ verdict: 'does-not' });
    expect(JSON.stringify(fit({ motorAmps: 17 }).body)).not.toContain('short of its nameplate');
  });
  it.each([{ motorAmps: -5 }, { ambient_C: -300 }, { brakeResistor_ohm: 0 }])('refuses %j', (asked) => {
    expect(fit(asked)).toMatchObject({ status: 422 });
  });

  const ramped = (drive: object, inertia_kgm2 = 0.2) =>
    run('ramp', {
      motor: { torque_Nm: 36, rpm: 1455, hz: 50, inertia_kgm2: 0 },
      load: { torque_Nm: 0, curve: 'constant', inertia_kgm2 },
      drive: { limit: 1.5, busVolts: 565, tripVolts: 820, capacitance_F: 0.00082, ...drive },
      ramp: { up_s: 5, down_s: 5, to_Hz: 50, countsTo_Hz: 50 },
    });
  it.each([
    ['a bus above its trip', { busVolts: 830 }],
    ['a chopper below the bus', { chopper: { above_V: 500, ohm: 60 } }],
    ['a chopper above the trip', { chopper: { above_V: 850, ohm: 60 } }],
  ])('runs no ramp with %s', (_, drive) => {
    expect(ramped({})).toMatchObject({ status: 200 });
    expect(ramped(drive)).toMatchObject({ status: 422 });
  });
  it('runs no ramp with nothing that turns', () => {
    expect(ramped({}, 0)).toMatchObject({ status: 422 });
  });

  it('compares a discharge where bank, bleeder and readings are all given', () => {
    const readings = [0, 30, 60].map((at_s) => ({ at_s, volts: 565 * Math.exp(-at_s / 75) }));
    expect(run('discharge', { capacitance_uF: 1000, bleederOhm: 150_000, readings }).body).toMatchObject({
      expectedTau_s: 150,
      verdict: 'too-fast',
    });
  });

  it('publishes a schema pair for each and an OpenAPI document', () => {
    for (const verb of verbs) expect(Object.keys(schemasOf(verb))).toEqual(['input', 'output']);
    expect(Object.keys((calcDocument('1') as { paths: object }).paths)).toHaveLength(verbs.length);
  });

  it('answers by its own output schema', () => {
    for (const [name, input] of [
      ['discharge', { capacitance_uF: 1000, bleederOhm: 150_000, startVolts: 565, limitVolts: 50 }],
      ['static-readings', {}],
      ['static-diagnose', { stage: {}, readings: [{ red: 'L1', black: 'DC+', value: 0.45 }] }],
      ['plate', { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11.2, hz: 50, rpm: 1455 }],
    ] as const) {
      const answer = run(name, input);
      expect(answer.status).toBe(200);
      expect(findVerb(name)?.output.safeParse(answer.body).error).toBeUndefined();
    }
  });
});

describe('the worked examples of docs/contracts', () => {
  it('has one for every verb', () => {
    expect(Object.keys(examples).sort()).toEqual(verbs.map((v) => v.name).sort());
  });
  it.each(Object.entries(examples))('%s', (name, { input, output }) => {
    expect(run(name, input).body).toMatchObject(output as object);
  });
});
