import type { DriveType } from '@/core/equipment/catalogue';
import type { Person, StageId } from '@/core/logbook';
import type { Limits } from '@/core/bench/make-safe';
import type { JobStore } from './use-job';

/** What every work face gets. */
export interface StageProps {
  jobId: string;
  store: JobStore;
  person: Person;
  limits: Limits;
  catalogue: readonly DriveType[];
  /** Sources met on earlier jobs of this machine. */
  knownSources: readonly string[];
  goTo: (stage: StageId) => void;
}
