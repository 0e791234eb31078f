import type { VerbAnswer } from '../../core/verbs';
import { HttpError } from '../http/guard';
import { sharedPool, type WorkLoad } from '../work';

interface Order {
  name: string;
  text: string;
}

/** In the same bundle as `./grim calc`. */
const pool = sharedPool<Order, VerbAnswer>({
  what: 'computation',
  bundle: () => {
    const bundle = process.env['GRIM_CALC_BUNDLE'];
    if (!bundle) throw new Error('GRIM_CALC_BUNDLE is not set: start the app with ./grim start');
    return bundle;
  },
  heap_MB: 1024,
  timeOut_ms: 30_000,
  longest: 64,
  longestOfOne: 32,
});

const fault = (status: 500 | 503, code: 'our-fault' | 'busy', said: string): VerbAnswer => ({
  status,
  body: { error: { code, problems: [{ path: '', given: null, allowed: said }] } },
});

/** Runs a verb on a body of text in the worker; answers as a verb does where it is refused or ends before its time. */
export async function calc(name: string, text: string, who = ''): Promise<VerbAnswer> {
  try {
    return await pool.ask({ name, text }, who);
  } catch (error) {
    return error instanceof HttpError
      ? fault(503, 'busy', error.message)
      : fault(500, 'our-fault', error instanceof Error ? error.message : String(error));
  }
}

/** How much computing is under way. */
export const calcLoad = (): WorkLoad => pool.load();
