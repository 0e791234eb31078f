import * as z from 'zod';
import type { Control } from '../../core/equipment/catalogue';
import { busOf, liveOf } from '../../core/equipment/drive-words';
import { HttpError } from '../http/guard';
import { catalogue, controlOf } from '../equipment/catalogue';
import { isOf, readAll, type DriveClient } from './drive-client';
import { listedDrives } from '../administration/settings';
import type { FoundDrive, ReadOut } from '../../api/contract';

const troubleSchema = z.object({ code: z.string(), message: z.string() });
const identitySchema = z.object({ vendor: z.string(), product: z.string(), revision: z.string() });
const wordSchema = z.object({ word: z.number() });
export const wordsSchema = z.object({ words: z.array(z.tuple([z.number(), z.number()])) });

const linkAddress = (): string => `http://${process.env['GRIM_LINK'] ?? '127.0.0.1:4405'}`;

/** What the link refuses, with its own word for it. */
export class LinkRefused extends HttpError {
  constructor(
    status: number,
    message: string,
    readonly code: string,
  ) {
    super(status, message);
  }
}

const neverReached = (error: unknown): boolean =>
  error instanceof Error &&
  error.cause instanceof Error &&
  /ECONNREFUSED/.test(String(Reflect.get(error.cause, 'code')));

/** @throws LinkRefused with the link's own words, or 'uncertain' where it ended in the middle; Refused where it does not run */
async function atLink(path: string, init: RequestInit): Promise<Response> {
  const headers = { authorization: `Bearer ${process.env['GRIM_LINK_SECRET'] ?? ''}` };
  const answer = await fetch(`${linkAddress()}${path}`, { ...init, headers }).catch((error: unknown) => {
    if (neverReached(error))
      throw new HttpError(502, 'The drive link is not running: restart Grim Spanner with ./grim start.');
    throw new LinkRefused(
      502,
      'The drive link stopped during the operation: the result is not known. Read the parameter before you go on.',
      'uncertain',
    );
  });
  if (answer.ok) return answer;
  const { code, message } = troubleSchema.parse(await answer.json());
  throw new LinkRefused([409, 422].includes(answer.status) ? answer.status : 502, message, code);
}

/** Longer than the link ever takes to say that it is there, ms. */
const aliveWithin_ms = 500;

/** Is the link there? */
export const linkAnswers = (): Promise<boolean> =>
  atLink('/health', { signal: AbortSignal.timeout(aliveWithin_ms) }).then(
    () => true,
    () => false,
  );

/** Asks the link for something. @throws as `atLink` */
export const ask = async <S extends z.ZodType>(
  path: string,
  body: unknown,
  answers: S,
): Promise<z.output<S>> =>
  answers.parse(await (await atLink(path, { method: 'POST', body: JSON.stringify(body) })).json());

/** @throws Refused where nothing is known of the type's bus */
export async function controlNeeded(typeId: string): Promise<Control> {
  const control = await controlOf(typeId);
  if (control === null)
    throw new HttpError(422, 'This type cannot be read over the link: not in the catalogue.');
  if (control.modbus === null)
    throw new HttpError(422, 'The registers of this type are not known: it cannot be read over the link.');
  return control;
}

/** Addresses that may be asked: the simulated drive that ships, and those on the list. */
export async function knownTargets(): Promise<string[]> {
  const simulated = process.env['GRIM_RIG_DRIVE'];
  return [...(simulated === undefined ? [] : [simulated]), ...(await listedDrives())];
}

/** Asks each known address who it is. */
export async function scan(): Promise<FoundDrive[]> {
  const types = await catalogue();
  return Promise.all(
    (await knownTargets()).map(async (target): Promise<FoundDrive> => {
      try {
        const identity = await ask('/identify', { target }, identitySchema);
        const matches = await Promise.all(types.map(async (t) => isOf(identity, await controlOf(t.id))));
        return {
          target,
          identity,
          typeIds: types.filter((_, i) => matches[i]).map((t) => t.id),
          trouble: null,
        };
      } catch (error) {
        if (!(error instanceof HttpError)) throw error;
        return { target, identity: null, typeIds: [], trouble: error.message };
      }
    }),
  );
}

/** A drive behind the link. */
export const driveClient = (target: string): DriveClient => ({
  target,
  identify: () => ask('/identify', { target }, identitySchema),
  read: async (registers) => (await ask('/read', { target, registers }, wordsSchema)).words,
  write: async (register, word) => (await ask('/write', { target, register, word }, wordSchema)).word,
});

/** Everything a drive has. @throws as `readAll` */
export const readDrive = async (target: string, typeId: string): Promise<ReadOut> =>
  readAll(driveClient(target), await controlNeeded(typeId));

/** Live values as server-sent events: `data` a `Live`, or `trouble` with words. */
export async function watch(
  target: string,
  typeId: string,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array>> {
  const control = await controlNeeded(typeId);
  const registers = busOf(control)
    .live.map((l) => l.register)
    .join();
  const asked = new URLSearchParams({ target, registers });
  const { body } = await atLink(`/watch?${asked}`, { signal });
  if (body === null) throw new HttpError(502, 'The link sends no values.');
  let rest = '';
  const decoder = new TextDecoder();
  const encoder = new TextEncoder();
  const event = (text: string): string => {
    const data = /^data: (.*)$/m.exec(text)?.[1];
    if (text.startsWith('event: trouble') || data === undefined) return `${text}\n\n`;
    const words = new Map(wordsSchema.shape.words.parse(JSON.parse(data)));
    return `data: ${JSON.stringify(liveOf(control, (r) => words.get(r)))}\n\n`;
  };
  return body.pipeThrough(
    new TransformStream<Uint8Array, Uint8Array>({
      transform(chunk, controller) {
        const parts = (rest + decoder.decode(chunk, { stream: true })).split('\n\n');
        rest = parts.pop() ?? '';
        for (const part of parts) controller.enqueue(encoder.encode(event(part)));
      },
    }),
  );
}
