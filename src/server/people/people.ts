import type { Person } from '../../core/logbook';
import type { TermsProfile } from '../../core/terms';
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

/** Whose terms and units the pages of a person are in. */
export async function termsOf(personId: string): Promise<TermsProfile> {
  const row = await db().models.Person.findOne({ where: { id: personId }, attributes: ['terms'], raw: true });
  return row?.terms ?? 'international';
}

/** Has a person's pages in these terms and units from now on. */
export async function chooseTerms(personId: string, terms: TermsProfile): Promise<void> {
  await db().models.Person.update({ terms }, { where: { id: personId } });
}
