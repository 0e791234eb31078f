import { guarded, Refused, uuidSchema } from '@/server/border';
import { librarySet } from '@/server/set-library';

/** One kept set of any job. */
export const GET = guarded(async (_request, { params }: { params: Promise<{ id: string }> }) => {
  const id = uuidSchema.safeParse((await params).id);
  const set = id.success ? await librarySet(id.data) : null;
  if (set === null) throw new Refused(404, 'There is no such set.');
  return Response.json({ set });
});
