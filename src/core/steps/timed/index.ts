import { settled } from '../../control/rest';
import { timed as driveTimed } from '../../control/timed';
import { meantByPower } from '../../program/byPower';
import type { Robot } from '../../robot/robot';
import { rehearsed } from '../rehearsed';
import type { StepKind } from '../kind';
import type { TimedStep } from './description';

/** How fast a wheel goes at a share of power: as timed; in proportion to the top speed where nobody timed it. */
function speedAt(robot: Robot, share: number): number {
  const timedMPerS = meantByPower(robot, Math.abs(share));
  return Math.sign(share) * (timedMPerS ?? Math.abs(share) * robot.motors.maxSpeedMPerS);
}

/** How fast each wheel is told to go. */
export const wheelsOf = (
  { leftShare, rightShare, leftMPerS, rightMPerS }: TimedStep,
  robot: Robot,
): { leftMPerS: number; rightMPerS: number } => ({
  leftMPerS: leftMPerS ?? speedAt(robot, leftShare),
  rightMPerS: rightMPerS ?? speedAt(robot, rightShare),
});

const controlTimed = (step: TimedStep, robot: Robot) =>
  settled(driveTimed({ ...wheelsOf(step, robot), durationS: step.seconds }));

export const timed: StepKind<TimedStep> = {
  needs: () => ['left motor', 'right motor'],
  group: 'drive',
  isOffered: () => true,
  asAdded: () => ({ kind: 'timed', seconds: 1, leftShare: 0.3, rightShare: 0.3 }),
  plan: (step, from, robot, table) =>
    rehearsed((_leg, exact) => controlTimed(step, exact), from, robot, table, {
      never: 'never-ends',
    }),
  control: (step, _leg, robot) => controlTimed(step, robot),
  drives: true,
  inProgram: {
    leaves: () => [],
    notes: ({ leftMPerS, rightMPerS }, { measured }) =>
      measured.power === null && (leftMPerS === undefined || rightMPerS === undefined)
        ? [
            'How fast it goes at that power is a guess: nobody has timed it (Bench: Speed at a power).',
          ]
        : [],
  },
};
