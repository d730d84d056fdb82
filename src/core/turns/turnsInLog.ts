import { median } from '../stats/median';
import { radiansFromDegrees } from '../geometry/angle';
import { firstAtOrAfter } from '../channels/log';

/** A turn as a robot's own log shows it. */
export interface FoundTurn {
  fromS: number;
  toS: number;
  /** By the robot's own heading: left positive, unwrapped; a scale error of its gyro stays unseen. */
  turnedRad: number;
  /** Turning rate in the middle of the turn, a magnitude. */
  rateRadPerS: number;
  durationS: number;
  /** By its wheels; `arc`: it drove on while it turned. Null: the log has no encoders. */
  kind: 'spin' | 'pivot' | 'arc' | null;
}

export interface TurnLog {
  tS: Float64Array;
  headingRad: Float64Array;
  leftMotorDegrees?: Float64Array | undefined;
  rightMotorDegrees?: Float64Array | undefined;
}

/** Rates are taken over so long: a whole degree of a coarse sensor is no turning then. */
const WINDOW_S = 0.2;
const LEAST_RATE_RAD_PER_S = 0.15;
/** A turn that pauses for less goes on. */
const LONGEST_PAUSE_S = 0.25;
const LEAST_TURN_RAD = radiansFromDegrees(10);
/** The heading before and after is taken over this long, once the robot has settled. */
const AT_REST_S = 0.4;
const AFTER_STOP_S = 0.1;
/** A turn lasts from this share of its angle to this share before its end. */
const EDGE_SHARE = 0.02;
/** Below this share of the other wheel's roll a wheel stands; above the other both turn alike. */
const STANDS = 0.25;
const ALIKE = 0.6;

interface Stretch {
  from: number;
  to: number;
  sign: number;
}

function windowedRates(tS: Float64Array, headingRad: Float64Array): Float64Array {
  let low = 0;
  let high = 0;
  return tS.map((t) => {
    while ((tS[low] ?? 0) < t - WINDOW_S / 2) low += 1;
    while (high < tS.length - 1 && (tS[high] ?? 0) < t + WINDOW_S / 2) high += 1;
    const span = (tS[high] ?? 0) - (tS[low] ?? 0);
    return span > 0 ? ((headingRad[high] ?? 0) - (headingRad[low] ?? 0)) / span : 0;
  });
}

function movingStretches(tS: Float64Array, rates: Float64Array): Stretch[] {
  const found: Stretch[] = [];
  rates.forEach((rate, i) => {
    if (Math.abs(rate) < LEAST_RATE_RAD_PER_S) return;
    const sign = Math.sign(rate);
    const last = found.at(-1);
    const goesOn = last?.sign === sign && (tS[i] ?? 0) - (tS[last.to] ?? 0) <= LONGEST_PAUSE_S;
    if (last !== undefined && goesOn) last.to = i;
    else found.push({ from: i, to: i, sign });
  });
  return found;
}

function meanBetween(tS: Float64Array, values: Float64Array, fromS: number, toS: number): number {
  const from = Math.min(firstAtOrAfter(tS, fromS), tS.length - 1);
  const to = Math.max(from + 1, firstAtOrAfter(tS, toS));
  const part = values.subarray(from, to);
  return part.reduce((sum, value) => sum + value, 0) / part.length;
}

function kindOf(log: TurnLog, from: number, to: number): FoundTurn['kind'] {
  const { leftMotorDegrees: left, rightMotorDegrees: right } = log;
  if (left === undefined || right === undefined) return null;
  const rolled = [left, right].map((wheel) => (wheel[to] ?? 0) - (wheel[from] ?? 0));
  const [most = 0, least = 0] = rolled.toSorted((a, b) => Math.abs(b) - Math.abs(a));
  const share = most === 0 ? 0 : least / most;
  if (Math.abs(share) < STANDS) return 'pivot';
  return share < -ALIKE ? 'spin' : 'arc';
}

/**
 * The turns in a robot's log: stretches in which its heading changes by 10° or more, each between two
 * rests. The angle is the difference of the mean headings at rest before and after; the duration runs
 * from 2 % to 98 % of it; the rate is the median over the middle half of the angle.
 *
 * @param log in order of time, headings unwrapped, encoders counting on
 */
export function turnsInLog(log: TurnLog): FoundTurn[] {
  const { tS, headingRad } = log;
  const rates = windowedRates(tS, headingRad);
  return movingStretches(tS, rates).flatMap(({ from, to }): FoundTurn[] => {
    const begin = tS[from] ?? 0;
    const end = tS[to] ?? 0;
    const before = meanBetween(tS, headingRad, begin - AT_REST_S, begin - AFTER_STOP_S / 2);
    const after = meanBetween(tS, headingRad, end + AFTER_STOP_S, end + AT_REST_S);
    const turnedRad = after - before;
    if (Math.abs(turnedRad) < LEAST_TURN_RAD) return [];
    const share = (i: number) => ((headingRad[i] ?? 0) - before) / turnedRad;
    const places = Array.from({ length: to - from + 1 }, (_, k) => from + k);
    const first = places.find((i) => share(i) >= EDGE_SHARE) ?? from;
    const last = places.find((i) => share(i) >= 1 - EDGE_SHARE) ?? to;
    const middle = places.filter((i) => share(i) >= 0.25 && share(i) <= 0.75);
    return [
      {
        fromS: tS[first] ?? 0,
        toS: tS[last] ?? 0,
        turnedRad,
        rateRadPerS: Math.abs(median(middle.map((i) => rates[i] ?? 0))),
        durationS: (tS[last] ?? 0) - (tS[first] ?? 0),
        kind: kindOf(log, from, to),
      },
    ];
  });
}
