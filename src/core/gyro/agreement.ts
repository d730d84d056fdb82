import { distanceFromMotorDegrees } from '../robot/conversions';
import type { Robot } from '../robot/robot';

/** Heading by the encoders alone: (right − left) over the track, zero at the first sample. */
export function encoderHeading(
  leftMotorDegrees: Float64Array,
  rightMotorDegrees: Float64Array,
  robot: Robot,
): Float64Array {
  const left0 = leftMotorDegrees[0] ?? 0;
  const right0 = rightMotorDegrees[0] ?? 0;
  return leftMotorDegrees.map((left, i) => {
    const difference = (rightMotorDegrees[i] ?? 0) - right0 - (left - left0);
    return distanceFromMotorDegrees(robot, difference) / robot.trackM;
  });
}

/** How regular a log's time stamps are: the program's loop. */
export interface LoopPeriod {
  meanS: number;
  worstS: number;
  samples: number;
}

export function loopPeriod(tS: Float64Array): LoopPeriod {
  let worst = 0;
  for (let i = 1; i < tS.length; i += 1) worst = Math.max(worst, (tS[i] ?? 0) - (tS[i - 1] ?? 0));
  const steps = Math.max(1, tS.length - 1);
  return {
    meanS: ((tS.at(-1) ?? 0) - (tS[0] ?? 0)) / steps,
    worstS: worst,
    samples: tS.length,
  };
}

/** Values at equal times, between the samples around each. */
function resample(tS: Float64Array, values: Float64Array, periodS: number): Float64Array {
  const start = tS[0] ?? 0;
  const n = Math.floor(((tS.at(-1) ?? 0) - start) / periodS) + 1;
  const result = new Float64Array(n);
  let j = 0;
  for (let i = 0; i < n; i += 1) {
    const t = start + i * periodS;
    while (j < tS.length - 2 && (tS[j + 1] ?? 0) <= t) j += 1;
    const [t0, t1] = [tS[j] ?? 0, tS[j + 1] ?? 0];
    const share = t1 > t0 ? Math.min(1, (t - t0) / (t1 - t0)) : 0;
    result[i] = (values[j] ?? 0) + share * ((values[j + 1] ?? 0) - (values[j] ?? 0));
  }
  return result;
}

const LONGEST_LAG_S = 0.4;
/** Below this correlation gyro and encoders did not see the same turning. */
const LEAST_AGREEMENT = 0.6;
/** The robot has to turn by so much in all for a lag to show. */
const LEAST_TURNING_RAD = 1;

/**
 * By how much the gyro's heading comes after the encoders': the shift at which their turning rates
 * agree best (highest normalised cross-correlation), refined by a parabola through its neighbours.
 *
 * Source: Knapp and Carter, IEEE Trans. ASSP 24 (1976) 320–327.
 * @returns null when the robot hardly turns, the two do not see the same turning, or the best shift lies at the edge of what is looked at
 */
export function headingLag(
  tS: Float64Array,
  gyroRad: Float64Array,
  encoderRad: Float64Array,
): number | null {
  const periodS = Math.max(0.005, Math.min(0.02, loopPeriod(tS).meanS));
  const rates = [gyroRad, encoderRad].map((values) => {
    const even = resample(tS, values, periodS);
    return even.slice(1).map((value, i) => value - (even[i] ?? 0));
  });
  const [gyro = new Float64Array(), encoder = new Float64Array()] = rates;
  const turning = encoder.reduce((sum, step) => sum + Math.abs(step), 0);
  if (turning < LEAST_TURNING_RAD) return null;
  const most = Math.round(LONGEST_LAG_S / periodS);
  const score = (shift: number): number => {
    let both = 0;
    let own = 0;
    let other = 0;
    for (let i = Math.max(0, -shift); i < encoder.length - Math.max(0, shift); i += 1) {
      const a = encoder[i] ?? 0;
      const b = gyro[i + shift] ?? 0;
      both += a * b;
      own += a * a;
      other += b * b;
    }
    return own > 0 && other > 0 ? both / Math.sqrt(own * other) : 0;
  };
  const scores = Array.from({ length: 2 * most + 1 }, (_, k) => score(k - most));
  const best = scores.indexOf(Math.max(...scores));
  const tooWeak = (scores[best] ?? 0) < LEAST_AGREEMENT;
  if (tooWeak || best === 0 || best === scores.length - 1) return null;
  const [before, at, after] = [scores[best - 1] ?? 0, scores[best] ?? 0, scores[best + 1] ?? 0];
  const bend = before - 2 * at + after;
  const offset = bend === 0 ? 0 : (before - after) / (2 * bend);
  return (best - most + offset) * periodS;
}

/** A stretch in which gyro and encoders part, and how far. */
export interface Divergence {
  fromS: number;
  toS: number;
  changeRad: number;
}

/** Values as they are a while later, between the samples around each moment. */
function later(tS: Float64Array, values: Float64Array, byS: number): Float64Array {
  if (byS === 0) return values;
  let j = 0;
  return tS.map((moment) => {
    const t = moment + byS;
    while (j < tS.length - 2 && (tS[j + 1] ?? 0) <= t) j += 1;
    while (j > 0 && (tS[j] ?? 0) > t) j -= 1;
    const [t0, t1] = [tS[j] ?? 0, tS[j + 1] ?? 0];
    const share = t1 > t0 ? Math.max(0, Math.min(1, (t - t0) / (t1 - t0))) : 0;
    return (values[j] ?? 0) + share * ((values[j + 1] ?? 0) - (values[j] ?? 0));
  });
}

const WINDOW_S = 0.5;
const LEAST_PARTING_RAD = 0.05;

/**
 * Moments at which gyro and encoders suddenly part: by more than 3° within half a second, and by far
 * more than is usual in this log. A wheel slipped, or somebody touched the robot.
 *
 * @param lagS by which the gyro comes after the encoders; it is taken out first
 */
export function divergences(
  tS: Float64Array,
  gyroRad: Float64Array,
  encoderRad: Float64Array,
  lagS = 0,
): Divergence[] {
  const aligned = later(tS, gyroRad, lagS);
  const difference = aligned.map((value, i) => value - (encoderRad[i] ?? 0));
  const last = tS.at(-1) ?? 0;
  const changes: number[] = [];
  const starts: number[] = [];
  let j = 0;
  for (let i = 0; i < tS.length; i += 1) {
    while (j < tS.length && (tS[j] ?? 0) < (tS[i] ?? 0) + WINDOW_S) j += 1;
    if (j >= tS.length || (tS[j] ?? 0) > last - lagS) break;
    starts.push(i);
    changes.push((difference[j] ?? 0) - (difference[i] ?? 0));
  }
  const sizes = changes.map(Math.abs).toSorted((a, b) => a - b);
  const usual = sizes[Math.floor(0.9 * sizes.length)] ?? 0;
  const limit = Math.max(LEAST_PARTING_RAD, 3 * usual);
  const found: Divergence[] = [];
  changes.forEach((change, k) => {
    if (Math.abs(change) < limit) return;
    const fromS = tS[starts[k] ?? 0] ?? 0;
    const open = found.at(-1);
    if (open !== undefined && fromS <= open.toS) {
      open.toS = fromS + WINDOW_S;
      if (Math.abs(change) > Math.abs(open.changeRad)) open.changeRad = change;
    } else {
      found.push({ fromS, toS: fromS + WINDOW_S, changeRad: change });
    }
  });
  return found;
}
