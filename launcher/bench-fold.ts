/** Folds the entries that it reads, and tells how long that takes. */
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { greatestLimits } from '../src/core/bench/make-safe';
import { extend, fold, type Entry } from '../src/core/logbook';

/** Medians, ms. */
export interface FoldTimes {
  fiveThousand_ms: number;
  oneMore_ms: number;
}

function median(times: number, work: () => unknown): number {
  const all = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  });
  return all.sort((a, b) => a - b)[Math.floor(times / 2)] ?? NaN;
}

const context = { limits: greatestLimits };
const all = JSON.parse(readFileSync(0, 'utf8')) as Entry[];
const fiveThousand = all.slice(0, 5000);
const kept = fold(fiveThousand.slice(0, -1), context);
const last = fiveThousand.slice(-1);
const waiting = all.slice(0, 20).map(({ seq: _seq, receivedAt: _at, ...e }, i) => ({ ...e, id: `z${i}` }));
const times: FoldTimes = {
  fiveThousand_ms: median(41, () => fold(fiveThousand, context)),
  oneMore_ms: median(400, () => extend(extend(kept, last, context), waiting, context)),
};
process.stdout.write(JSON.stringify(times));
