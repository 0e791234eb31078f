/** Folds the entries that it reads, and tells how long that takes. */
import { readFileSync } from 'node:fs';
import { greatestLimits } from '../src/core/bench/make-safe';
import { extend, fold, type Entry } from '../src/core/logbook';
import { timed } from './timing';

/** Medians, ms. */
export interface FoldTimes {
  fiveThousand_ms: number;
  oneMore_ms: number;
}

const context = { limits: greatestLimits };
const all = JSON.parse(readFileSync(0, 'utf8')) as Entry[];
const fiveThousand = all.slice(0, 5000);
const kept = fold(fiveThousand.slice(0, -1), context);
const last = fiveThousand.slice(-1);
const waiting = all.slice(0, 20).map(({ seq: _seq, receivedAt: _at, ...e }, i) => ({ ...e, id: `z${i}` }));
const times: FoldTimes = {
  fiveThousand_ms: timed(41, () => fold(fiveThousand, context)),
  oneMore_ms: timed(400, () => extend(extend(kept, last, context), waiting, context)),
};
process.stdout.write(JSON.stringify(times));
