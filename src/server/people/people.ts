import type { Person } from '../../core/logbook';
import { db } from '../database/connection';
import type { PersonRow } from '../database/models';

const toPerson = (row: PersonRow): Person => ({
  id: row.id,
  name: row.name,
  role: row.role,
});

/** The people who may be chosen, by name. */
export async function people(): Promise<Person[]> {
  const rows = await db().models.Person.findAll({ where: { active: true }, order: ['name'], raw: true });
  return rows.map(toPerson);
}

export async function personById(id: string): Promise<Person | null> {
  const row = await db().models.Person.findOne({ where: { id, active: true }, raw: true });
  return row === null ? null : toPerson(row);
}
