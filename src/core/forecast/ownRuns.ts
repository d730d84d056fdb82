import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { drawn } from '../sources/sources';
import { mean, sampleSd } from '../stats/moments';
import type { MeanRange } from './meanRange';
import { randomStream } from '../stats/random';
import type { RobotRange } from './robotRange';
import { RUNS_PER_ROBOT } from './prepare';
import type { Sensitivity } from './sensitivities';

const Z = 1.96;
/** So many robots that this one may be tell the limits of its chance. */
const ROBOTS = 400;
/** Their numbers, which no simulated run uses. */
const FIRST_ROBOT = 500_000;

type Moves = (sensitivity: Sensitivity) => Pose | undefined;

const atEnd: Moves = ({ end }) => end;
const atMark =
  (key: string): Moves =>
  ({ marks }) =>
    marks.get(key);

/** How far a robot that is sampled under a number is moved by all its doubts. */
function movedBy(
  sensitivities: readonly Sensitivity[],
  moves: Moves,
  seed: number,
  robotIndex: number,
): Pose {
  const sum = { xM: 0, yM: 0, headingRad: 0 };
  for (const one of sensitivities) {
    const by = moves(one);
    if (by === undefined) continue;
    const off = drawn(one.name, seed, robotIndex);
    sum.xM += off * by.xM;
    sum.yM += off * by.yM;
    sum.headingRad += off * by.headingRad;
  }
  return sum;
}

const plus = (a: Pose, b: Pose): Pose => ({
  xM: a.xM + b.xM,
  yM: a.yM + b.yM,
  headingRad: wrap(a.headingRad + b.headingRad),
});
const minus = (a: Pose, b: Pose): Pose => ({
  xM: a.xM - b.xM,
  yM: a.yM - b.yM,
  headingRad: wrap(a.headingRad - b.headingRad),
});

const NO_SHARE: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** How much further from their middle the runs of a sampled robot lie, by the scatters that are doubtful. */
function widerBy(
  sensitivities: readonly Sensitivity[],
  key: string,
  seed: number,
  robotIndex: number,
): Pose {
  const more = { ...NO_SHARE };
  for (const { name, spread, logSd = 0 } of sensitivities) {
    const share = spread?.marks.get(key);
    if (share === undefined) continue;
    const times = Math.exp(2 * logSd * drawn(name, seed, robotIndex)) - 1;
    more.xM += share.xM * times;
    more.yM += share.yM * times;
    more.headingRad += share.headingRad * times;
  }
  const root = (variance: number) => Math.sqrt(Math.max(0, 1 + variance));
  return { xM: root(more.xM), yM: root(more.yM), headingRad: root(more.headingRad) };
}

/** The middle of some runs; headings about the first of them. */
function middleOf(poses: readonly Pose[]): Pose {
  const first = poses[0] ?? NO_SHARE;
  return {
    xM: mean(poses.map(({ xM }) => xM)),
    yM: mean(poses.map(({ yM }) => yM)),
    headingRad: wrap(
      first.headingRad + mean(poses.map(({ headingRad }) => wrap(headingRad - first.headingRad))),
    ),
  };
}

const spreadOut = (pose: Pose, middle: Pose, wider: Pose): Pose => ({
  xM: middle.xM + wider.xM * (pose.xM - middle.xM),
  yM: middle.yM + wider.yM * (pose.yM - middle.yM),
  headingRad: wrap(
    middle.headingRad + wider.headingRad * wrap(pose.headingRad - middle.headingRad),
  ),
});

/** Runs as they would have been of the robot that is computed with: what its doubts moved them by is taken out. */
const ofOneRobot = (
  poses: readonly Pose[],
  sensitivities: readonly Sensitivity[],
  moves: Moves,
  seed: number,
): Pose[] =>
  poses.map((pose, run) =>
    minus(pose, movedBy(sensitivities, moves, seed, Math.floor(run / RUNS_PER_ROBOT))),
  );

/**
 * Where one robot's runs end on average: what its doubts move it by, and what so many runs, simulated and driven, cannot
 * tell.
 *
 * @param offsets of the runs' ends from the plan, one for each run in their order
 */
export function ownEnd(
  offsets: readonly Pose[],
  sensitivities: readonly Sensitivity[],
  seed: number,
): { xM: MeanRange; yM: MeanRange; headingRad: MeanRange } {
  const own = ofOneRobot(offsets, sensitivities, atEnd, seed);
  const rangeOf = (value: (pose: Pose) => number): MeanRange => {
    const values = own.map(value);
    const sdWithin = sampleSd(values);
    const between = sensitivities.reduce((sum, { end }) => sum + value(end) ** 2, 0);
    const half = Z * Math.sqrt(between + (2 * sdWithin ** 2) / values.length);
    const centre = mean(values);
    return { mean: centre, low95: centre - half, high95: centre + half, sdWithin };
  };
  return {
    xM: rangeOf(({ xM }) => xM),
    yM: rangeOf(({ yM }) => yM),
    headingRad: rangeOf(({ headingRad }) => headingRad),
  };
}

/** The poses at the mark of a target, by its key, a run each in their order, and whether one works. */
export interface AtMark {
  key: string;
  poses: readonly Pose[];
  works(pose: Pose): boolean;
}

/** So few runs of all may as well be none (Hanley and Lippman-Hand, JAMA 249 (1983) 1743–1745). */
const RULE_OF_THREE = 3;

/** Each robot's chance is drawn so often as it may be counted. */
const COUNTS = 8;

/**
 * Chances as they may be counted: what so many simulated runs cannot tell, and as many runs of the robot itself, beside
 * what the robots differ by. Most robots may work nearly always: then no root of squares adds to them what the counts
 * do, and the two are drawn together.
 *
 * Source: variance of a share with two more of either kind (Agresti and Coull, Am. Stat. 52 (1998) 119–126).
 */
function counted(shares: readonly number[], runs: number, seed: number): number[] {
  const random = randomStream(seed, 0, 'chance as counted');
  return shares
    .flatMap((share) => {
      const nearly = (share * runs + 2) / (runs + 4);
      const sd = Math.sqrt((2 * nearly * (1 - nearly)) / runs);
      return Array.from({ length: COUNTS }, () =>
        Math.min(1, Math.max(0, share + sd * random.normal())),
      );
    })
    .sort((a, b) => a - b);
}

/**
 * Between which chances one robot's own lies: of each of many robots that it may be, moved by its doubts, how many of
 * the simulated runs would work; with what so many runs, simulated and driven, cannot tell.
 *
 * @param missions that all have to work
 * @param rate in which share of the runs they do
 */
export function ownChance(
  missions: readonly AtMark[],
  sensitivities: readonly Sensitivity[],
  seed: number,
  rate: number,
): RobotRange | null {
  const runs = missions[0]?.poses.length ?? 0;
  if (runs === 0) return null;
  const own = missions.map(({ key, poses }) => ofOneRobot(poses, sensitivities, atMark(key), seed));
  const middles = own.map(middleOf);
  const shares = Array.from({ length: ROBOTS }, (_, robot) => {
    const moved = missions.map(({ key }, i) => ({
      by: movedBy(sensitivities, atMark(key), seed, FIRST_ROBOT + robot),
      wider: widerBy(sensitivities, key, seed, FIRST_ROBOT + robot),
      middle: middles[i] ?? NO_SHARE,
    }));
    let worked = 0;
    for (let run = 0; run < runs; run += 1) {
      const all = missions.every(({ works }, i) => {
        const [pose, one] = [own[i]?.[run], moved[i]];
        if (pose === undefined || one === undefined) return false;
        return works(plus(spreadOut(pose, one.middle, one.wider), one.by));
      });
      if (all) worked += 1;
    }
    return worked / runs;
  });
  const all = counted(shares, runs, seed);
  const at = (share: number) => all[Math.round(share * (all.length - 1))] ?? rate;
  const [low, high] = [Math.min(rate, at(0.025)), Math.max(rate, at(0.975))];
  return {
    rate,
    low: low * runs < RULE_OF_THREE ? 0 : low,
    high: (1 - high) * runs < RULE_OF_THREE ? 1 : high,
  };
}
