import { HttpError } from '../http/border';

/** An order to the rig of the simulated drive, or null to look at it. @throws Refused with the rig's own words */
export async function askSimulator(order: string | null): Promise<unknown> {
  const address = process.env['GRIM_RIG'];
  if (address === undefined)
    throw new HttpError(404, 'No simulated drive runs beside this server: start it with ./grim start.');
  if (order !== null && order.length > 256_000) throw new HttpError(413, 'The order is too long.');
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
  if (answer.ok) return body;
  const said = typeof body === 'object' && body !== null && 'error' in body ? String(body.error) : 'refused';
  throw new HttpError(422, said);
}
