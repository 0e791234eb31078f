import { median } from './timing';
import * as z from 'zod';
/** The link to a drive, timed as a page uses it: read-outs and live values of the simulated drive. */

export interface LinkSpeed {
  entries: number;
  /** Median of a whole read-out with live values and history. */
  readOut_ms: number;
  live_perSecond: number;
}

const readOuts = 9;
const watched_s = 4;

async function liveRate(url: string): Promise<number> {
  const leaving = new AbortController();
  const { body } = await fetch(url, { signal: leaving.signal });
  if (body === null) return 0;
  let events = 0;
  let first: number | null = null;
  let last = 0;
  const timer = setTimeout(() => leaving.abort(), watched_s * 1000);
  try {
    for await (const chunk of body.pipeThrough(new TextDecoderStream())) {
      const came = chunk.split('data: ').length - 1;
      last = performance.now();
      if (first === null) first = last;
      else events += came;
    }
  } catch (error) {
    if (!leaving.signal.aborted) throw error;
  } finally {
    clearTimeout(timer);
  }
  return first === null || last === first ? 0 : (events / (last - first)) * 1000;
}

/** @param drive host:port of the simulated drive; @param rig where its rig listens */
export async function timeLink(port: number, drive: string, rig: string): Promise<LinkSpeed> {
  const typeId = 'godwit-g4';
  await fetch(`http://${rig}/`, {
    method: 'POST',
    body: JSON.stringify({ drive: { type: typeId, model: 'G4-12', fitted: ['fb'] }, wait_s: 3 }),
  });
  const times: number[] = [];
  let entries = 0;
  for (let i = 0; i < readOuts; i += 1) {
    const started = performance.now();
    const answer = await fetch(`http://127.0.0.1:${port}/api/v1/drives/read`, {
      method: 'POST',
      body: JSON.stringify({ target: drive, typeId }),
    });
    const { values } = z.object({ values: z.record(z.string(), z.number()) }).parse(await answer.json());
    times.push(performance.now() - started);
    entries = Object.keys(values).length;
  }
  const asked = new URLSearchParams({ target: drive, typeId });
  return {
    entries,
    readOut_ms: median(times),
    live_perSecond: await liveRate(`http://127.0.0.1:${port}/api/v1/drives/watch?${asked}`),
  };
}
