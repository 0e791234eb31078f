/** Migrates, and fills a new database with the demo scenario. */
export async function prepareDatabase(url: string, { demo }: { demo: boolean }): Promise<void> {
  process.env['DATABASE_URL'] = url;
  const { migrate, isNew, loadDemo, close } = await import('../src/server/database/maintenance');
  await migrate();
  if (demo && (await isNew())) await loadDemo();
  await close();
}
