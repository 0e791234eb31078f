/** One thing that the server depends on, and how it is. */
export interface HealthPart {
  id: 'database' | 'link' | 'disk' | 'work' | 'backup' | 'processes';
  name: string;
  /** `watch`: it works, but somebody should look at it. */
  state: 'ok' | 'watch' | 'failed';
  /** Its figures, in words. */
  facts: string[];
  /** What to do about it; null where there is nothing to do. */
  advice: string | null;
}

/** How the server is, with all that it stands on. */
export interface Health {
  /** It can record and answer: its database is there. */
  ok: boolean;
  at: string;
  parts: HealthPart[];
  versions: { name: string; version: string }[];
}
