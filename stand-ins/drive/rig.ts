/**
 * The rig: the hand on inputs, wires, load and hidden faults. HTTP with JSON on loopback.
 * GET /  → what is set and what the drive shows;  POST / → one order of `orderSchema`.
 */
import { createServer, type IncomingMessage, type Server } from 'node:http';
import * as z from 'zod';
import { conceptIds, inputConcept } from '@/core/equipment/concepts';
import { busOf, meaningOf, parameterFor, type Values } from '@/core/equipment/drive-words';
import { atHome, keypadOf, pressKey } from './keypad';
import type { Holder } from './memory';
import { plantSchema, type Plant } from './plant';
import { boxed, filesSchema } from './types';
import { shownBy, step } from './unit';

const changes = plantSchema.partial().extend({
  mains: plantSchema.shape.mains.partial().optional(),
  supply24: plantSchema.shape.supply24.partial().optional(),
  safeStop: plantSchema.shape.safeStop.partial().optional(),
  serial: plantSchema.shape.serial.partial().optional(),
  motor: plantSchema.shape.motor.partial().optional(),
  load: plantSchema.shape.load.partial().optional(),
  hidden: plantSchema.shape.hidden.partial().optional(),
  bus: plantSchema.shape.bus.partial().optional(),
});

/** Settings by concept: a neutral choice, or a figure. */
const byConcept = z.partialRecord(z.enum(conceptIds), z.union([z.string(), z.number()]));

export const orderSchema = z.strictObject({
  /** A new drive from the box, on a plant in order. */
  drive: z
    .strictObject({
      type: z.string(),
      model: z.string(),
      fitted: z.array(z.string()).default([]),
      serial: z.string().max(12).optional(),
      files: filesSchema.optional(),
    })
    .optional(),
  /** Keys of the keypad, one after the other. */
  keys: z
    .array(
      z.strictObject({
        cap: z.string(),
        held: z.boolean().default(false),
        ticks: z.int().min(1).max(200).optional(),
      }),
    )
    .max(5000)
    .optional(),
  plant: changes.optional(),
  /** What somebody set on it before you came. */
  set: byConcept.optional(),
  /** Time that passes at once, s. */
  wait_s: z.number().min(0).max(600).optional(),
});
export type Order = z.output<typeof orderSchema>;

const step_s = 0.005;

/** Lets time pass. */
export function pass(holder: Holder, seconds: number): void {
  for (let t = 0; t < seconds - 1e-9; t += step_s) holder.unit = step(holder.unit, holder.plant, step_s);
  if (holder.unit.state === 'off') holder.pad = atHome;
}

function merged(plant: Plant, differs: NonNullable<Order['plant']>): Plant {
  const inner = Object.fromEntries(
    Object.entries(differs).map(([key, value]) => {
      const before: unknown = Reflect.get(plant, key);
      return [
        key,
        typeof value === 'object' && !Array.isArray(value) && typeof before === 'object'
          ? { ...before, ...value }
          : value,
      ];
    }),
  );
  return plantSchema.parse({ ...plant, ...inner });
}

function valuesFor(holder: Holder, set: NonNullable<Order['set']>): Values {
  const { control } = holder.unit.settings;
  return Object.fromEntries(
    conceptIds.flatMap((concept) => {
      const to = set[concept];
      if (to === undefined) return [];
      const p = parameterFor(control, concept);
      const value = typeof to === 'number' ? to : p?.choices?.find((c) => c.means === to)?.value;
      if (p === undefined || value === undefined)
        throw new Error(`this type cannot set ${concept} to ${String(to)}`);
      return [[p.number, value]];
    }),
  );
}

export async function obey(holder: Holder, order: Order): Promise<void> {
  if (order.drive !== undefined) Object.assign(holder, await boxed(order.drive));
  if (order.set !== undefined) {
    const values = valuesFor(holder, order.set);
    const { settings } = holder.unit;
    holder.unit = {
      ...holder.unit,
      settings: {
        ...settings,
        values: { ...settings.values, ...values },
        saved: { ...settings.saved, ...values },
      },
    };
  }
  if (order.plant !== undefined) holder.plant = merged(holder.plant, order.plant);
  for (const { ticks, ...press } of order.keys ?? [])
    pressKey(holder, ticks === undefined ? press : { ...press, ticks });
  if (order.wait_s !== undefined) pass(holder, order.wait_s);
}

const stateOf = (holder: Holder) => ({ ...stateOfUnit(holder), keypad: keypadOf(holder) });

const stateOfUnit = ({ unit, plant, box }: Holder) => ({
  type: busOf(unit.settings.control).identification,
  typeId: box.type,
  serial: box.serial,
  model: box.model,
  inputs: unit.settings.control.inputs.map(({ id, mark }) => ({
    id,
    mark,
    does: String(meaningOf(unit.settings.control, unit.settings.values, inputConcept(id)) ?? 'none'),
  })),
  safeStop: unit.settings.control.safeStop !== null,
  plant,
  shows: shownBy(unit, plant),
  history: unit.history,
  shaft_Hz: unit.machine.shaft_Hz,
});

const most_bytes = 2_000_000;

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > most_bytes) throw new Error('the order is too long');
  }
  return JSON.parse(text);
}

export const rigServer = (holder: Holder): Server =>
  createServer((request, response) => {
    const reply = (status: number, body: unknown) => {
      response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    };
    const act = async () => {
      // No page of a browser has its hand on the rig.
      if (request.headers.origin !== undefined) throw new Error('only from the command line');
      if (request.method === 'POST') await obey(holder, orderSchema.parse(await bodyOf(request)));
      reply(200, stateOf(holder));
    };
    act().catch((error: unknown) =>
      reply(422, {
        error:
          error instanceof z.ZodError
            ? z.prettifyError(error)
            : error instanceof Error
              ? error.message
              : 'no',
      }),
    );
  });
