import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { drawn } from '../sources/sources';
import { mean, sampleSd } from '../stats/moments';
import { wilson } from '../stats/wilson';
import type { MeanRange } from './meanRange';
import type { RobotRange } from './robotRange';
import { RUNS_PER_ROBOT } from './run';
import type { Sensitivity } from './sensitivities';

const Z = 1.96;
/** So many robots that this one may be tell the limits of its chance. */
const ROBOTS = 400;
/** Their numbers, which no simulated run uses. */
const FIRST_ROBOT = 500_000;

type Moves = (sensitivity: Sensitivity) => Pose | undefined;

const atEnd: Moves = ({ end }) => end;
const atMark =
  (missionId: string): Moves =>
  ({ marks }) =>
    marks.get(missionId);

/** How far a robot that is imagined under a number is moved by all its doubts. */
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
 * Where one robot's runs end on average: what its doubts move it by, and what so many runs cannot tell.
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
    const half = Z * Math.sqrt(between + sdWithin ** 2 / values.length);
    const centre = mean(values);
    return { mean: centre, low95: centre - half, high95: centre + half, sdWithin };
  };
  return {
    xM: rangeOf(({ xM }) => xM),
    yM: rangeOf(({ yM }) => yM),
    headingRad: rangeOf(({ headingRad }) => headingRad),
  };
}

/** A mission's poses at its mark, a run each in their order, and whether one works. */
export interface AtMark {
  missionId: string;
  poses: readonly Pose[];
  works(pose: Pose): boolean;
}

/** So few runs of all may as well be none (Hanley and Lippman-Hand, JAMA 249 (1983) 1743–1745). */
const RULE_OF_THREE = 3;

/** So far from the middle as two independent reasons take it together. */
const together = (rate: number, limit: number, further: number): number =>
  rate + Math.sign(limit - rate || further - limit) * Math.hypot(limit - rate, further - limit);

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
  const own = missions.map(({ missionId, poses }) =>
    ofOneRobot(poses, sensitivities, atMark(missionId), seed),
  );
  const shares = Array.from({ length: ROBOTS }, (_, robot) => {
    const moved = missions.map(({ missionId }) =>
      movedBy(sensitivities, atMark(missionId), seed, FIRST_ROBOT + robot),
    );
    let worked = 0;
    for (let run = 0; run < runs; run += 1) {
      const all = missions.every(({ works }, i) => {
        const [pose, by] = [own[i]?.[run], moved[i]];
        return pose !== undefined && by !== undefined && works(plus(pose, by));
      });
      if (all) worked += 1;
    }
    return worked / runs;
  }).sort((a, b) => a - b);
  const at = (share: number) => shares[Math.round(share * (ROBOTS - 1))] ?? rate;
  // As many runs of the robot itself scatter as much as the simulated ones: half as many tell of both.
  const told = (share: number) => wilson(Math.round((share * runs) / 2), Math.round(runs / 2));
  const [worst, best] = [at(0.025), at(0.975)];
  const low = together(rate, worst, told(worst)?.low95 ?? 0);
  const high = together(rate, best, told(best)?.high95 ?? 1);
  return {
    rate,
    low: low * runs < RULE_OF_THREE ? 0 : low,
    high: (1 - high) * runs < RULE_OF_THREE ? 1 : high,
  };
}
