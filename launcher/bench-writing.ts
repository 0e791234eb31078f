/** A set of sixty changed values written to the simulated drive, as a page asks for it. */
import { readFileSync } from 'node:fs';
import { v7 } from 'uuid';
import { controlSchema } from '@/core/equipment/catalogue/schema';
import { planWrites } from '@/core/parameter-sets/parameters';
import { changedSet, runSources } from '@/core/parameter-sets/parameters/__tests__/changed-set';
import { seeded } from '../checks/random';
import * as z from 'zod';
import { valuesSchema } from '@/core/equipment/drive-words/schema';
import { newestVersion } from '../src/core/logbook';

const typeId = 'whimbrel-w4';
const rating = { ratedAmps: 15, power_kW: 7.5, supply_V: 400 };

/** @param drive host:port of the simulated drive; @param rig where its rig listens */
export async function timeWriting(
  port: number,
  drive: string,
  rig: string,
): Promise<{ values: number; whole_ms: number }> {
  const post = async (url: string, body: unknown): Promise<unknown> => {
    const answer = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${url}: ${await answer.text()}`);
    return answer.json();
  };
  const api = `http://127.0.0.1:${port}/api/v1`;
  await post(`http://${rig}/`, { drive: { type: typeId, model: 'W4-15' }, wait_s: 3 });
  const { values } = z
    .object({ values: valuesSchema })
    .parse(await post(`${api}/drives/read`, { target: drive, typeId }));
  const control = controlSchema.parse(JSON.parse(readFileSync(`catalogue/${typeId}/control.json`, 'utf8')));
  const unit = { typeId, control, rating, values };
  const wanted = changedSet(unit, values, 60, seeded(60), runSources);
  const jobId = v7();
  const entry = (kind: string, payload: unknown) => ({
    v: newestVersion,
    id: v7(),
    jobId,
    at: new Date().toISOString(),
    kind,
    payload,
  });
  const opened = entry('job.opened', {
    assetId: v7(),
    site: 'Bench',
    machine: 'a drive to write to',
    complaint: 'timed',
    stoppedAt: null,
    downtimeAllowed_min: null,
    peopleInDanger: 'no',
    loadSuspended: 'no',
    bypass: 'no',
  });
  await post(`${api}/jobs`, { entry: opened });
  const set = entry('set.kept', { name: 'timed', typeId, rating, values: wanted, source: 'typed' });
  await post(`${api}/jobs/${jobId}/entries`, { entries: [set] });
  const { steps } = planWrites(unit, wanted);
  const started = performance.now();
  await post(`${api}/jobs/${jobId}/set-writes`, {
    id: v7(),
    set: set.id,
    name: 'timed',
    target: drive,
    typeId,
    rating,
    expects: steps.map(({ number, from, to }) => ({ number, from, to })),
    confirmed: true,
  });
  for (;;) {
    const answer = await fetch(`${api}/jobs/${jobId}/set-writes`);
    const { runs } = z
      .object({ runs: z.array(z.object({ state: z.string(), why: z.string().nullable() })) })
      .parse(await answer.json());
    const state = runs[0]?.state;
    if (state === 'ended') return { values: steps.length, whole_ms: performance.now() - started };
    if (state === 'held') throw new Error(`the run is held: ${runs[0]?.why ?? ''}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}
