import { mountingOn } from '../../robot/mounting';
import type { Check } from './check';

/** What a route has mounted is in the robot's record: else nobody knows its outline. */
export const unknownMounting: Check = (planned, { plan, robot }) => {
  if (plan[0] !== planned || robot.mounted === null || mountingOn(robot) !== null) return [];
  return [
    {
      problem: 'unknown-mounting',
      sentence: `“${robot.mounted}” is not among what can be mounted on this robot, so its outline is not known: add it to the robot, or choose another at the start.`,
    },
  ];
};
