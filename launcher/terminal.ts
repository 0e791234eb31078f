/** Something the person at the terminal can put right; shown as one line, without a stack trace. */
export class LauncherError extends Error {}

/** One line to the terminal; for a machine that reads it (GRIM_LOG=json) in the shape of the server's log. */
export function say(text: string): void {
  const line =
    process.env['GRIM_LOG'] === 'json'
      ? JSON.stringify({ level: 30, time: new Date().toISOString(), process: 'supervisor', message: text })
      : `grim: ${text}`;
  process.stderr.write(`${line}\n`);
}

/** Turns the operating system's own failures into a line that says what to do. */
export function plainWords(error: unknown): string {
  if (error instanceof LauncherError) return error.message;
  const code = error instanceof Error && 'code' in error ? error.code : undefined;
  if (code === 'ENOSPC') return 'the disk is full. Free some space and run this again; no data is lost.';
  if (code === 'EACCES' && error instanceof Error)
    return `no permission: ${error.message}. Was Grim Spanner last started as another user?`;
  if (!(error instanceof Error)) return String(error);
  // Sequelize puts PostgreSQL's own words in `original`.
  const original = 'original' in error && error.original instanceof Error ? error.original.message : '';
  return `${original} ${error.stack ?? error.message}`.trim();
}
