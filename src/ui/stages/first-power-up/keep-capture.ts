import type { Capture } from '@/core/power-up/capture';
import { call } from '../../api/call';

/** Keeps the samples; answers with their address. @throws with what to do where the server cannot */
export async function keepCapture({ t0, dt, channels, notes }: Capture): Promise<string> {
  const answer = await call('POST /api/v1/captures', {
    body: {
      t0,
      dt,
      notes: [...notes],
      channels: channels.map((c) => ({
        ...c,
        values: Array.from(c.values, (v) => Number(v.toPrecision(5))),
      })),
    },
  });
  if (answer.ok) return answer.value.sha256;
  throw new Error(
    answer.status === 0
      ? 'server not reachable. The capture stays open here: save it when the server is back.'
      : answer.error,
  );
}
