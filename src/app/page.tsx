import { boardQuerySchema } from '@/api/board';
import { backupTimes } from '@/server/health/backups';
import { board } from '@/server/logbook/board';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { Board } from '@/ui/shop/board/board';

export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function BoardPage({ searchParams }: Props) {
  const query = boardQuerySchema.parse(await searchParams);
  const [found, everybody, person, backups] = await Promise.all([
    board(query),
    people(),
    currentPerson(),
    backupTimes(),
  ]);
  const provenAt = backups === null ? undefined : (backups.proven?.toISOString() ?? null);
  return <Board found={found} query={query} people={everybody} person={person} provenAt={provenAt} />;
}
