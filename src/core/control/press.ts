import type { Robot } from '../robot/robot';
import type { Controller } from './controller';
import { PROFILE_SHARE } from './settings';

export interface Press {
  /** Negative presses with the robot's back. */
  speedMPerS: number;
  /** The way to the wall and pressing against it together. */
  durationS: number;
}

/**
 * Drive against a wall, both wheels alike, for a time: nothing is held straight, so that the wall can turn the
 * robot. That it touches is not seen; it ends by the clock.
 */
export function press({ speedMPerS, durationS }: Press, robot: Robot): Controller {
  const ramp = PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS;
  const most = Math.abs(speedMPerS);
  const way = Math.sign(speedMPerS);
  let startS: number | null = null;
  let speed = 0;
  return (now, wheels) => {
    startS ??= now.timeS;
    if (now.timeS - startS >= durationS) return 'done';
    speed = Math.min(most, speed + ramp);
    wheels.leftMPerS = way * speed;
    wheels.rightMPerS = way * speed;
    return 'go on';
  };
}
