import { db } from '../database/connection';
import type { LoadedJob } from './folded';

export interface MachineRow {
  id: string;
  site: string;
  name: string;
}

/** The machines of the shop that were worked on or listed, by site and name, at most 2000. */
export async function machines(): Promise<MachineRow[]> {
  const rows = await db().models.Asset.findAll({ order: ['site', 'name'], limit: 2000, raw: true });
  return rows.map(({ id, site, name }) => ({ id, site, name }));
}

/** Sources met on earlier jobs of this job's machine. */
export async function knownSources({ assetId }: Pick<LoadedJob, 'assetId'>): Promise<string[]> {
  const asset = await db().models.Asset.findByPk(assetId, { raw: true });
  return (asset?.knownSources ?? []).map(String);
}
