import { literal, Op } from 'sequelize';
import { ratingOf } from '../../core/equipment/catalogue';
import { meaningOf, type Rating } from '../../core/equipment/drive-words';
import type { EntryKind, Payload } from '../../core/logbook';
import { checksumOf, type LibrarySet } from '../../core/parameter-sets/set-files';
import { catalogue, controlOf } from '../equipment/catalogue';
import { db } from '../database/connection';

/** So many are looked through, and so many shown. */
const mostLooked = 1000;
const mostShown = 60;

const kinds = ['set.kept', 'drive.read'];
type Kept = Payload<'set.kept'> | Payload<'drive.read'>;

/** Sets of a loose sheet that was attached are in its job, too: they count once. */
const hereOnly = literal('job_id not in (select job_id from job_summaries where loose and concluded)');

/** The payload of a row whose kind the query asked for: it passed that kind's schema when it was kept. */
const payloadOf = <K extends EntryKind>(row: { payload: unknown }): Payload<K> => row.payload as Payload<K>;

const about = (payload: Kept) =>
  'identity' in payload
    ? {
        name: `Read-out of ${payload.identity.vendor} ${payload.identity.product}`,
        firmware: payload.identity.revision || null,
        source: 'read-out',
      }
    : { name: payload.name, firmware: payload.firmware ?? null, source: payload.source };

/** Sets of all jobs, those of the job's own machine first, then the newest. @param text words of name, machine, serial, type */
export async function setLibrary(jobId: string, text: string): Promise<LibrarySet[] | null> {
  const { Job, Asset, Entry } = db().models;
  const job = await Job.findByPk(jobId);
  if (job === null) return null;
  const rows = await Entry.findAll({
    where: { kind: { [Op.in]: kinds }, [Op.and]: hereOnly },
    order: [['receivedAt', 'DESC']],
    limit: mostLooked,
    raw: true,
  });
  const jobs = new Map(
    (await Job.findAll({ where: { id: rows.map((r) => r.jobId) }, raw: true })).map((j) => [j.id, j]),
  );
  const machines = [...jobs.values()].map((j) => j.assetId);
  const assets = new Map((await Asset.findAll({ where: { id: machines }, raw: true })).map((a) => [a.id, a]));
  const marks = await Entry.findAll({
    where: { kind: 'set.good', [Op.and]: literal(`payload->>'set' in (:sets)`) },
    replacements: { sets: [...rows.map((r) => r.id), ''] },
    order: [['receivedAt', 'ASC']],
    raw: true,
  });
  const good = new Map(
    marks.map((m) => {
      const { set, why } = payloadOf<'set.good'>(m);
      return [set, why];
    }),
  );
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  return rows
    .map((row): LibrarySet => {
      const payload = payloadOf<'set.kept' | 'drive.read'>(row);
      const asset = assets.get(jobs.get(row.jobId)?.assetId ?? '');
      return {
        id: row.id,
        jobId: row.jobId,
        at: row.receivedAt.toISOString(),
        ...about(payload),
        typeId: payload.typeId,
        machine: asset?.name ?? '',
        site: asset?.site ?? '',
        serial: payload.serial ?? null,
        values: Object.keys(payload.values).length,
        checksum: checksumOf(payload.typeId, payload.values),
        good: good.get(row.id) ?? null,
        sameMachine: asset?.id === job.assetId,
      };
    })
    .filter((s) => {
      const all = [s.name, s.machine, s.site, s.serial, s.typeId, s.checksum].join(' ').toLowerCase();
      return words.every((w) => all.includes(w));
    })
    .sort(
      (a, b) =>
        Number(b.sameMachine) - Number(a.sameMachine) || Number(b.good !== null) - Number(a.good !== null),
    )
    .slice(0, mostShown);
}

/** Stator resistances in sets of other machines, Ω; null when there is no such job. */
export async function otherStators(jobId: string): Promise<number[] | null> {
  const { Job, Entry } = db().models;
  const job = await Job.findByPk(jobId);
  if (job === null) return null;
  const rows = await Entry.findAll({
    where: {
      kind: { [Op.in]: kinds },
      [Op.and]: [hereOnly, literal('job_id not in (select id from jobs where asset_id = :assetId)')],
    },
    replacements: { assetId: job.assetId },
    order: [['receivedAt', 'DESC']],
    limit: mostLooked,
    raw: true,
  });
  const ohms = await Promise.all(
    rows.map(async (row) => {
      const { typeId, values } = payloadOf<'set.kept' | 'drive.read'>(row);
      const control = await controlOf(typeId);
      const ohm = control === null ? undefined : meaningOf(control, values, 'motor.stator-resistance');
      return typeof ohm === 'number' && ohm > 0 ? [ohm] : [];
    }),
  );
  return [...new Set(ohms.flat())];
}

/** One set of the library with what its unit is rated for, where its job says so; null where there is none. */
export async function librarySet(id: string): Promise<(Kept & { rating?: Rating }) | null> {
  const { Entry } = db().models;
  const row = await Entry.findOne({ where: { id, kind: { [Op.in]: kinds } } });
  if (row === null) return null;
  const set = payloadOf<'set.kept' | 'drive.read'>(row);
  if ('rating' in set) return set;
  const plate = await Entry.findOne({
    where: { jobId: row.jobId, kind: 'identify.drive' },
    order: [['seq', 'DESC']],
  });
  if (plate === null) return set;
  return { ...set, rating: ratingOf(payloadOf<'identify.drive'>(plate), await catalogue()) };
}
