import { unparse } from 'papaparse';
import * as z from 'zod';
import { sheetRows } from '@/core/static-sheet';
import { guarded, Refused, uuidSchema } from '@/server/border';
import { sheetOfJob, sheetPdf } from '@/server/sheet';

const query = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).default('a4'),
});

/** The static-test sheet as PDF, JSON or CSV. */
export const GET = guarded(async (request, { params }: { params: Promise<{ id: string }> }) => {
  const id = uuidSchema.safeParse((await params).id);
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw new Refused(422, 'form is pdf, json or csv; paper is a4 or letter.');
  const sheet = id.success ? await sheetOfJob(id.data) : null;
  if (sheet === null) throw new Refused(404, 'There is no such job.');
  const { form, paper } = asked.data;
  const attachment = {
    'content-disposition': `attachment; filename="static-test.${form}"`,
    'cache-control': 'no-store',
  };
  if (form === 'json') return Response.json(sheet, { headers: attachment });
  if (form === 'csv')
    return new Response(unparse(sheetRows(sheet), { escapeFormulae: true }), {
      headers: { ...attachment, 'content-type': 'text/csv; charset=utf-8' },
    });
  return new Response(new Uint8Array(await sheetPdf(sheet, paper)), {
    headers: { ...attachment, 'content-type': 'application/pdf' },
  });
});
