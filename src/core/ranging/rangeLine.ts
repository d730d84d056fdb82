import { lackOfFit } from '../stats/lackOfFit';
import { leverage, linearFit, type LinearFit } from '../stats/linearFit';
import { mean } from '../stats/moments';
import { student975 } from '../stats/student';
import { distinct, pooledSd, type Heard, type Noise } from './rangeNoise';
import { roundingSdM } from './readingStep';
import { stuckAtEnds } from './stuck';

/** So many robust standard deviations off its line a distance is no part of it any more. */
const OFF_LINE = 6;
/** A line is told from what is off it with so many distances at least. */
const LEAST_FOR_OFF_LINE = 4;

/** A line through readings, each weighted by how sure it is. */
export const lineOf = (heard: readonly Heard[], noise: Noise = () => 1): LinearFit | null =>
  linearFit(
    heard.map(({ trueM }) => [1 / noise(trueM), trueM / noise(trueM)]),
    heard.map(({ trueM, readingM }) => readingM / noise(trueM)),
  );

/**
 * The distances that lie on one line: from both ends, those are left out at which the reading sticks, and those whose mean is far off the line through the
 * others, as in a dead zone or beyond the range.
 */
export function onLine(heard: readonly Heard[]): Set<number> {
  const stuck = stuckAtEnds(heard);
  let kept = distinct(heard.map(({ trueM }) => trueM)).filter((at) => !stuck.has(at));
  const sd = pooledSd(heard.filter(({ trueM }) => !stuck.has(trueM)));
  while (kept.length >= LEAST_FOR_OFF_LINE) {
    const off = [kept[0] ?? 0, kept.at(-1) ?? 0].map((end) => {
      const others = heard.filter(({ trueM }) => trueM !== end && kept.includes(trueM));
      const line = lineOf(others);
      const [a = 0, b = 1] = line?.coefficients ?? [];
      const own = heard.filter(({ trueM }) => trueM === end).map(({ readingM }) => readingM);
      const scatter = Math.max(sd, line?.residualSd ?? 0, 1e-4);
      return { end, far: Math.abs(mean(own) - a - b * end) / scatter };
    });
    const worst = off.toSorted((a, b) => b.far - a.far)[0];
    if (worst === undefined || worst.far < OFF_LINE) break;
    kept = kept.filter((distance) => distance !== worst.end);
  }
  return new Set(kept);
}

/**
 * By how much rounding may shift offset and scale at most: all readings of a distance may be off by half a step, and
 * those of other distances either way.
 */
export function mostByRounding(
  used: readonly Heard[],
  noise: Noise,
  stepM: number,
): [number, number] {
  const shifts = distinct(used.map(({ trueM }) => trueM)).map(
    (at) =>
      lineOf(
        used.map(({ trueM }) => ({ trueM, readingM: trueM === at ? stepM / 2 : 0 })),
        noise,
      )?.coefficients ?? [],
  );
  const most = (i: number) => shifts.reduce((sum, shift) => sum + Math.abs(shift[i] ?? 0), 0);
  return [most(0), most(1)];
}

/** Repeats that contradict a straight line as surely prove that it bends. */
const CONTRADICTED = 0.01;

/**
 * Whether the repeats contradict the line. Where they do, it is only as sure as the distances' means lie on it, however
 * often each was read.
 */
export function bendOf(used: readonly Heard[], line: LinearFit, noise: Noise, stepM: number) {
  const { residualSd, degreesOfFreedom } = line;
  const repeats = used.map(({ trueM, readingM }) => ({
    setting: trueM,
    value: readingM,
    noise: noise(trueM),
  }));
  const lack = lackOfFit(repeats, line.residualSumOfSquares, 2, roundingSdM(stepM));
  if (lack.pValue >= CONTRADICTED) return { bendM: null, residualSd, degreesOfFreedom };
  const [offsetM = 0, scale = 1] = line.coefficients;
  const offs = distinct(used.map(({ trueM }) => trueM)).map((at) => {
    const there = used.filter(({ trueM }) => trueM === at).map(({ readingM }) => readingM);
    return Math.abs(mean(there) - offsetM - scale * at);
  });
  return {
    bendM: Math.max(...offs),
    residualSd: Math.sqrt(lack.meanSquare),
    degreesOfFreedom: lack.degreesOfFreedom,
  };
}

/** Where a line is known best, and how well. */
export function atMiddle(line: LinearFit, hiddenM: number): { distanceM: number; half95M: number } {
  const [, [shared = 0, ofScale = 1] = []] = line.unscaledCovariance;
  const distanceM = -shared / ofScale;
  if (line.degreesOfFreedom < 1) return { distanceM, half95M: Infinity };
  const error = line.residualSd * Math.sqrt(leverage(line, [1, distanceM]));
  return { distanceM, half95M: student975(line.degreesOfFreedom) * error + hiddenM };
}
