import { approach as controlApproach } from '../../control/approach';
import { settled } from '../../control/rest';
import { SETTLE_S, timeoutS as timeoutFor } from '../../control/settings';
import { obstacles } from '../../table/obstacles';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import type { Pose } from '../../geometry/pose';
import { isBeyond, voltsOrNearer } from '../../sensing/voltLaw';
import { overrunM } from '../../control/overrun';
import type { Robot } from '../../robot/robot';
import { gapAhead } from '../../table/ray';
import { errorLength } from '../../text/quantities';
import { lookingAhead } from '../../devices/ofRobot';
import { ahead, drivenInProgram, newGain, STARTING_S } from '../driven';
import { unitNamed } from '../unitNamed';
import { heldHeading, type StepKind } from '../kind';
import type { ApproachStep } from './description';

/** The distance sensor that is named, else the one that looks ahead. */
export const sensorOf = ({ sensor }: ApproachStep, robot: Robot) =>
  sensor === undefined ? lookingAhead(robot) : unitNamed(robot, 'distance sensor', sensor);

/** So far before its threshold it slows down, where nobody says. */
const SLOW_FOR_M = 0.1;

/** From which reading on it has its slow speed; null: it has one speed. */
export const slowsAt = ({ slowMPerS, slowFromM, thresholdM }: ApproachStep) =>
  slowMPerS === undefined
    ? undefined
    : { at: slowFromM ?? thresholdM + SLOW_FOR_M, speedMPerS: slowMPerS };

/** With which speed it comes to its threshold. */
const lastSpeed = ({ slowMPerS, speedMPerS }: ApproachStep): number => slowMPerS ?? speedMPerS;

/** How long its way takes: the last piece of it may be slow. */
function wayS(step: ApproachStep, distanceM: number): number {
  const slows = slowsAt(step);
  const slowM = slows === undefined ? 0 : Math.max(0, slows.at - step.thresholdM);
  const [fast, slow] = [Math.max(0, distanceM - slowM), Math.min(slowM, distanceM)];
  return fast / step.speedMPerS + slow / lastSpeed(step);
}

/** How far it is until the recorded sensor reads the threshold, or why it never will. */
function wayTo(
  step: ApproachStep,
  from: Pose,
  robot: Robot,
  table: Table,
): { distanceM: number } | { problem: PlanProblem } {
  const { thresholdM } = step;
  const sensor = sensorOf(step, robot);
  if (sensor === null)
    return { problem: step.sensor === undefined ? 'no-distance-sensor' : 'no-such-sensor' };
  const { offsetM, scale } = sensor.behaviour;
  const gap = offsetM + scale * gapAhead(from, sensor, 0, obstacles(table));
  if (gap === Infinity) return { problem: 'nothing-ahead' };
  if (gap <= thresholdM) return { problem: 'already-there' };
  return { distanceM: (gap - thresholdM) / scale };
}

/** How far it drives on after its threshold; null where nobody has measured it. */
const drivesOnM = ({ measured: { stop } }: Robot, speedMPerS: number): number | null =>
  stop && overrunM(stop, speedMPerS);

/** What its sensor shows there, where it shows volts, and that it does not stand where it is told to stop. */
function notesOf(robot: Robot, speedMPerS: number, thresholdM: number): string[] {
  const { volts } = robot.measured;
  const onM = drivesOnM(robot, speedMPerS);
  return [
    ...(volts === null
      ? []
      : [
          `Its sensor shows ${voltsOrNearer(volts.law, thresholdM)} then${isBeyond(volts, thresholdM) ? ': a guess, nobody measured it there' : ''}.`,
        ]),
    ...(onM === null ? [] : [`It drives on by ${errorLength(onM)} after that.`]),
  ];
}

export const approach: StepKind<ApproachStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor', 'distance sensor'],
  group: 'until',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'approach',
    thresholdM: 0.12,
    speedMPerS: 0.12,
    gainMPerSPerRad: newGain(place),
  }),
  plan(step, from, robot, table) {
    const way = wayTo(step, from, robot, table);
    // Where it was measured how far it drives on, the plan has it.
    const onM = drivesOnM(robot, lastSpeed(step)) ?? 0;
    const distanceM = 'problem' in way ? 0 : way.distanceM + onM;
    const durationS = wayS(step, distanceM) + STARTING_S + SETTLE_S;
    return {
      to: ahead(from, distanceM),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: step.timeoutS ?? timeoutFor(durationS),
      problems: 'problem' in way ? [way.problem] : [],
    };
  },
  control(step, leg, robot) {
    const { speedMPerS } = step;
    const keep = heldHeading(step, leg);
    const sensor = sensorOf(step, robot);
    const { scale, minM } = sensor?.behaviour ?? { scale: 1, minM: 0 };
    const thresholdM = Math.max(minM, step.thresholdM - scale * leg.lateM);
    return settled(
      controlApproach(
        { thresholdM, speedMPerS, keep, timeoutS: leg.timeoutS, sensor, slows: slowsAt(step) },
        robot,
      ),
    );
  },
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  stopsBy: (step) => ({ thresholdM: step.thresholdM, speedMPerS: lastSpeed(step) }),
  drives: true,
  inProgram: {
    ...drivenInProgram<ApproachStep>(),
    leaves: (step, _planned, robot) => [
      {
        by: 'reading',
        unit: sensorOf(step, robot),
        channel: 'distance',
        is: 'below',
        value: step.thresholdM,
      },
    ],
    notes: (step, robot) => notesOf(robot, lastSpeed(step), step.thresholdM),
  },
};
