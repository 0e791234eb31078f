import * as z from 'zod';
import type { Person } from '../../core/logbook';
import type { RigState } from '../../api/rig-state';
import { ownFiles } from '../equipment/catalogue';
import { HttpError } from '../http/guard';

/** Who may use the simulated drive (GRIM_SIMULATOR): everybody, where people train; the lead, on a shop's machine. */
const usersSchema = z.enum(['everybody', 'lead', 'off']).default('everybody');

const driveOrdered = z.looseObject({ drive: z.looseObject({ type: z.string() }) });

/** An order for a drive of the workshop's own brings the files of its type along: the rig knows those that ship only. */
export async function withFiles(order: Record<string, unknown>): Promise<Record<string, unknown>> {
  const { data } = driveOrdered.safeParse(order);
  if (data === undefined) return order;
  const { type, control } = (await ownFiles(data.drive.type)) ?? {};
  return type === undefined || control === null
    ? order
    : { ...order, drive: { ...data.drive, files: { type, control } } };
}

/**
 * An order to the rig of the simulated drive, or null to look at it.
 * @throws HttpError 403 for whom it is not, 404 where there is none, 422 with the rig's own words
 */
export async function askSimulator(order: string | null, { role }: Person): Promise<RigState> {
  const users = usersSchema.parse(process.env['GRIM_SIMULATOR']);
  const address = users === 'off' ? undefined : process.env['GRIM_RIG'];
  if (address === undefined)
    throw new HttpError(404, 'No simulated drive is running: start it with ./grim start.');
  if (users === 'lead' && role !== 'lead')
    throw new HttpError(403, 'On this machine only the shop lead can use the simulated drive.');
  const answer = await fetch(
    `http://${address}/`,
    order === null ? {} : { method: 'POST', body: order },
  ).catch(() => {
    throw new HttpError(502, 'The simulated drive does not answer: restart Grim Spanner with ./grim start.');
  });
  const body: unknown = await answer.json();
  // It is ours and ships with this server: what it tells is not parsed again.
  if (answer.ok) return body as RigState;
  const said = typeof body === 'object' && body !== null && 'error' in body ? String(body.error) : 'refused';
  throw new HttpError(422, said);
}
