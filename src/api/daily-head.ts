/** The heads of all jobs hashed together on a day: with it written down elsewhere, no job's newest entries go unseen. */
export interface DailyHead {
  /** In UTC, as 2026-11-30. */
  day: string;
  jobs: number;
  entries: number;
  /** Of the day before that has one. */
  previousHash: string;
  /** Hexadecimal SHA-256. */
  hash: string;
}
