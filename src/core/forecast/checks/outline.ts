import { bodyRadius } from '../../machine/contact';
import { outlineOf } from '../../robot/mounting';
import { kindOfStep } from '../../steps/registry';
import type { PlanProblem } from '../../steps/problems';
import { errorLength } from '../../text/quantities';
import { fitsHome, outlineMeets } from '../outlineCheck';
import type { Check } from './check';

/** It is said already that it runs into something. */
const SAID: readonly PlanProblem[] = ['meets-wall', 'off-table'];

/** Nothing stands where the robot comes by, unless it is meant to. */
export const outline: Check = (planned, { robot, table }) => {
  const { step, problems, choice, isMeanwhile } = planned;
  const isMeant = kindOfStep(step).meets === true || problems.some((one) => SAID.includes(one));
  if (isMeant || choice !== undefined || isMeanwhile === true) return [];
  const met = outlineMeets(planned, robot, table);
  if (met === null) return [];
  return [
    {
      problem: 'outline-meets',
      sentence: `Its outline meets ${met} on the way: it reaches ${errorLength(bodyRadius(outlineOf(robot)))} about its axle.`,
    },
  ];
};

/** Robots are placed within a home area, with all of their outline. */
export const outsideHome: Check = (planned, { plan, robot, table }) => {
  const isFirst = plan[0] === planned;
  if (!isFirst || table.homeAreas.length === 0 || fitsHome(planned.from, robot, table)) return [];
  return [
    {
      problem: 'outside-home',
      sentence: 'The robot does not stand within a home area as it is placed.',
    },
  ];
};
