import pg from 'pg';
import { channel } from './write-rows';

type Hear = (news: string) => void;

interface News {
  listeners: Set<Hear>;
  /** Called when the connection to the database breaks: who listens must come again, or would miss something. */
  broken: Set<() => void>;
  client: pg.Client | null;
}

// One connection for each process, although Next evaluates this module twice.
const slot = globalThis as typeof globalThis & { grimNews?: News };
const news: News = (slot.grimNews ??= { listeners: new Set(), broken: new Set(), client: null });

let connecting: Promise<void> | null = null;

async function connect(): Promise<void> {
  if (news.client !== null) return;
  const client = new pg.Client({
    connectionString: process.env['DATABASE_URL'],
    application_name: 'grim news',
  });
  const lost = () => {
    if (news.client === client) news.client = null;
    [...news.broken].forEach((end) => end());
    client.end().catch(() => undefined);
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', ({ payload = '' }) => news.listeners.forEach((hear) => hear(payload)));
  await client.connect();
  await client.query(`listen ${channel}`);
  news.client = client;
}

/**
 * Listens to what the database announces: `job seq`, after each commit.
 * @param broken called once when nothing is heard any more
 * @returns ends it
 * @throws Error where the database is not to be had
 */
export async function hearNews(hear: Hear, broken: () => void): Promise<() => void> {
  connecting ??= connect().finally(() => {
    connecting = null;
  });
  await connecting;
  news.listeners.add(hear);
  news.broken.add(broken);
  return () => {
    news.listeners.delete(hear);
    news.broken.delete(broken);
  };
}

/** Lets go of the connection; the next who listens opens a new one. */
export async function stopHearing(): Promise<void> {
  const { client } = news;
  news.client = null;
  await client?.end();
}
