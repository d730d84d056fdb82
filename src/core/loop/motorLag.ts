import { firstAtOrAfter, whereRead, type ChannelLog } from '../channels/log';
import { mean, sampleSd } from '../stats/moments';
import { student975 } from '../stats/student';

/** How long the motors take to come to their speed: after so long 1 − e⁻¹ = 63 % of it is there. */
export interface MotorLag {
  /** Null where all starts are ramps. */
  lagS: number | null;
  /** 95 %; null from fewer than three starts. */
  low95S: number | null;
  high95S: number | null;
  starts: number;
  /** Starts that speed up evenly: there a program ramps, and the motors' own lag cannot be seen. */
  ramped: number;
}

/** A wheel's angle from a moment of rest on. */
interface Start {
  tS: number[];
  degrees: number[];
}

/** Before a start it stands for so long, and afterwards drives for so long. */
const RESTS_S = 0.2;
const DRIVES_S = 0.6;
/** It moves where it turns by so many degrees in so long; below so many in all there is too little to look at. */
const MOVES_DEG = 3;
const MOVES_WITHIN_S = 0.1;
const LEAST_DEG = 25;
/** A start begins up to so long before it is seen to move. */
const BEGINS_BEFORE_S = 0.15;
const LAGS_S = { from: 0.004, to: 0.4 };
const GRID = 24;
const ROUNDS = 5;
/** A ramp has to fit so much better than a lag to be called one. */
const CLEARLY = 0.7;

/** The starts of one wheel: standing, then moving one way for as long as is looked at. */
function startsOf(tS: Float64Array, degrees: Float64Array): Start[] {
  const found: Start[] = [];
  let before = 0;
  let movedS = tS[0] ?? 0;
  for (let i = 1; i < tS.length; i += 1) {
    const t = tS[i] ?? 0;
    while ((tS[before] ?? t) < t - MOVES_WITHIN_S) before += 1;
    // A creep, or what is left of a stop, is no motion.
    if (Math.abs((degrees[i] ?? 0) - (degrees[before] ?? 0)) < MOVES_DEG) continue;
    if (t - movedS >= RESTS_S) {
      const start = startAt(tS, degrees, i);
      if (start !== null) found.push(start);
    }
    movedS = t;
  }
  return found;
}

function startAt(tS: Float64Array, degrees: Float64Array, seen: number): Start | null {
  const seenS = tS[seen] ?? 0;
  const start: Start = { tS: [], degrees: [] };
  let base: number | null = null;
  for (let i = firstAtOrAfter(tS, seenS - RESTS_S); i < tS.length; i += 1) {
    const t = (tS[i] ?? 0) - seenS;
    if (t > DRIVES_S) break;
    base ??= degrees[i] ?? 0;
    start.tS.push(t);
    start.degrees.push((degrees[i] ?? 0) - base);
  }
  const whole = start.degrees.at(-1) ?? 0;
  const lasts = (start.tS.at(-1) ?? 0) > 0.9 * DRIVES_S;
  // It is well on its way in the middle, and goes on as fast at the end: neither a creep before the start, nor a start
  // that is over already.
  const middle = start.degrees[start.tS.findIndex((t) => t >= DRIVES_S / 2)] ?? 0;
  const goesOn =
    Math.abs(middle) > 0.25 * Math.abs(whole) && Math.abs(whole - middle) > 0.8 * Math.abs(middle);
  return lasts && goesOn && Math.abs(whole) >= LEAST_DEG ? start : null;
}

/** Travel after a time, at a final speed of 1: with a first-order lag, or speeding up evenly over a time. */
const lagged = (s: number, lagS: number): number => s - lagS * (1 - Math.exp(-s / lagS));
const rampedUp = (s: number, overS: number): number =>
  s < overS ? (s * s) / (2 * overS) : s - overS / 2;

type Shape = (s: number, timeS: number) => number;

/** What a shape leaves unexplained, with the final speed that fits best. */
function misfit({ tS, degrees }: Start, shape: Shape, beganS: number, timeS: number): number {
  let [xy, xx, yy] = [0, 0, 0];
  for (let i = 0; i < tS.length; i += 1) {
    const s = (tS[i] ?? 0) - beganS;
    const x = s > 0 ? shape(s, timeS) : 0;
    const y = degrees[i] ?? 0;
    xy += x * y;
    xx += x * x;
    yy += y * y;
  }
  return xx > 0 ? yy - (xy * xy) / xx : yy;
}

/** When it began and how long it took, with the least squares: a grid, made ever finer around the best. */
function bestOf(start: Start, shape: Shape, most: number) {
  let [beganFrom, beganTo] = [-BEGINS_BEFORE_S, 0];
  let [timeFrom, timeTo] = [Math.log(LAGS_S.from), Math.log(most)];
  let best = { beganS: 0, timeS: LAGS_S.from, left: Infinity };
  for (let round = 0; round < ROUNDS; round += 1) {
    for (let i = 0; i <= GRID; i += 1) {
      const beganS = beganFrom + ((beganTo - beganFrom) * i) / GRID;
      for (let j = 0; j <= GRID; j += 1) {
        const timeS = Math.exp(timeFrom + ((timeTo - timeFrom) * j) / GRID);
        const left = misfit(start, shape, beganS, timeS);
        if (left < best.left) best = { beganS, timeS, left };
      }
    }
    const [dBegan, dTime] = [(2 * (beganTo - beganFrom)) / GRID, (2 * (timeTo - timeFrom)) / GRID];
    [beganFrom, beganTo] = [best.beganS - dBegan, best.beganS + dBegan];
    [timeFrom, timeTo] = [Math.log(best.timeS) - dTime, Math.log(best.timeS) + dTime];
  }
  return best;
}

/**
 * The lag of the motors, by the starts in a log of their angles: each start from rest at a constant command, as the
 * response of a first-order lag, speed · (1 − e^(−t/lag)); starts that are better explained by speeding up evenly are
 * left out. A start with another one's speed counts the same: the lag does not depend on it.
 *
 * Source: step response of a first-order system (Åström and Murray, Feedback Systems, 2nd ed., 2021, section 6.3);
 * least squares in angle, by a grid made finer.
 * @returns null where the log has no such start, or no angles of the motors
 */
export function motorLag(log: ChannelLog): MotorLag | null {
  const keys = ['leftMotorDegrees', 'rightMotorDegrees'].filter(
    (key) => log.columns[key] !== undefined,
  );
  const starts = keys.flatMap((key) => {
    const { tS, columns } = whereRead(log, [key]);
    const angles = columns[key];
    return angles === undefined ? [] : startsOf(tS, angles);
  });
  const judged = starts.map((start) => ({
    lag: bestOf(start, lagged, LAGS_S.to),
    ramp: bestOf(start, rampedUp, 2 * LAGS_S.to),
  }));
  const isRamp = ({ lag, ramp }: (typeof judged)[number]) => ramp.left < CLEARLY * lag.left;
  const lags = judged.filter((one) => !isRamp(one)).map(({ lag }) => lag.timeS);
  const ramped = judged.length - lags.length;
  if (judged.length === 0) return null;
  if (lags.length === 0) return { lagS: null, low95S: null, high95S: null, starts: 0, ramped };
  const lagS = mean(lags);
  const half =
    lags.length < 3
      ? null
      : (student975(lags.length - 1) * sampleSd(lags)) / Math.sqrt(lags.length);
  return {
    lagS,
    low95S: half && Math.max(0, lagS - half),
    high95S: half && lagS + half,
    starts: lags.length,
    ramped,
  };
}
