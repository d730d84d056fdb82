import { commandsPower } from './commands';
import type { Robot } from '../robot/robot';
import { speedOf } from './speedOf';

/** Whether drives slow down as the battery does. */
const sags = ({ command, regulated }: Robot['program']): boolean =>
  commandsPower(command) && !regulated;

/**
 * How much faster the wheels go than a program means them to: programs that give a share of power drive faster on a
 * fuller battery than on that of the timed drives, by the ratio of the voltages. Programs whose kit regulates the
 * speed of the motors are not touched by it.
 *
 * @returns 1 also where nobody has timed the robot
 */
export function batteryShare({ program, measured: { power } }: Robot): number {
  return sags(program) && power !== null ? power.nowV / power.batteryV : 1;
}

/**
 * The speed that a program means when it gives a share of power: as timed at the battery of the timed drives. A kit
 * that regulates speeds is told the power itself, at the battery as it is now.
 *
 * @returns null where nobody has timed the robot
 */
export function meantByPower(
  { program, measured: { power } }: Robot,
  share: number,
): number | null {
  if (power === null) return null;
  return speedOf(power, share, sags(program) ? power.batteryV : power.nowV);
}

/** The robot on a battery that has so much more charge than that of its timed drives, V. */
export function onBattery<R extends Pick<Robot, 'measured'>>(robot: R, moreV: number): R {
  const { power } = robot.measured;
  if (power === null || moreV === 0) return robot;
  const nowV = Math.max(0.1, power.batteryV + moreV);
  return { ...robot, measured: { ...robot.measured, power: { ...power, nowV } } };
}
