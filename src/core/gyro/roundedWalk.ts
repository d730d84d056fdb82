import type { HeadingLog, Window } from './log';

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

/** The level of the reading (whole steps) at evenly spaced moments of a window. */
function levelsOf({ tS, headingRad }: HeadingLog, { from, to }: Window, quantumRad: number) {
  const startS = tS[from] ?? 0;
  const lookS = ((tS[to - 1] ?? startS) - startS) / LOOKS;
  const first = headingRad[from] ?? 0;
  const levels: number[] = [];
  let i = from;
  for (let look = 0; look <= LOOKS; look += 1) {
    while (i < to - 1 && (tS[i + 1] ?? Infinity) <= startS + look * lookS + 1e-9) i += 1;
    levels.push(Math.round(((headingRad[i] ?? first) - first) / quantumRad));
  }
  return { levels, lookS };
}

/** Probability of each change of place between two looks, in cells, for a walk with drift. */
function kernelOf(driftCells: number, sdCells: number) {
  const reach = Math.ceil(Math.abs(driftCells) + FAR * sdCells) + 1;
  const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-0.5 * ((i - reach - driftCells) / sdCells) ** 2),
  );
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return { reach, weights: weights.map((weight) => weight / sum) };
}

/** Log-likelihood of the levels that a rounded walk with drift shows: the forward algorithm over places in a step. */
function logLikelihood(levels: readonly number[], driftCells: number, sdCells: number): number {
  const { reach, weights } = kernelOf(driftCells, sdCells);
  let place = new Float64Array(CELLS).fill(1 / CELLS);
  let total = 0;
  for (let look = 1; look < levels.length; look += 1) {
    const shift = ((levels[look] ?? 0) - (levels[look - 1] ?? 0)) * CELLS;
    const next = new Float64Array(CELLS);
    let sum = 0;
    for (let to = 0; to < CELLS; to += 1) {
      let share = 0;
      const first = Math.max(0, to + shift - reach);
      const last = Math.min(CELLS - 1, to + shift + reach);
      for (let from = first; from <= last; from += 1) {
        share += (place[from] ?? 0) * (weights[to + shift - from + reach] ?? 0);
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
  const { levels, lookS } = levelsOf(log, window, quantumRad);
  const cellRad = quantumRad / CELLS;
  const found = Array.from({ length: WALKS }, (_, i) => {
    const steps = LEAST_STEPS * (MOST_STEPS / LEAST_STEPS) ** (i / (WALKS - 1));
    const sdCells = (steps * CELLS) / Math.sqrt(LOOKS);
    const logs = DRIFTS.map((more) =>
      logLikelihood(levels, (driftRadPerS * lookS) / cellRad + (more * CELLS) / LOOKS, sdCells),
    );
    return { walk: (sdCells * cellRad) / Math.sqrt(lookS), logs };
  });
  const best = Math.max(...found.flatMap(({ logs }) => logs));
  const weighed = found.map(({ walk, logs }) => ({
    walk,
    weight: walk * logs.reduce((sum, value) => sum + Math.exp(value - best), 0),
  }));
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const square = weighed.reduce((sum, { walk, weight }) => sum + weight * walk * walk, 0);
  return Math.sqrt(square / all);
}
