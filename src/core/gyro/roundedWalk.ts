import type { HeadingLog, Window } from '../channels/log';

/** Places within a step of the reading that are told apart. */
const CELLS = 24;
/** The log is looked at so often, evenly. */
const LOOKS = 60;
/** Walks that are tried: how far they go over the whole log, in steps, evenly in their logarithm. */
const LEAST_STEPS = 0.2;
const MOST_STEPS = 12;
const WALKS = 10;
/** Drifts that are tried beside the fitted one, in steps over the log. */
const DRIFTS = [-0.8, 0, 0.8];
/** Transitions beyond so many standard deviations do not happen. */
const FAR = 5;

/** A reading, in whole steps beyond the first, and the time since the one before. */
interface Look {
  level: number;
  afterS: number;
}

/** Readings spread evenly over a window; each with its own time, for a drift goes on between any two. */
function looksOf({ tS, headingRad }: HeadingLog, { from, to }: Window, quantumRad: number): Look[] {
  const first = headingRad[from] ?? 0;
  const last = to - 1 - from;
  const count = Math.min(LOOKS, last);
  const indices = Array.from(
    { length: count + 1 },
    (_, i) => from + Math.round((last * i) / count),
  );
  return indices.map((at, i) => ({
    level: Math.round(((headingRad[at] ?? first) - first) / quantumRad),
    afterS: (tS[at] ?? 0) - (tS[indices[i - 1] ?? at] ?? 0),
  }));
}

const ROOT_2_PI = Math.sqrt(2 * Math.PI);

/** Probability of each change of place within a step, beyond `middle`, in cells. */
function kernelOf(middle: number, sdCells: number): Float64Array {
  return Float64Array.from({ length: 2 * CELLS - 1 }, (_, i) => {
    const off = (i - (CELLS - 1) + middle) / sdCells;
    return Math.abs(off) > FAR ? 0 : Math.exp(-0.5 * off * off) / (sdCells * ROOT_2_PI);
  });
}

/** Log-likelihood of the levels that a rounded walk with drift shows: the forward algorithm over places in a step. */
function logLikelihood(
  looks: readonly Look[],
  driftCellsPerS: number,
  walkCellsPerSqrtS: number,
): number {
  let place = new Float64Array(CELLS).fill(1 / CELLS);
  let total = 0;
  for (let look = 1; look < looks.length; look += 1) {
    const { level, afterS } = looks[look] ?? { level: 0, afterS: 0 };
    if (afterS <= 0) continue;
    const shift = (level - (looks[look - 1]?.level ?? level)) * CELLS;
    const weights = kernelOf(
      shift - driftCellsPerS * afterS,
      walkCellsPerSqrtS * Math.sqrt(afterS),
    );
    const next = new Float64Array(CELLS);
    let sum = 0;
    for (let to = 0; to < CELLS; to += 1) {
      let share = 0;
      for (let from = 0; from < CELLS; from += 1) {
        share += (place[from] ?? 0) * (weights[to - from + CELLS - 1] ?? 0);
      }
      next[to] = share;
      sum += share;
    }
    if (sum === 0) return -Infinity;
    total += Math.log(sum);
    place = next.map((share) => share / sum);
  }
  return total;
}

/**
 * Strength N of a walk that a coarse reading mostly hides: the root of its mean square, over all walks and drifts by
 * which the reading could have gone as it did. Nothing is known beforehand but that it goes between a fifth and
 * twelve steps in the log, each strength as likely as the others.
 *
 * The reading is a hidden Markov chain: the place within a step is not seen, the step is.
 * Source: Rabiner, Proc. IEEE 77 (1989) 257–286, section III A (forward algorithm).
 *
 * @param driftRadPerS as fitted
 * @returns rad/√s
 */
export function walkBehindSteps(
  log: HeadingLog,
  window: Window,
  driftRadPerS: number,
  quantumRad: number,
): number {
  const looks = looksOf(log, window, quantumRad);
  const cellRad = quantumRad / CELLS;
  const lengthS = looks.reduce((sum, { afterS }) => sum + afterS, 0);
  if (!(lengthS > 0)) return 0;
  const found = Array.from({ length: WALKS }, (_, i) => {
    const steps = LEAST_STEPS * (MOST_STEPS / LEAST_STEPS) ** (i / (WALKS - 1));
    const walk = (steps * quantumRad) / Math.sqrt(lengthS);
    const logs = DRIFTS.map((more) =>
      logLikelihood(looks, driftRadPerS / cellRad + (more * CELLS) / lengthS, walk / cellRad),
    );
    return { walk, logs };
  });
  const best = Math.max(...found.flatMap(({ logs }) => logs));
  // Readings that no such walk makes: the strongest that was tried.
  if (best === -Infinity) return found.at(-1)?.walk ?? 0;
  const weighed = found.map(({ walk, logs }) => ({
    walk,
    weight: walk * logs.reduce((sum, value) => sum + Math.exp(value - best), 0),
  }));
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const square = weighed.reduce((sum, { walk, weight }) => sum + weight * walk * walk, 0);
  return Math.sqrt(square / all);
}
