// One way to log: JSON lines for machines (GRIM_LOG=json), one readable line for a terminal.
import { pino } from 'pino';
import * as z from 'zod';

const lineSchema = z.object({
  level: z.number(),
  message: z.string(),
  method: z.string().optional(),
  path: z.string().optional(),
  requestId: z.string().optional(),
  err: z.object({ message: z.string(), stack: z.string().optional() }).optional(),
});

/** pino's number of its level "error". */
const errorLevel = 50;

/** A JSON line as one for people: what, where, why, and the stack of what was not foreseen. */
export function readable(line: string): string {
  const { level, message, method, path, requestId, err } = lineSchema.parse(JSON.parse(line));
  const where = method === undefined ? '' : ` ${method} ${path ?? ''}`;
  const request = requestId === undefined ? '' : ` (request ${requestId})`;
  const why = err === undefined ? '' : `: ${err.stack ?? err.message}`;
  return `grim: ${level >= errorLevel ? 'error: ' : ''}${message}${where}${request}${why}\n`;
}

const toTerminal = {
  write: (line: string): void => {
    process.stderr.write(readable(line));
  },
};

/** PostgreSQL's own words, which Sequelize puts beside its own empty ones. */
const databaseWords = (error: Error): string => {
  const parent: unknown = Reflect.get(error, 'parent');
  return parent instanceof Error ? `${parent.message} ` : '';
};

/** Of an error: its words, code and stack. The statement and its values stay out: they hold what people typed. */
const errorFields = (error: unknown): object =>
  error instanceof Error
    ? {
        type: error.name,
        message: databaseWords(error) + error.message,
        stack: databaseWords(error) + (error.stack ?? ''),
        ...('code' in error ? { code: error.code } : {}),
      }
    : { message: String(error) };

/** The server's log, on standard error. Fields: requestId, method, path, err. */
export const log = pino(
  {
    base: { process: 'server' },
    messageKey: 'message',
    timestamp: pino.stdTimeFunctions.isoTime,
    serializers: { err: errorFields },
  },
  process.env['GRIM_LOG'] === 'json' ? pino.destination({ fd: 2, sync: true }) : toTerminal,
);

const said = new Set<string>();

/** Warns once in the life of the process: what is read on every page would fill the log. */
export function warnOnce(what: string): void {
  if (said.has(what)) return;
  said.add(what);
  log.warn(what);
}
