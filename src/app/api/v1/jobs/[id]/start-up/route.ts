import { unparse } from 'papaparse';
import * as z from 'zod';
import { guarded, Refused, uuidSchema } from '@/server/border';
import { startUpOfJob, startUpPdf } from '@/server/start-up';

const query = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).default('a4'),
});

/** The start-up sheet as PDF, JSON or CSV. */
export const GET = guarded(async (request, { params }: { params: Promise<{ id: string }> }) => {
  const id = uuidSchema.safeParse((await params).id);
  const asked = query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) throw new Refused(422, 'form is pdf, json or csv; paper is a4 or letter.');
  const sheet = id.success ? await startUpOfJob(id.data) : null;
  if (sheet === null) throw new Refused(404, 'There is no such job.');
  const { form, paper } = asked.data;
  const headers = {
    'content-disposition': `attachment; filename="start-up.${form}"`,
    'cache-control': 'no-store',
  };
  if (form === 'json') return Response.json(sheet, { headers });
  if (form === 'csv')
    return new Response(unparse(sheet.rows, { escapeFormulae: true }), {
      headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
    });
  return new Response(new Uint8Array(await startUpPdf(sheet, paper)), {
    headers: { ...headers, 'content-type': 'application/pdf' },
  });
});
