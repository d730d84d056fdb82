import { channelLabel } from '../channels/key';
import { distanceFromMotorDegrees } from '../robot/conversions';
import { whereRead, type ChannelLog } from '../channels/log';
import type { Robot } from '../robot/robot';
import type { TunedId } from '../robot/tunedIds';
import { SHOWN } from '../control/tuned';
import { judgeFollowing } from './following';
import { gainTrace, worksAgainst } from './gainTrace';
import { judgeGain, type GainJudgement, type Trace } from './judge';
import { swingsOf } from './swings';
import type { WallSide } from './wallTrace';

/** What a log does not tell of a controller that was at work in it. */
export interface TracedBy {
  /** The channel of the reading that was kept; null for a controller that keeps none. */
  channel: string | null;
  /** The reading that was to be kept; for a turn the angle that was to be turned, rad, left positive. */
  target: number;
  /** Where the wall or the darker half was. */
  side: WallSide;
  /** How far ahead of the axle the sensor of that reading sits, m. */
  aheadM: number;
}

export interface JudgedTrace {
  trace: Trace;
  /** Null where the trace is too short to tell. */
  judged: GainJudgement | null;
  /** How fast it drove on average. */
  speedMPerS?: number;
}

/** What the wheels do is taken over so long before and after a moment: encoders count in steps. */
const HALF_WINDOW_S = 0.04;
/** Slower than this a wheel stands. */
const STANDS_M_PER_S = 0.01;

/** Rate of a quantity about each moment. */
function rates(tS: readonly number[], values: readonly number[]): number[] {
  let [from, to] = [0, 0];
  return values.map((_, i) => {
    const now = tS[i] ?? 0;
    while ((tS[from] ?? 0) < now - HALF_WINDOW_S) from += 1;
    while (to < tS.length - 1 && (tS[to] ?? 0) < now + HALF_WINDOW_S) to += 1;
    const seconds = (tS[to] ?? 0) - (tS[from] ?? 0);
    return seconds > 0 ? ((values[to] ?? 0) - (values[from] ?? 0)) / seconds : 0;
  });
}

/** Time since the wheels began to turn, both wheels and what the controller goes by, for as long as they turn. */
function whileDriven(log: ChannelLog, robot: Robot, goesBy: string | null) {
  const keys = ['leftMotorDegrees', 'rightMotorDegrees', ...(goesBy === null ? [] : [goesBy])];
  const missing = keys.find((key) => log.columns[key] === undefined);
  if (missing !== undefined) {
    throw new Error(
      `The log does not hold this: ${channelLabel(missing)}. Let the program write it.`,
    );
  }
  const { tS, columns } = whereRead(log, keys);
  const [leftM = [], rightM = [], read = []] = keys.map((key, i) =>
    Array.from(columns[key] ?? [], (value) =>
      i < 2 ? distanceFromMotorDegrees(robot, value) : value,
    ),
  );
  const times = Array.from(tS);
  const [left, right] = [rates(times, leftM), rates(times, rightM)];
  const drives = (_: number, i: number) =>
    Math.max(Math.abs(left[i] ?? 0), Math.abs(right[i] ?? 0)) > STANDS_M_PER_S;
  const from = left.findIndex(drives);
  if (from < 0) throw new Error('The motors do not turn in it: record while the robot drives.');
  const until = left.findLastIndex(drives) + 1;
  const cut = (values: readonly number[]) => values.slice(from, until);
  const drivenS = cut(times).map((time) => time - (times[from] ?? 0));
  return { tS: drivenS, leftM: cut(leftM), rightM: cut(rightM), read: cut(read) };
}

/** Wheels that shake to and fro by more than this share of their hardest turning are shaken by the gain. */
const SHAKEN = 0.2;
/** Less than that is the steps of its encoders, rad/s. */
const SHAKES_RAD_PER_S = 0.3;
/** A hand that lets a wheel go leaves less than this of the turning that it made. */
const LET_GO = 0.5;
/** An error that goes to both sides so often is brought back, if too hard. */
const BACK_AND_FORTH = 3;

/**
 * Whether a robot that was pushed is brought back. While a hand holds a wheel the wheels turn it away, which is none
 * of its controller's doing: only what comes after counts.
 */
function isBroughtBack({ tS, error, correction }: Trace): boolean {
  if (swingsOf(tS, error).swings.length >= BACK_AND_FORTH) return true;
  const most = Math.max(...correction.map(Math.abs));
  const hardest = correction.findIndex((value) => Math.abs(value) === most);
  const from = correction.findIndex((value, i) => i > hardest && Math.abs(value) < LET_GO * most);
  if (from < 0) return false;
  const after = (values: readonly number[]) => values.slice(from);
  return worksAgainst({ tS: after(tS), error: after(error), correction: after(correction) });
}

const sinceFirst = (values: readonly number[]) => values.map((value) => value - (values[0] ?? 0));

/**
 * The trace of a controller, and how its gain is judged, from any log that holds the motors and what the controller
 * goes by. What it told the motors stands in few logs: what the wheels did is taken for it.
 *
 * @param robot as it was measured
 * @throws Error with a sentence that says what the log lacks
 */
export function traceFromLog(
  log: ChannelLog,
  id: TunedId,
  robot: Robot,
  { channel, target, side, aheadM }: TracedBy,
): JudgedTrace {
  const goesBy = id === 'balance' ? null : (channel ?? 'headingRad');
  const { tS, leftM, rightM, read } = whileDriven(log, robot, goesBy);
  const byEncoders = rightM.map((right, i) => (right - (leftM[i] ?? 0)) / robot.trackM);
  const correction = rates(tS, byEncoders);
  if (channel !== null) {
    const trace = { tS, error: read.map((value) => value - target), correction };
    const seconds = (tS.at(-1) ?? 0) - (tS[0] ?? 0);
    const rolledM = sinceFirst(leftM.map((left, i) => (left + (rightM[i] ?? 0)) / 2)).at(-1) ?? 0;
    const speedMPerS = rolledM / seconds;
    const leadS = rolledM > 0 ? aheadM / speedMPerS : undefined;
    const most = Math.max(...correction.map(Math.abs));
    const limitShare = most > SHAKES_RAD_PER_S ? SHAKEN : Infinity;
    const towards = side === 'left' ? 1 : -1;
    return { trace, judged: judgeFollowing(trace, towards, leadS, limitShare), speedMPerS };
  }
  const turned = sinceFirst(goesBy === null ? byEncoders : read);
  const error = id === 'turn' ? turned.map((value) => value - target) : turned;
  const trace = { tS, error, correction };
  // A turn is let go at its start, the others are pushed on the way.
  const judged =
    id === 'turn'
      ? gainTrace(trace, SHOWN.turn.bandRad)
      : judgeGain(trace, isBroughtBack(trace), { order: 1 });
  return { trace, judged };
}
