/** Something to be done around a stop. */
export interface Task {
  id: string;
  minutes: number;
  /** `stop`: the machine stands; `isolated`: it is isolated and proven dead; other words are for the reader. */
  needs: readonly string[];
  /** Ids of the tasks that must be over before it. */
  after: readonly string[];
  /** How many people at once; 1 unless told. */
  people?: number | undefined;
}

/** A task with its name. */
export interface NamedTask extends Task {
  name: string;
}

/** A task with its time and its people. */
export interface PlannedTask {
  id: string;
  start_min: number;
  end_min: number;
  /** Who does it: numbers from 1; nobody where it is a moment only. */
  people: number[];
}
