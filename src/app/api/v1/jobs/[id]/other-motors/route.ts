import { guarded, Refused, uuidSchema } from '@/server/border';
import { otherStators } from '@/server/set-library';

/** Stator resistances in sets of other machines: one that comes back to the last digit was copied. */
export const GET = guarded(async (_request, { params }: { params: Promise<{ id: string }> }) => {
  const id = uuidSchema.safeParse((await params).id);
  const ohms = id.success ? await otherStators(id.data) : null;
  if (ohms === null) throw new Refused(404, 'There is no such job.');
  return Response.json({ ohms });
});
