import type { ThreeSentences } from '../../gyro/still/stillSentence';
import type { Robot } from '../../robot/robot';
import { wilson, type SuccessRate } from '../../stats/wilson';
import { gainText } from '../../control/tuned';
import { benchLength, benchSpeed, number, percent } from '../../text/quantities';
import { line } from '../controllers/line';
import { firstGain, type GoodGains } from '../firstGain';
import {
  bothWays,
  fastestRound,
  mostByLightMPerS,
  neededGainRadPerS,
  type BendSize,
  type FastestRound,
} from './fastestRound';
import { followBend, looksAtEdge } from './followBend';

export interface EdgeRequest {
  robot: Robot;
  size: BendSize;
  speedMPerS: number;
  /** Null: as much as the bend needs. */
  gainRadPerS: number | null;
}

export interface EdgeStudy {
  gainRadPerS: number;
  /** What this bend needs at this speed. */
  neededRadPerS: number;
  /** Of all gains those that come back on a straight edge at this speed; null: none does. */
  good: GoodGains | null;
  fastest: FastestRound;
  /** Round the bend at this speed, half of them either way. */
  rounds: SuccessRate;
  /** The longest that one of those that held read nothing but floor or line. */
  blindS: number;
  /** After so long without the edge a program should stop. */
  lostAfterS: number;
  sentences: ThreeSentences;
}

const ROUNDS_EACH = 15;
/** A line is lost when it is away for twice as long as it ever was in runs that held it. */
const LOST_TIMES = 2;
const LEAST_LOST_S = 0.1;
const LEAST_ROUNDS = 3;

function roundsAt({ robot, size, speedMPerS }: EdgeRequest, gainRadPerS: number) {
  let [held, blindS] = [0, 0];
  for (const bend of bothWays(size)) {
    for (let seed = 1; seed <= ROUNDS_EACH; seed += 1) {
      const followed = followBend(robot, { bend, speedMPerS, gainRadPerS }, 100 + seed);
      if (followed?.held !== true) continue;
      held += 1;
      blindS = Math.max(blindS, followed.blindS);
    }
  }
  return { rounds: wilson(held, 2 * ROUNDS_EACH), blindS };
}

function foundSentence(asked: EdgeRequest, study: Omit<EdgeStudy, 'sentences'>): string {
  const { speedMPerS } = study.fastest;
  const bend = `Round a bend of ${benchLength(asked.size.radiusM)}`;
  return speedMPerS === null
    ? `${bend} it does not hold the edge with ${gainText('line', study.gainRadPerS)}, at no speed.`
    : `${bend} it follows the edge at up to ${benchSpeed(speedMPerS)} with ${gainText('line', study.gainRadPerS)}.`;
}

function meansSentence(asked: EdgeRequest, study: Omit<EdgeStudy, 'sentences'>): string {
  const { successes, n, low95 } = study.rounds;
  const at = benchSpeed(asked.speedMPerS);
  const allowed = mostByLightMPerS(asked.robot, asked.size.radiusM, study.gainRadPerS);
  const byLight = `Faster than about ${benchSpeed(allowed)} this gain cannot turn it so tightly: all floor or all line is the most that it sees.`;
  const held =
    successes === n
      ? `At ${at} it held in all of ${n} simulated runs (${percent(low95)} at least), and was without the edge for ${number(study.blindS, 2)} s at most.`
      : `At ${at} it held in ${successes} of ${n} simulated runs.`;
  return `${held} ${byLight}`;
}

function nextSentence(asked: EdgeRequest, study: Omit<EdgeStudy, 'sentences'>): string {
  const { gainRadPerS, neededRadPerS, good, rounds, lostAfterS } = study;
  if (asked.size.radiusM < asked.robot.trackM / 2) {
    return `Such a bend is tighter than half of the robot’s track, ${benchLength(asked.robot.trackM / 2)}: following, its inner wheel stands at best. Drive it as a turn.`;
  }
  const isTooStrong = good !== null && neededRadPerS > good.to;
  if (isTooStrong) {
    return `This bend needs ${gainText('line', neededRadPerS)} at this speed, and from ${gainText('line', good.to)} on it shakes: drive slower there.`;
  }
  if (rounds.successes < rounds.n && gainRadPerS < neededRadPerS) {
    return `Drive slower, or with a gain of ${gainText('line', neededRadPerS)}: the faster, the more it needs.`;
  }
  if (rounds.successes < rounds.n) {
    return 'Drive slower, or bring the sensor further ahead of the wheels.';
  }
  return `Stop when nothing but floor or line was read for ${number(lostAfterS, 2)} s: it is ${benchLength(lostAfterS * asked.speedMPerS)} on by then. Judge the gain at the table by eye or by a trace.`;
}

/**
 * How fast a line's edge may be followed round its tightest bend, with which gain, and when it is lost, from the robot as
 * it was measured.
 *
 * @returns null for a robot without a light sensor that parts line from floor
 */
export function edgeStudy(asked: EdgeRequest): EdgeStudy | null {
  const { robot, size, speedMPerS } = asked;
  const looks = looksAtEdge(robot);
  if (looks === null || looks.span === 0) return null;
  const neededRadPerS = neededGainRadPerS(robot, size.radiusM, speedMPerS);
  const gainRadPerS = asked.gainRadPerS ?? neededRadPerS;
  const { rounds, blindS } = roundsAt(asked, gainRadPerS);
  if (rounds === null) return null;
  const { periodS } = looks.unit.behaviour;
  const study = {
    gainRadPerS,
    neededRadPerS,
    good: firstGain(line, robot, speedMPerS),
    fastest: fastestRound(robot, size, gainRadPerS),
    rounds,
    blindS,
    lostAfterS: Math.max(
      LEAST_LOST_S,
      LOST_TIMES * blindS,
      LEAST_ROUNDS * Math.max(robot.loopPeriodS, periodS),
    ),
  };
  return {
    ...study,
    sentences: {
      found: foundSentence(asked, study),
      means: meansSentence(asked, study),
      next: nextSentence(asked, study),
    },
  };
}
