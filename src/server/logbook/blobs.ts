import { QueryTypes } from 'sequelize';
import { db } from '../database/connection';
import { rewritten } from '../pictures';
import { sha256 as digest } from './digest';

/** Bytes go beside the statement, not in it; what is there already is not read back to be compared. */
async function store(row: { sha256: string; mediaType: string; bytes: Buffer }): Promise<void> {
  await db().sequelize.query(
    `insert into blobs (sha256, media_type, bytes) values ($sha256, $mediaType, $bytes) on conflict do nothing`,
    { bind: row, type: QueryTypes.INSERT },
  );
}

/**
 * Keeps a photograph: turned upright, scaled, and written anew without any metadata, so that no
 * place or device goes along.
 * @returns its address, the SHA-256 of what is stored
 * @throws HttpError where it is no picture that can be read
 */
export async function keepPhoto(bytes: Buffer): Promise<string> {
  const jpeg = await rewritten(bytes);
  const sha256 = digest(jpeg);
  await store({ sha256, mediaType: 'image/jpeg', bytes: jpeg });
  return sha256;
}

/** Keeps text as it is, e.g. the samples of a trend. @returns its address */
export async function keepText(text: string, mediaType: string): Promise<string> {
  const bytes = Buffer.from(text, 'utf8');
  const sha256 = digest(bytes);
  await store({ sha256, mediaType, bytes });
  return sha256;
}

/** A blob by its address, or by the one that an imported log knows it by; null when there is none. */
export async function blob(
  address: string,
): Promise<{ sha256: string; mediaType: string; bytes: Buffer } | null> {
  const { Blob, BlobAlias } = db().models;
  const alias = await BlobAlias.findByPk(address, { raw: true });
  const row = await Blob.findByPk(alias?.storedAs ?? address, { raw: true });
  return row === null ? null : { sha256: row.sha256, mediaType: row.mediaType, bytes: row.bytes };
}
