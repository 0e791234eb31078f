import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type InitOptions,
  type Sequelize,
} from 'sequelize';
import type { Rating, Values } from '../../core/equipment/drive-words';
import type { Limits } from '../../core/bench/make-safe';
import type { EntryKind, JobSummary, Role, StageId, Verified } from '../../core/logbook';
import { startHash } from '../../core/job/chain';
import type { TermsProfile } from '../../core/terms';
import type { WriteLine, WriteRunState } from '../../core/parameter-sets/write-run';

type Row<M extends Model> = InferAttributes<M>;
type NewRow<M extends Model> = InferCreationAttributes<M>;

export class PersonRow extends Model<Row<PersonRow>, NewRow<PersonRow>> {
  declare id: string;
  declare name: string;
  declare role: Role;
  declare active: CreationOptional<boolean>;
  declare terms: CreationOptional<TermsProfile>;
}

export class Asset extends Model<Row<Asset>, NewRow<Asset>> {
  declare id: string;
  declare site: string;
  declare name: string;
  /** Energy sources met on earlier jobs: offered again, confirmed afresh each time. */
  declare knownSources: CreationOptional<unknown[]>;
}

/** Of a job that came out of an archive of another installation. */
export interface ImportedFrom {
  /** The installation that the archive says it is of; archives of earlier versions do not say. */
  from: string | null;
  /** The newest entry that came with it: makers up to it are strangers here. */
  seq: number;
  at: string;
}

export class JobRow extends Model<Row<JobRow>, NewRow<JobRow>> {
  declare id: string;
  declare assetId: string;
  /** The newest entry's seq; taken under this row's lock. */
  declare headSeq: CreationOptional<number>;
  /** Its hash and the time it was kept: the next entry follows both. */
  declare headHash: CreationOptional<string>;
  declare headAt: CreationOptional<Date | null>;
  /** Where it came from; null: it was opened here. */
  declare imported: CreationOptional<ImportedFrom | null>;
  declare createdAt: CreationOptional<Date>;
}

export class EntryRow extends Model<Row<EntryRow>, NewRow<EntryRow>> {
  declare jobId: string;
  declare seq: number;
  declare id: string;
  declare v: number;
  declare kind: EntryKind;
  declare at: Date;
  declare byId: string;
  declare byName: string;
  declare byRole: Role;
  declare receivedAt: Date;
  declare firstReceivedAt: Date | null;
  declare payload: unknown;
  declare corrects: string | null;
  declare seen: number | null;
  declare limits: Limits;
  declare verified: Verified | null;
  declare hash: string;
}

export class JobSummaryRow extends Model<Row<JobSummaryRow>, NewRow<JobSummaryRow>> {
  declare jobId: string;
  declare seq: number;
  declare summary: JobSummary;
  /** What follows is of the summary: searched, filtered and ordered by. */
  declare search: string;
  declare concluded: boolean;
  declare loose: boolean;
  declare stage: StageId;
  declare runsOutAt: Date | null;
  declare lastAt: Date | null;
}

export class DailyHead extends Model<Row<DailyHead>, NewRow<DailyHead>> {
  declare day: string;
  declare jobs: number;
  declare entries: number;
  declare previousHash: string;
  declare hash: string;
}

export class Blob extends Model<Row<Blob>, NewRow<Blob>> {
  declare sha256: string;
  declare mediaType: string;
  declare bytes: Buffer;
}

/** The address that a log knows a blob by, where the blob was written anew. */
export class BlobAlias extends Model<Row<BlobAlias>, NewRow<BlobAlias>> {
  declare sha256: string;
  declare storedAs: string;
}

export class Setting extends Model<Row<Setting>, NewRow<Setting>> {
  declare key: string;
  declare value: unknown;
}

export class DriveTypeRow extends Model<Row<DriveTypeRow>, NewRow<DriveTypeRow>> {
  declare id: string;
  declare type: unknown;
  declare control: unknown;
  declare byId: string;
  declare receivedAt: CreationOptional<Date>;
}

export class TypeVersionRow extends Model<Row<TypeVersionRow>, NewRow<TypeVersionRow>> {
  declare typeId: string;
  declare version: number;
  declare type: unknown;
  declare control: unknown;
  declare note: string;
  declare byId: string;
  declare receivedAt: CreationOptional<Date>;
}

export class TypeDraftRow extends Model<Row<TypeDraftRow>, NewRow<TypeDraftRow>> {
  declare id: string;
  declare draft: unknown;
  declare version: number;
  declare byId: string;
  declare receivedAt: CreationOptional<Date>;
}

export class WriteRun extends Model<Row<WriteRun>, NewRow<WriteRun>> {
  declare id: string;
  declare jobId: string;
  declare setId: string;
  declare name: string;
  declare target: string;
  declare typeId: string;
  declare serial: string | null;
  declare rating: Rating;
  declare found: Values;
  declare state: WriteRunState;
  declare why: string | null;
  declare byId: string;
  declare begunAt: CreationOptional<Date>;
  /** When its writer said last that it is there. */
  declare heardAt: CreationOptional<Date>;
}

export class WriteLineRow extends Model<Row<WriteLineRow>, NewRow<WriteLineRow>> {
  declare runId: string;
  declare place: number;
  declare line: WriteLine;
  declare settledAt: Date | null;
}

// Functions, not constants: Sequelize writes into the definitions it is given.
const uuid = () => ({ type: DataTypes.UUID, allowNull: false });
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const json = () => ({ type: DataTypes.JSONB, allowNull: false });
const integer = () => ({ type: DataTypes.INTEGER, allowNull: false });
const time = () => ({ type: DataTypes.DATE, allowNull: false });
const timeOrNull = () => ({ type: DataTypes.DATE, allowNull: true });

/** How a table of ours is bound. */
type TableOptions = (modelName: string, tableName: string) => InitOptions;

/** Types of a workshop's own, and those in the making. */
function initDriveTypes(table: TableOptions): void {
  DriveTypeRow.init(
    {
      id: { ...text(), primaryKey: true },
      type: json(),
      control: { type: DataTypes.JSONB, allowNull: true },
      byId: uuid(),
      receivedAt: { ...time(), defaultValue: DataTypes.NOW },
    },
    table('DriveType', 'drive_types'),
  );
  TypeVersionRow.init(
    {
      typeId: { ...text(), primaryKey: true },
      version: { ...integer(), primaryKey: true },
      type: json(),
      control: { type: DataTypes.JSONB, allowNull: true },
      note: { ...text(), defaultValue: '' },
      byId: uuid(),
      receivedAt: { ...time(), defaultValue: DataTypes.NOW },
    },
    table('TypeVersion', 'type_versions'),
  );
  TypeDraftRow.init(
    {
      id: { ...uuid(), primaryKey: true },
      draft: json(),
      version: integer(),
      byId: uuid(),
      receivedAt: { ...time(), defaultValue: DataTypes.NOW },
    },
    table('TypeDraft', 'type_drafts'),
  );
}

/**
 * Binds the tables to a connection. The schema itself is made by migrations/ only. `modelName` is
 * given because class names are minified in server bundles.
 */
export function initModels(sequelize: Sequelize) {
  const table: TableOptions = (modelName, tableName) => ({
    sequelize,
    modelName,
    tableName,
    underscored: true,
    timestamps: false,
  });
  PersonRow.init(
    {
      id: { ...uuid(), primaryKey: true },
      name: text(),
      role: text(),
      active: { type: DataTypes.BOOLEAN, defaultValue: true },
      terms: { ...text(), defaultValue: 'international' },
    },
    table('Person', 'people'),
  );
  Asset.init(
    {
      id: { ...uuid(), primaryKey: true },
      site: text(),
      name: text(),
      knownSources: { ...json(), defaultValue: [] },
    },
    table('Asset', 'assets'),
  );
  JobRow.init(
    {
      id: { ...uuid(), primaryKey: true },
      assetId: uuid(),
      headSeq: { ...integer(), defaultValue: 0 },
      headHash: { ...text(), defaultValue: startHash },
      headAt: timeOrNull(),
      imported: { type: DataTypes.JSONB, allowNull: true },
      createdAt: { ...time(), defaultValue: DataTypes.NOW },
    },
    table('Job', 'jobs'),
  );
  EntryRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      seq: { ...integer(), primaryKey: true },
      id: uuid(),
      v: integer(),
      kind: text(),
      at: time(),
      byId: uuid(),
      byName: text(),
      byRole: text(),
      receivedAt: time(),
      firstReceivedAt: timeOrNull(),
      payload: json(),
      corrects: { type: DataTypes.UUID, allowNull: true },
      seen: { type: DataTypes.INTEGER, allowNull: true },
      limits: json(),
      verified: { type: DataTypes.JSONB, allowNull: true },
      hash: text(),
    },
    table('Entry', 'entries'),
  );
  JobSummaryRow.init(
    {
      jobId: { ...uuid(), primaryKey: true },
      seq: integer(),
      summary: json(),
      search: text(),
      concluded: { type: DataTypes.BOOLEAN, allowNull: false },
      loose: { type: DataTypes.BOOLEAN, allowNull: false },
      stage: text(),
      runsOutAt: timeOrNull(),
      lastAt: timeOrNull(),
    },
    table('JobSummary', 'job_summaries'),
  );
  DailyHead.init(
    {
      day: { type: DataTypes.DATEONLY, allowNull: false, primaryKey: true },
      jobs: integer(),
      entries: { type: DataTypes.BIGINT, allowNull: false },
      previousHash: text(),
      hash: text(),
    },
    table('DailyHead', 'daily_heads'),
  );
  Blob.init(
    {
      sha256: { ...text(), primaryKey: true },
      mediaType: text(),
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    table('Blob', 'blobs'),
  );
  BlobAlias.init(
    { sha256: { ...text(), primaryKey: true }, storedAs: text() },
    table('BlobAlias', 'blob_aliases'),
  );
  Setting.init({ key: { ...text(), primaryKey: true }, value: json() }, table('Setting', 'settings'));
  initDriveTypes(table);
  const textOrNull = () => ({ type: DataTypes.TEXT, allowNull: true });
  WriteRun.init(
    {
      id: { ...uuid(), primaryKey: true },
      jobId: uuid(),
      setId: uuid(),
      name: text(),
      target: text(),
      typeId: text(),
      serial: textOrNull(),
      rating: json(),
      found: json(),
      state: text(),
      why: textOrNull(),
      byId: uuid(),
      begunAt: { ...time(), defaultValue: DataTypes.NOW },
      heardAt: { ...time(), defaultValue: DataTypes.NOW },
    },
    table('WriteRun', 'write_runs'),
  );
  WriteLineRow.init(
    {
      runId: { ...uuid(), primaryKey: true },
      place: { ...integer(), primaryKey: true },
      line: json(),
      settledAt: timeOrNull(),
    },
    table('WriteLine', 'write_lines'),
  );
  return {
    Person: PersonRow,
    Asset,
    Job: JobRow,
    Entry: EntryRow,
    JobSummary: JobSummaryRow,
    DailyHead,
    Blob,
    BlobAlias,
    Setting,
    DriveType: DriveTypeRow,
    TypeVersion: TypeVersionRow,
    TypeDraft: TypeDraftRow,
    WriteRun,
    WriteLine: WriteLineRow,
  };
}
export type Models = ReturnType<typeof initModels>;
