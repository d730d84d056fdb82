import { press } from '../../control/press';
import { settled } from '../../control/rest';
import { SETTLE_S, timeoutS } from '../../control/settings';
import { borderAhead } from '../../table/border';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import { radiansFromDegrees } from '../../geometry/angle';
import type { Pose } from '../../geometry/pose';
import type { Robot } from '../../robot/robot';
import { atSpeed, STARTING_S } from '../driven';
import type { Motion, StepKind } from '../kind';
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

/** Where it stands against the wall, and how far that is. */
function against(step: SquareUpStep, from: Pose, robot: Robot, table: Table) {
  const { askewRad, outwardRad, distanceM, isBlocked } = borderAhead(
    from,
    directionOf(step, from),
    table,
  );
  const reachM = step.back ? robot.body.rearM : robot.body.frontM;
  const acrossM = Math.max(0, distanceM - reachM);
  // Towards the side, and along it as far as it comes at it askew.
  const alongM = -acrossM * Math.tan(askewRad);
  const [c, s] = [Math.cos(outwardRad), Math.sin(outwardRad)];
  const problems: PlanProblem[] = [
    ...(Math.abs(askewRad) > MOST_ASKEW_RAD ? (['askew'] as const) : []),
    ...(isBlocked ? (['wall-before-border'] as const) : []),
    ...(shareLeft(step, robot) > AS_GOOD_AS_NOTHING ? (['pressed-briefly'] as const) : []),
  ];
  return {
    to: {
      xM: from.xM + acrossM * c - alongM * s,
      yM: from.yM + acrossM * s + alongM * c,
      headingRad: from.headingRad + askewRad,
    },
    wayM: Math.hypot(acrossM, alongM),
    askewRad,
    problems,
  };
}

/** How long its way to the wall takes, and pressing against it. */
export const pressedS = ({ durationS, byItselfS = durationS }: Motion): number =>
  byItselfS - SETTLE_S;

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
    const { to, wayM, askewRad, problems } = against(step, from, robot, table);
    const durationS = wayM / step.speedMPerS + STARTING_S + step.pressS + SETTLE_S;
    return {
      to,
      distanceM: step.back ? -wayM : wayM,
      angleRad: askewRad,
      durationS,
      timeoutS: step.timeoutS ?? timeoutS(durationS),
      problems,
    };
  },
  control({ back, speedMPerS }, leg, robot) {
    const signed = back ? -speedMPerS : speedMPerS;
    return settled(press({ speedMPerS: signed, durationS: pressedS(leg) }, robot));
  },
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
