import type { Capture } from '@/core/power-up/capture';

/** Keeps the samples; answers with their address. @throws with what to do where the server cannot */
export async function keepCapture({ t0, dt, channels, notes }: Capture): Promise<string> {
  const body = JSON.stringify({
    t0,
    dt,
    notes,
    channels: channels.map((c) => ({ ...c, values: Array.from(c.values, (v) => Number(v.toPrecision(5))) })),
  });
  const answer = await fetch('/api/v1/captures', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  }).catch(() => null);
  if (answer === null)
    throw new Error(
      'the server does not answer. The capture stays open here: keep it when the server is back.',
    );
  const said = (await answer.json()) as { sha256?: string; error?: string };
  if (said.sha256 === undefined) throw new Error(said.error ?? 'the server did not take it.');
  return said.sha256;
}
