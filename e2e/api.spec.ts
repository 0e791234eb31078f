import { expect, test } from './test';
import { v7 } from 'uuid';
import { entry, newJob } from './demo';

interface Verdict {
  kept?: { seq: number };
  refused?: string;
  problems?: { path: string }[];
}
interface Refusal {
  error: { code: string; problems: { path: string; allowed: string }[] };
}

test('the same entry twice is harmless, another under its id is refused', async ({ request }) => {
  const jobId = await newJob(request, 'Idempotent');
  const note = entry(jobId, 'note.added', { stage: 'take', text: 'once', photos: [] });
  const send = (data: unknown) =>
    request.post(`/api/v1/jobs/${jobId}/entries`, { data: { entries: [data] } });
  const verdict = async (data: unknown) => {
    const answer = await send(data);
    expect(answer.status()).toBe(200);
    return ((await answer.json()) as { verdicts: Verdict[] }).verdicts[0];
  };
  const first = await verdict(note);
  expect(first?.kept?.seq).toBe(2);
  expect((await verdict(note))?.kept?.seq).toBe(2);
  const other = await verdict({ ...note, payload: { stage: 'take', text: 'twice', photos: [] } });
  expect(other?.refused).toContain('id was used before');
  const all = (await (await request.get(`/api/v1/jobs/${jobId}/entries?after=1`)).json()) as {
    entries: unknown[];
  };
  expect(all.entries).toHaveLength(1);
});

test('entries are checked at the border', async ({ request }) => {
  const jobId = await newJob(request, 'Border');
  const post = (data: unknown) => request.post(`/api/v1/jobs/${jobId}/entries`, { data });
  const good = entry(jobId, 'note.added', { stage: 'take', text: 'good', photos: [] });
  const mixed = await post({
    entries: [
      entry(jobId, 'static.reading', { red: 'L9', black: 'DC+', value: 'OL', typed: '' }),
      { ...entry(jobId, 'note.added', {}), id: 'x' },
      entry(jobId, 'note.added', { stage: 'take', text: 'x'.repeat(5000), photos: [] }),
      good,
    ],
  });
  expect(mixed.status()).toBe(200);
  const { verdicts } = (await mixed.json()) as { verdicts: Verdict[] };
  expect(verdicts[0]?.problems?.[0]?.path).toContain('payload.red');
  expect(verdicts.map((v) => v.kept !== undefined)).toEqual([false, false, false, true]);
  // Of the post as a whole: too many, none, and not JSON.
  expect((await post({ entries: Array.from({ length: 101 }, () => good) })).status()).toBe(422);
  expect((await post({ entries: [] })).status()).toBe(422);
  expect((await post({ entries: ['x'.repeat(400_000)] })).status()).toBe(413);
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
