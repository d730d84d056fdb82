import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Law } from './controller';
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
const LAW: Law<Press & { rampMPerS: number }, Begun & { speedMPerS: number }> = {
  begin: () => ({ startS: null, speedMPerS: 0 }),
  tick({ speedMPerS, durationS, rampMPerS }, kept, now, wheels) {
    kept.startS ??= now.timeS;
    if (now.timeS - kept.startS >= durationS) return 'done';
    const speed = Math.min(Math.abs(speedMPerS), kept.speedMPerS + rampMPerS);
    kept.speedMPerS = speed;
    const way = Math.sign(speedMPerS);
    wheels.leftMPerS = way * speed;
    wheels.rightMPerS = way * speed;
    return 'go on';
  },
};

export const press = (told: Press, robot: Robot): Controller =>
  controller(LAW, {
    ...told,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
  });
