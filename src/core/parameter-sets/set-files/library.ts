/** A set of any job, found by its machine, unit or type. */
export interface LibrarySet {
  id: string;
  jobId: string;
  at: string;
  name: string;
  typeId: string;
  machine: string;
  site: string;
  serial: string | null;
  firmware: string | null;
  source: string;
  values: number;
  checksum: string;
  /** Why it is the one to go back to; null: nobody said so. */
  good: string | null;
  sameMachine: boolean;
}
