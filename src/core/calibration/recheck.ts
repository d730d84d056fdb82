import { lengthStepM } from '../stats/instrumentStep';
import { mean } from '../stats/moments';
import { ROUNDING_SD } from '../stats/roundedFit';
import { studentQuantile } from '../stats/student';
import { errorLength } from '../text/quantities';
import type { RangeCalibration } from '../calibrationValues/range';
import type { StopCalibration } from '../calibrationValues/stop';
import { overrunM } from '../control/overrun';

/** What a calibration foretells of one trial. */
export interface Foretold {
  expectedM: number;
  /** How well the calibration knows that, and how single trials scatter about it: standard deviations. */
  seM: number;
  sdM: number;
}

/** A trial by which it is seen whether a calibration still holds. */
export interface RecheckTrial extends Foretold {
  /** "30 cm by the tape, from the sensor’s face" */
  told: string;
  /** What is read off. */
  label: string;
}

/** Whether it still holds, and the sentence that says so. */
export interface Rechecked {
  holds: boolean;
  sentence: string;
}

/** What is tested may be wrong by chance in so many of 100 re-checks of something that holds. */
const LEVEL = 0.05;

/**
 * Whether two or three trials are as a calibration foretells them: each single one, and their mean, by Student's t with
 * the level shared among these tests (Bonferroni). The calibration's own error is common to all, the scatter is not, and
 * readings are rounded. Nothing is fitted: so few trials tell whether it still holds, and not what holds instead.
 *
 * @param degreesOfFreedom on which the scatter rests
 */
export function judgeRecheck(
  foretold: readonly Foretold[],
  readM: readonly number[],
  degreesOfFreedom: number,
): Rechecked {
  const n = readM.length;
  const off = readM.map((value, i) => value - (foretold[i]?.expectedM ?? Number.NaN));
  const used = foretold.slice(0, n);
  const roundingM = ROUNDING_SD * lengthStepM(readM);
  const t = studentQuantile(LEVEL / (n > 1 ? n + 1 : 1), Math.max(1, degreesOfFreedom));
  const single = used.map(({ seM, sdM }) => t * Math.hypot(seM, sdM, roundingM));
  const seM = mean(used.map((one) => one.seM));
  const scatterM = Math.sqrt(mean(used.map(({ sdM }) => sdM ** 2)) + roundingM ** 2);
  const meanOffM = mean(off);
  const meanHalfM = t * Math.hypot(seM, scatterM / Math.sqrt(n));
  const holds =
    off.every((one, i) => Math.abs(one) <= (single[i] ?? 0)) && Math.abs(meanOffM) <= meanHalfM;
  const figures = `off by ${off.map((one) => errorLength(one)).join(', ')}; on average by ${errorLength(meanOffM, 1)}, where ± ${errorLength(meanHalfM, 1)} are foretold`;
  return {
    holds,
    sentence: holds
      ? `It still holds: ${figures}.`
      : `It does not hold any more: ${figures}. Measure it anew.`,
  };
}

/** Distances at which a sensor is looked at again, of those at which it was measured. */
const SHARES = [0.15, 0.5, 0.85];
const CM = 0.01;

/** Readings that tell whether a distance sensor still reads as it did; none of one that shows volts. */
export function rangeRecheck(
  value: RangeCalibration,
  say: (metres: number) => string,
): RecheckTrial[] {
  const { offsetM, scaleFactor, scaleFactorSe, atMid, noiseM, validFromM, validToM, volts } = value;
  if (volts !== undefined) return [];
  return SHARES.map((share) => {
    const trueM = Math.round((validFromM + share * (validToM - validFromM)) / CM) * CM;
    const awayM = trueM - (atMid?.distanceM ?? 0);
    return {
      told: `${say(trueM)} by the tape, from the sensor’s face`,
      label: `Reads, at ${say(trueM)}`,
      expectedM: offsetM + scaleFactor * trueM,
      seM: Math.hypot(atMid?.seM ?? value.offsetSeM, scaleFactorSe * awayM),
      sdM: noiseM,
    };
  });
}

/** From so far off a wall robots usually stop. */
const THRESHOLD_M = 0.2;

/** Stops that tell whether a robot still drives on as it did. */
export function stopRecheck(
  value: StopCalibration,
  say: (metres: number) => string,
): RecheckTrial[] {
  const { slowestMPerS, fastestMPerS, residualSdM, n, lateSeS } = value;
  return [fastestMPerS, fastestMPerS, slowestMPerS].map((speedMPerS, i) => ({
    told: `At ${say(speedMPerS)}/s, told to stop at ${say(THRESHOLD_M)} before a wall`,
    label: `Stands before the wall, stop ${i + 1}`,
    expectedM: THRESHOLD_M - overrunM(value, speedMPerS),
    seM: lateSeS === undefined ? residualSdM / Math.sqrt(n) : lateSeS * speedMPerS,
    sdM: residualSdM,
  }));
}
