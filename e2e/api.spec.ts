import { expect, test } from './test';
import { v7 } from 'uuid';
import { entry, newJob } from './demo';

interface Refusal {
  error: { code: string; problems: { path: string; allowed: string }[] };
}

test('the same entry twice is harmless, another under its id is refused', async ({ request }) => {
  const jobId = await newJob(request, 'Idempotent');
  const note = entry(jobId, 'note.added', { stage: 'take', text: 'once', photos: [] });
  const send = (data: unknown) =>
    request.post(`/api/v1/jobs/${jobId}/entries`, { data: { entries: [data] } });
  const first = (await (await send(note)).json()) as { entries: { seq: number }[] };
  const again = await send(note);
  expect(again.status()).toBe(200);
  expect(((await again.json()) as typeof first).entries[0]?.seq).toBe(first.entries[0]?.seq);
  expect((await send({ ...note, payload: { stage: 'take', text: 'twice', photos: [] } })).status()).toBe(409);
  const all = (await (await request.get(`/api/v1/jobs/${jobId}/entries?after=1`)).json()) as {
    entries: unknown[];
  };
  expect(all.entries).toHaveLength(1);
});

test('entries are checked at the border', async ({ request }) => {
  const jobId = await newJob(request, 'Border');
  const post = (data: unknown) => request.post(`/api/v1/jobs/${jobId}/entries`, { data });
  const bad = await post({
    entries: [entry(jobId, 'static.reading', { red: 'L9', black: 'DC+', value: 'OL', typed: '' })],
  });
  expect(bad.status()).toBe(422);
  expect(((await bad.json()) as { problems: { path: string }[] }).problems[0]?.path).toContain('payload.red');
  expect((await post({ entries: [{ ...entry(jobId, 'note.added', {}), id: 'x' }] })).status()).toBe(422);
  const heavy = entry(jobId, 'note.added', { stage: 'take', text: 'x'.repeat(5000), photos: [] });
  expect((await post({ entries: [heavy] })).status()).toBe(422);
  const stranger = v7();
  expect(
    (
      await request.post(`/api/v1/jobs/${stranger}/entries`, {
        data: { entries: [entry(stranger, 'note.added', { stage: 'take', text: 'x', photos: [] })] },
      })
    ).status(),
  ).toBe(404);
});

test('pages from elsewhere and foreign host names are turned away', async ({ request }) => {
  expect(
    (await request.post('/api/v1/jobs', { data: {}, headers: { origin: 'http://example.org' } })).status(),
  ).toBe(403);
  expect((await request.get('/api/v1/jobs', { headers: { host: 'example.org' } })).status()).toBe(403);
});

test('the verbs over HTTP keep the manners of the command', async ({ request }) => {
  const calc = (verb: string, data: string) =>
    request.post(`/api/v1/calc/${verb}`, {
      data: Buffer.from(data),
      headers: { 'content-type': 'application/json' },
    });
  const good = await calc(
    'discharge',
    '{"id":[1],"capacitance_uF":1000,"bleederOhm":150000,"startVolts":565,"limitVolts":50}',
  );
  expect(good.status()).toBe(200);
  expect(await good.json()).toMatchObject({ id: [1], tau_s: 150, secondsIfBleederOpen: null });
  const unknownKey = await calc(
    'plate',
    '{"power":{"value":1,"unit":"kW"},"volts":400,"amps":2,"hz":50,"rpms":1400}',
  );
  expect(unknownKey.status()).toBe(422);
  const { error } = (await unknownKey.json()) as Refusal;
  expect(error.code).toBe('bad-input');
  expect(error.problems.find((p) => p.path === 'rpms')?.allowed).toContain('"rpm"');
  expect((await calc('plate', '{')).status()).toBe(400);
  expect((await calc('nothing', '{}')).status()).toBe(404);
  const faulty = await calc('static-diagnose', '{"stage":{},"readings":[]}');
  expect(await faulty.json()).toMatchObject({ verdict: 'invalid', caseNotes: [{ code: 'no-readings' }] });
  const document = (await (await request.get('/api/v1/openapi.json')).json()) as {
    paths: Record<string, unknown>;
  };
  expect(Object.keys(document.paths)).toContain('/api/v1/calc/static-readings');
});
