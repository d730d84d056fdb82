import type { Robot } from '../robot/robot';
import type { Travel } from '../robot/programWays';
import { TRAVEL_WAYS } from './travels';

/**
 * What a program is told for a drive, in its own way of counting: less by what the robot rolls on by itself.
 *
 * @param distanceM how far it is to get, its size alone
 */
export const commandedTravel = (robot: Robot, way: Travel, distanceM: number): number =>
  TRAVEL_WAYS[way].travel(robot, Math.max(0, distanceM - robot.program.coastM));

/** How far it gets when it is told so much; the inverse of `commandedTravel`. */
export const travelledFor = (robot: Robot, way: Travel, told: number): number =>
  Math.max(0, TRAVEL_WAYS[way].distanceM(robot, told) + robot.program.coastM);
