// The headless verbs: names, schemas, and one way to run them.
import { closest } from 'fastest-levenshtein';
import { isNestedBeyond } from '../text';
import { dischargeVerb } from './discharge';
import { downtimeVerb } from './downtime';
import { fitCheckVerb } from './fit-check';
import { insulationVerb } from './insulation';
import { keyPlanVerb } from './key-plan';
import { loopCheckVerb } from './loop-check';
import { parseInput } from './manners';
import { manualReadVerb, meaningVerb } from './manual-read';
import { moduleVerdictVerb } from './module-verdict';
import { openApiDocument, verbPaths, type Components, type JsonObject } from './openapi';
import { plateVerb } from './plate';
import { plateReadVerb } from './plate-read';
import { rampVerb } from './ramp';
import { runChainVerb } from './run-chain';
import { setAuditVerb, setDiffVerb, setImportVerb, setPlanVerb, setTranslateVerb } from './sets';
import { settingsVerb } from './settings';
import { staticDiagnose } from './static-diagnose';
import { staticReadings } from './static-readings';
import { traceNextVerb } from './trace-next';
import { unbalanceVerb } from './unbalance';
import { waveformVerb } from './waveform';
import { waveformDiagnoseVerb } from './waveform-diagnose';
import { windingVerb } from './winding';
import { wireMapVerb } from './wire-map';
import { RefusedInput, type Problem, type VerbRefusal, type Verb } from './verb';

export type { Problem, VerbRefusal, Verb } from './verb';
export { schemasOf } from './manners';
export {
  component,
  examplesIn,
  jsonContent,
  openApiDocument,
  pascal,
  verbPaths,
  type Components,
  type JsonObject,
  type VerbExample,
} from './openapi';

/** Every headless verb, in the order of its name. */
export const verbs: readonly Verb[] = [
  dischargeVerb,
  downtimeVerb,
  fitCheckVerb,
  insulationVerb,
  keyPlanVerb,
  loopCheckVerb,
  manualReadVerb,
  meaningVerb,
  moduleVerdictVerb,
  plateVerb,
  plateReadVerb,
  rampVerb,
  runChainVerb,
  setAuditVerb,
  setDiffVerb,
  setImportVerb,
  setPlanVerb,
  setTranslateVerb,
  settingsVerb,
  staticDiagnose,
  staticReadings,
  traceNextVerb,
  unbalanceVerb,
  waveformVerb,
  waveformDiagnoseVerb,
  windingVerb,
  wireMapVerb,
];

/** The verb of a name; undefined where there is none. */
export const findVerb = (name: string): Verb | undefined => verbs.find((v) => v.name === name);

/** What a caller gets: the answer, or a refusal with the HTTP status that goes with it. */
export type VerbAnswer =
  { status: 200; body: Record<string, unknown> } | { status: 400 | 404 | 422 | 500 | 503; body: VerbRefusal };

/**
 * A refusal with its HTTP status.
 * @param id echoed where the input had one
 */
export const refuse = (
  status: 400 | 404 | 422 | 500 | 503,
  code: VerbRefusal['error']['code'],
  problems: Problem[],
  id?: unknown,
): VerbAnswer => ({ status, body: { ...(id === undefined ? {} : { id }), error: { code, problems } } });

/** The refusal of a name that is no verb, with the nearest one. */
export const unknownVerb = (name: string): VerbAnswer =>
  refuse(404, 'unknown-verb', [
    {
      path: 'verb',
      given: name,
      allowed: `one of ${verbs.map((v) => v.name).join(', ')}; nearest is "${closest(
        name,
        verbs.map((v) => v.name),
      )}"`,
    },
  ]);

const idOf = (input: unknown): unknown =>
  typeof input === 'object' && input !== null && 'id' in input ? input.id : undefined;

/** Runs a verb on parsed JSON. Never throws. */
export function runVerb(verb: Verb, input: unknown): VerbAnswer {
  const id = idOf(input);
  const parsed = parseInput(verb, input);
  if ('problems' in parsed) return refuse(422, 'bad-input', parsed.problems, id);
  try {
    const output = verb.run(parsed.value) as Record<string, unknown>;
    return { status: 200, body: { ...(id === undefined ? {} : { id }), ...output } };
  } catch (error) {
    if (error instanceof RefusedInput) return refuse(422, 'bad-input', [...error.problems], id);
    const said = error instanceof Error ? error.message : String(error);
    return refuse(500, 'our-fault', [{ path: '', given: null, allowed: said }], id);
  }
}

/** No input of a verb is nested like this; what is would break the reading of it and the writing of an answer. */
const deepest = 100;

/** Runs a verb on a line or body of text. */
export function runText(verb: Verb, text: string): VerbAnswer {
  if (isNestedBeyond(text, deepest))
    return refuse(422, 'bad-input', [
      { path: '', given: text.slice(0, 80), allowed: `nested at most ${deepest} deep` },
    ]);
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    const said = error instanceof Error ? error.message : 'not JSON';
    return refuse(400, 'not-json', [{ path: '', given: text.slice(0, 80), allowed: `JSON (${said})` }]);
  }
  return runVerb(verb, input);
}

/** The verbs alone as OpenAPI 3.1. @param version of what it describes */
export function calcDocument(version: string): JsonObject {
  const components: Components = {};
  return openApiDocument(version, verbPaths(verbs, components), components);
}
