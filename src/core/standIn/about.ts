import type { Segment } from '../table/table';
import { rayToSegment } from '../table/ray';
import { toTable, type Pose } from '../geometry/pose';
import { lookingAhead } from '../devices/ofRobot';
import { motionAt, type StandIn } from './state';
import { aboutStep, type BenchStep } from './steps/benchStep';
import { onFloor, seenFrom, type Surroundings } from './surroundings';
import type { StandInTruth } from './truth';

/** A target is this wide, m: no beam misses it. */
const TARGET_M = 4;

/** The flat thing in front, as a surface; its distance was told from the sensor that looks ahead. */
function targetOf({ robot }: StandInTruth, { target }: StandIn): Segment[] {
  if (target === null) return [];
  const alongM = target.atM + target.distanceM + (lookingAhead(robot)?.place.aheadM ?? 0);
  const [cos, sin] = [Math.cos(target.atRad), Math.sin(target.atRad)];
  const [xM, yM, half] = [alongM * cos, alongM * sin, TARGET_M / 2];
  return [
    { x1M: xM + half * sin, y1M: yM - half * cos, x2M: xM - half * sin, y2M: yM + half * cos },
  ];
}

/** All that is put about it for the steps of a program, told from where it begins. */
function aboutSteps({ robot }: StandInTruth, steps: readonly BenchStep[]): Surroundings {
  const all = steps.map((step) => aboutStep(step, robot));
  return {
    walls: all.flatMap(({ walls }) => walls),
    lines: all.flatMap(({ lines }) => lines),
  };
}

/** What a program meets that begins at a place: the target, and what its own steps need. */
export function aboutProgram(
  truth: StandInTruth,
  state: StandIn,
  steps: readonly BenchStep[],
  begins: Pose,
): Surroundings {
  const { walls, lines } = aboutSteps(truth, steps);
  const target = seenFrom({ walls: targetOf(truth, state), lines: [] }, begins).walls;
  return { walls: [...target, ...walls], lines };
}

/** What stands and lies about it at a moment, on its floor: a program's own walls stay until it is moved again. */
export function aboutAt(truth: StandInTruth, state: StandIn, tS: number): Surroundings {
  const motion = motionAt(state, tS);
  const target = targetOf(truth, state);
  if (motion?.what.by !== 'program') return { walls: target, lines: [] };
  const { walls, lines } = onFloor(aboutSteps(truth, motion.what.steps), motion.start.pose);
  return { walls: [...target, ...walls], lines };
}

/** How far its bumper is from what stands straight ahead of it, m; null where nothing does. */
export function bumperGapM(
  truth: StandInTruth,
  state: StandIn,
  at: Pose,
  tS: number,
): number | null {
  const bumper = toTable(at, { xM: truth.robot.body.frontM, yM: 0 });
  const gaps = aboutAt(truth, state, tS).walls.map((wall) =>
    rayToSegment(bumper.xM, bumper.yM, at.headingRad, wall),
  );
  const nearest = Math.min(Infinity, ...gaps);
  return Number.isFinite(nearest) ? nearest : null;
}
