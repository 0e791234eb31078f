import * as z from 'zod';
import { csvOfRecords } from '../../core/text';
import { guardedRoute, HttpError, idOf, jsonAnswer } from '../http/guard';
import { jobOrRefusal, type LoadedJob } from '../logbook/folded';
import { personOf } from '../people/asking';
import type { DocumentContent, DocumentName } from './printable';
import { printed, usualForm } from './print';

const query = z.object({
  form: z.enum(['pdf', 'json', 'csv']).default('pdf'),
  paper: z.enum(['a4', 'letter']).optional(),
});

interface Params {
  params: Promise<{ id: string }>;
}

/**
 * A document of a job as a route: PDF, JSON or CSV, to be taken along.
 * @param name of the paper, and of the file
 * @param load the document of a job, which is loaded once
 */
export const documentRoute = <Name extends DocumentName, P extends object, Head extends string>(
  name: Name,
  {
    load,
    heads,
    rows,
    content,
  }: {
    load: (job: LoadedJob, query: URLSearchParams) => Promise<P> | P;
    /** Of the table, always written, and its rows. */
    heads: readonly Head[];
    rows: (document: P) => readonly Readonly<Partial<Record<Head, unknown>>>[];
    /** What is printed of it. */
    content: (document: P) => DocumentContent<Name> | Promise<DocumentContent<Name>>;
  },
) =>
  guardedRoute(async (request: Request, { params }: Params) => {
    const id = idOf((await params).id, 'job');
    const { searchParams } = new URL(request.url);
    const asked = query.safeParse(Object.fromEntries(searchParams));
    if (!asked.success) throw new HttpError(422, 'form is pdf, json or csv; paper is a4 or letter.');
    const job = await jobOrRefusal(id);
    const made = await load(job, searchParams);
    const { form, paper } = asked.data;
    const headers = {
      'content-disposition': `attachment; filename="${name}.${form}"`,
      'cache-control': 'no-store',
    };
    if (form === 'json') return jsonAnswer(made, { headers });
    if (form === 'csv')
      return new Response(csvOfRecords(heads, rows(made)), {
        headers: { ...headers, 'content-type': 'text/csv; charset=utf-8' },
      });
    const { id: who } = await personOf(request);
    const usual = usualForm(job);
    const print = { ...usual, size: paper ?? usual.size };
    return new Response(
      new Uint8Array(await printed(name, await content(made), print, who, request.signal)),
      {
        headers: { ...headers, 'content-type': 'application/pdf' },
      },
    );
  });
