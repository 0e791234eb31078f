import { unparse } from 'papaparse';
import * as z from 'zod';
import { guardedRoute, HttpError, idOf, jsonAnswer } from '../http/border';
import { jobOrRefusal, type LoadedJob } from '../logbook/folded';

const query = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).default('a4'),
});

interface Params {
  params: Promise<{ id: string }>;
}

/**
 * A document of a job as a route: PDF, JSON or CSV, to be taken along.
 * @param load the document of a job, which is loaded once
 */
export const documentRoute = <P extends object>(
  name: string,
  {
    load,
    rows,
    pdf,
  }: {
    load: (job: LoadedJob, query: URLSearchParams) => Promise<P> | P;
    rows: (document: P) => object[];
    pdf: (document: P, size: 'a4' | 'letter') => Promise<Buffer>;
  },
) =>
  guardedRoute(async (request: Request, { params }: Params) => {
    const id = idOf((await params).id, 'job');
    const { searchParams } = new URL(request.url);
    const asked = query.safeParse(Object.fromEntries(searchParams));
    if (!asked.success) throw new HttpError(422, 'form is pdf, json or csv; paper is a4 or letter.');
    const made = await load(await jobOrRefusal(id), searchParams);
    const { form, paper } = asked.data;
    const headers = {
      'content-disposition': `attachment; filename="${name}.${form}"`,
      'cache-control': 'no-store',
    };
    if (form === 'json') return jsonAnswer(made, { headers });
    if (form === 'csv')
      return new Response(unparse(rows(made), { escapeFormulae: true }), {
        headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
      });
    return new Response(new Uint8Array(await pdf(made, paper)), {
      headers: { ...headers, 'content-type': 'application/pdf' },
    });
  });
