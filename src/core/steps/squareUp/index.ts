import { press } from '../../control/press';
import { settled } from '../../control/rest';
import { SETTLE_S, timeoutS } from '../../control/settings';
import { surfaceAhead } from '../../table/surfaceAhead';
import type { PlanProblem } from '../problems';
import type { Segment, Table } from '../../table/table';
import { radiansFromDegrees } from '../../geometry/angle';
import type { Pose } from '../../geometry/pose';
import { outlineOf } from '../../robot/mounting';
import type { Robot } from '../../robot/robot';
import { atSpeed, STARTING_S } from '../driven';
import type { Motion, StepKind } from '../kind';
import { rehearsed } from '../rehearsed';
import type { SquareUpStep } from './description';

/** Further off than this a robot slides along the wall instead of turning to it. */
const MOST_ASKEW_RAD = radiansFromDegrees(20);
/** Less than this share of a heading error is as good as nothing. */
const AS_GOOD_AS_NOTHING = 0.05;

const directionOf = ({ back }: SquareUpStep, { headingRad }: Pose): number =>
  headingRad + (back ? Math.PI : 0);

/** What is left of a heading error after pressing: a share, 0 where nobody has measured it. */
function shareLeft({ speedMPerS, pressS }: SquareUpStep, { measured }: Robot): number {
  const perM = measured.squaring?.straightensPerM ?? null;
  return perM === null ? 0 : Math.exp(-perM * speedMPerS * pressS);
}

/** Pressed against a wall that holds it, it stands squarer than this. */
const SQUARE_RAD = radiansFromDegrees(1);

/** Whether a wall is wider than the face that is pressed against it, wherever it slides on its way. */
function isWide({ xM, yM }: Pose, wall: Segment, halfWidthM: number, slidesM: number): boolean {
  const { x1M, y1M, x2M, y2M } = wall;
  const lengthM = Math.hypot(x2M - x1M, y2M - y1M);
  const alongM = ((xM - x1M) * (x2M - x1M) + (yM - y1M) * (y2M - y1M)) / lengthM;
  const leastM = halfWidthM + Math.abs(slidesM);
  return alongM >= leastM && alongM <= lengthM - leastM;
}

/** Where it stands against what it meets first, and how far that is. */
function against(step: SquareUpStep, from: Pose, robot: Robot, table: Table) {
  const { halfWidthM, rearM, frontM } = outlineOf(robot);
  const reachM = step.back ? rearM : frontM;
  const directionRad = directionOf(step, from);
  const ahead = surfaceAhead(from, directionRad, { reachM, halfWidthM }, table);
  const { wall, askewRad, outwardRad, untilM } = ahead;
  const isAskew = Math.abs(askewRad) > MOST_ASKEW_RAD;
  // It is not turned to a wall that it meets so: it stays where it ran against it.
  const [acrossM, turnRad] =
    isAskew && wall !== null
      ? [Math.cos(askewRad) * untilM, 0]
      : [Math.max(0, ahead.distanceM - reachM), askewRad];
  // Towards the side, and along it as far as it comes at it askew.
  const alongM = -acrossM * Math.tan(askewRad);
  const [c, s] = [Math.cos(outwardRad), Math.sin(outwardRad)];
  const to = {
    xM: from.xM + acrossM * c - alongM * s,
    yM: from.yM + acrossM * s + alongM * c,
    headingRad: from.headingRad + turnRad,
  };
  const problems: PlanProblem[] = [
    ...(isAskew ? (['askew'] as const) : []),
    ...(shareLeft(step, robot) > AS_GOOD_AS_NOTHING ? (['pressed-briefly'] as const) : []),
  ];
  const isNarrow = wall !== null && !isAskew && !isWide(to, wall, halfWidthM, alongM);
  return { to, wayM: Math.hypot(acrossM, alongM), turnRad, against: wall, problems, isNarrow };
}

/** How long its way to the wall takes, and pressing against it. */
export const pressedS = ({ durationS, byItselfS = durationS }: Motion): number =>
  byItselfS - SETTLE_S;

function controlSquareUp({ back, speedMPerS }: SquareUpStep, leg: Motion, robot: Robot) {
  const signed = back ? -speedMPerS : speedMPerS;
  return settled(press({ speedMPerS: signed, durationS: pressedS(leg) }, robot));
}

/** The plan of one against a wall that its face overhangs: as the exact robot is held by it, and turned. */
function onNarrowWall(
  step: SquareUpStep,
  planned: Motion,
  from: Pose,
  robot: Robot,
  table: Table,
): Motion {
  const { to, problems } = rehearsed(
    (leg, exact) => controlSquareUp(step, leg, exact),
    from,
    robot,
    table,
    { never: 'never-ends', planned, meets: true },
  );
  const isTurned = Math.abs(to.headingRad - planned.to.headingRad) > SQUARE_RAD;
  const isHeld = problems.length === 0 && !isTurned;
  return {
    ...planned,
    to: { ...planned.to, ...(isHeld && { xM: to.xM, yM: to.yM }) },
    problems: [...planned.problems, ...(isHeld ? [] : (['held-on-one-side'] as const))],
  };
}

export const squareUp: StepKind<SquareUpStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor'],
  group: 'until',
  isOffered: () => true,
  asAdded: ({ robot: { measured } }) => ({
    kind: 'square-up',
    back: true,
    speedMPerS: measured.squaring?.speedMPerS ?? 0.15,
    pressS: measured.squaring?.pressS ?? 1,
  }),
  plan(step, from, robot, table) {
    const { wayM, turnRad, isNarrow, ...met } = against(step, from, robot, table);
    const durationS = wayM / step.speedMPerS + STARTING_S + step.pressS + SETTLE_S;
    const planned = {
      ...met,
      distanceM: step.back ? -wayM : wayM,
      angleRad: turnRad,
      durationS,
      timeoutS: step.timeoutS ?? timeoutS(durationS),
    };
    return isNarrow ? onNarrowWall(step, planned, from, robot, table) : planned;
  },
  control: controlSquareUp,
  drives: true,
  meets: true,
  takesHeading: (step, robot) => ({
    shareLeft: shareLeft(step, robot),
    sdRad: robot.measured.squaring?.headingSdRad ?? 0,
  }),
  inProgram: {
    speed: atSpeed<SquareUpStep>(),
    leaves: (_step, planned) => [{ by: 'time', seconds: pressedS(planned) }],
  },
};
