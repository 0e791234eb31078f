import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { isRecord, type Json } from '@/core/equipment/type-edit';
import { publishedSchemas } from '@/core/equipment/catalogue/schema';
import { editedType } from '@/server/equipment/catalogue';
import { HttpError } from '@/server/http/guard';
import { currentPerson } from '@/server/people/current-person';
import { people } from '@/server/people/people';
import { TypeEditor } from '@/ui/shop/type-editor/type-editor';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Edit a drive type' };

/** What was kept as JSON is JSON. */
const asJson = (value: unknown): Json => JSON.parse(JSON.stringify(value)) as Json;

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ type?: string | string[] }>;
}) {
  const { type: asked } = await searchParams;
  const [edited, everybody, person] = await Promise.all([
    editedType(typeof asked === 'string' ? asked : '').catch((error: unknown) => {
      if (error instanceof HttpError) return null;
      throw error;
    }),
    people(),
    currentPerson(),
  ]);
  if (edited === null) notFound();
  const [type, control] = [asJson(edited.type), asJson(edited.control)];
  const published = publishedSchemas();
  const schemas = { type: asJson(published.type), control: asJson(published.control) };
  if (!isRecord(type) || !isRecord(schemas.type) || !isRecord(schemas.control)) notFound();
  return (
    <TypeEditor
      key={`${edited.id} ${edited.version}`}
      id={edited.id}
      version={edited.version}
      supplied={edited.supplied}
      versions={edited.versions}
      files={{ type, control: isRecord(control) ? control : null }}
      schemas={{ type: schemas.type, control: schemas.control }}
      people={everybody}
      person={person}
    />
  );
}
