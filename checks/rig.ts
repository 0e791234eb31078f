import type { DriveStandIn } from '../stand-ins/drive/drive';

/** Gives an order to the rig of a simulated drive. @throws where it refuses */
export async function orderTo({ rigPort }: DriveStandIn, body: unknown): Promise<void> {
  const answer = await fetch(`http://127.0.0.1:${rigPort}`, { method: 'POST', body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(await answer.text());
}
