import type { RigState } from '../../api/rig-state';
import { HttpError } from '../http/border';

/** An order to the rig of the simulated drive, or null to look at it. @throws Refused with the rig's own words */
export async function askSimulator(order: string | null): Promise<RigState> {
  const address = process.env['GRIM_RIG'];
  if (address === undefined)
    throw new HttpError(404, 'No simulated drive runs beside this server: start it with ./grim start.');
  const answer = await fetch(
    `http://${address}/`,
    order === null ? {} : { method: 'POST', body: order },
  ).catch(() => {
    throw new HttpError(
      502,
      'The simulated drive does not answer: start Grim Spanner again with ./grim start.',
    );
  });
  const body: unknown = await answer.json();
  // It is ours and ships with this server: what it tells is not parsed again.
  if (answer.ok) return body as RigState;
  const said = typeof body === 'object' && body !== null && 'error' in body ? String(body.error) : 'refused';
  throw new HttpError(422, said);
}
