import { unparse } from 'papaparse';
import * as z from 'zod';
import { guardedRoute, HttpError, uuidSchema } from '../http/border';

const query = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).default('a4'),
});

interface Params {
  params: Promise<{ id: string }>;
}

/**
 * A document of a job as a route: PDF, JSON or CSV, to be taken along.
 * @param load the document of a job; null when there is no such job
 */
export const documentRoute = <P extends object>(
  name: string,
  {
    load,
    rows,
    pdf,
  }: {
    load: (jobId: string, query: URLSearchParams) => Promise<P | null>;
    rows: (document: P) => object[];
    pdf: (document: P, size: 'a4' | 'letter') => Promise<Buffer>;
  },
) =>
  guardedRoute(async (request: Request, { params }: Params) => {
    const id = uuidSchema.safeParse((await params).id);
    const { searchParams } = new URL(request.url);
    const asked = query.safeParse(Object.fromEntries(searchParams));
    if (!asked.success) throw new HttpError(422, 'form is pdf, json or csv; paper is a4 or letter.');
    const made = id.success ? await load(id.data, searchParams) : null;
    if (made === null) throw new HttpError(404, 'There is no such job.');
    const { form, paper } = asked.data;
    const headers = {
      'content-disposition': `attachment; filename="${name}.${form}"`,
      'cache-control': 'no-store',
    };
    if (form === 'json') return Response.json(made, { headers });
    if (form === 'csv')
      return new Response(unparse(rows(made), { escapeFormulae: true }), {
        headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
      });
    return new Response(new Uint8Array(await pdf(made, paper)), {
      headers: { ...headers, 'content-type': 'application/pdf' },
    });
  });
