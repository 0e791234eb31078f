/** The OpenAPI document, read by validators and a generator of clients that know nothing of us. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SwaggerParser from '@apidevtools/swagger-parser';
import { createConfig, lintFromString } from '@redocly/openapi-core';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { openApi } from '@/api/openapi';
import { calcDocument, verbs } from '@/core/verbs';
import { verbExamples } from '@/server/verbs/examples';

const whole = openApi('1', verbExamples());
const documents = [
  ['of all routes', whole],
  ['of the verbs alone', calcDocument('1')],
] as const;
const copy = <T>(value: T): T => structuredClone(value);

describe.each(documents)('the document %s', (_, document) => {
  it('passes @apidevtools/swagger-parser', async () => {
    await expect(SwaggerParser.validate(copy(document) as never)).resolves.toBeDefined();
  });

  it('passes the rules of @redocly/openapi-core', async () => {
    const problems = await lintFromString({
      source: JSON.stringify(document),
      config: await createConfig({ extends: ['spec'] }),
    });
    expect(problems.map(({ message, location }) => [message, location[0]?.pointer])).toEqual([]);
  });
});

it('has every verb with its example, and an operation name once', () => {
  const { paths } = whole as {
    paths: Record<string, Record<string, { operationId: string; requestBody?: unknown }>>;
  };
  for (const { name } of verbs)
    expect(JSON.stringify(paths[`/api/v1/calc/${name}`]?.['post']?.requestBody)).toContain('"example"');
  const names = Object.values(paths).flatMap((path) => Object.values(path).map((o) => o.operationId));
  expect(new Set(names).size).toBe(names.length);
});

describe('a client made by openapi-typescript', () => {
  const home = mkdtempSync(join(tmpdir(), 'openapi-client-'));
  afterAll(() => rmSync(home, { recursive: true }));
  const problemsOf = (use: string): string[] => {
    const file = join(home, `use-${use.length}.ts`);
    writeFileSync(file, `import type { paths } from './client';\n${use}\n`);
    const program = ts.createProgram([file], { strict: true, noEmit: true, skipLibCheck: true, types: [] });
    return ts.getPreEmitDiagnostics(program).map((d) => ts.flattenDiagnosticMessageText(d.messageText, ' '));
  };
  const body = "paths['/api/v1/calc/plate']['post']['requestBody']['content']['application/json']";
  const answer = "paths['/api/v1/calc/plate']['post']['responses'][200]['content']['application/json']";

  beforeAll(async () => {
    const client = astToString(await openapiTS(copy(whole) as never));
    writeFileSync(join(home, 'client.ts'), client);
  });

  it('takes a plate and gives its torque', () => {
    expect(
      problemsOf(
        `export const asked: ${body} = { power: { value: 5.5, unit: 'kW' }, volts: 400, amps: 11, hz: 50, rpm: 1455 };
         export const torque = (made: ${answer}): number => made.torque_Nm;`,
      ),
    ).toEqual([]);
  });

  it('refuses a plate in another unit', () => {
    expect(
      problemsOf(
        `export const asked: ${body} = { power: { value: 5.5, unit: 'PS' }, volts: 400, amps: 11, hz: 50, rpm: 1455 };`,
      ),
    ).toHaveLength(1);
  });
});
