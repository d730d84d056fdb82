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
import { heldHeading, type StepKind } from '../kind';
import type { ApproachStep } from './description';

/** How far it is until the recorded sensor reads the threshold, or why it never will. */
function wayTo(
  thresholdM: number,
  from: Pose,
  robot: Robot,
  table: Table,
): { distanceM: number } | { problem: PlanProblem } {
  const sensor = lookingAhead(robot);
  if (sensor === null) return { problem: 'no-distance-sensor' };
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
  plan({ thresholdM, speedMPerS, timeoutS }, from, robot, table) {
    const way = wayTo(thresholdM, from, robot, table);
    // Where it was measured how far it drives on, the plan has it.
    const onM = drivesOnM(robot, speedMPerS) ?? 0;
    const distanceM = 'problem' in way ? 0 : way.distanceM + onM;
    const durationS = distanceM / speedMPerS + STARTING_S + SETTLE_S;
    return {
      to: ahead(from, distanceM),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: timeoutS ?? timeoutFor(durationS),
      problems: 'problem' in way ? [way.problem] : [],
    };
  },
  control(step, leg, robot) {
    const { speedMPerS } = step;
    const keep = heldHeading(step, leg);
    const { scale, minM } = lookingAhead(robot)?.behaviour ?? { scale: 1, minM: 0 };
    const thresholdM = Math.max(minM, step.thresholdM - scale * leg.lateM);
    return settled(
      controlApproach({ thresholdM, speedMPerS, keep, timeoutS: leg.timeoutS }, robot),
    );
  },
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  stopsBy: ({ thresholdM, speedMPerS }) => ({ thresholdM, speedMPerS }),
  drives: true,
  inProgram: {
    ...drivenInProgram<ApproachStep>(),
    notes: ({ speedMPerS, thresholdM }, robot) => notesOf(robot, speedMPerS, thresholdM),
  },
};
