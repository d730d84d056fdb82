import type { Robot } from '../robot/robot';
import { controller, type Begun, type Controller, type Tick } from './controller';
import { PROFILE_SHARE } from './settings';

export interface Press {
  /** Negative presses with the robot's back. */
  speedMPerS: number;
  /** The way to the wall and pressing against it together. */
  durationS: number;
}

interface State extends Press, Begun {
  /** So much faster from one tick to the next. */
  rampMPerS: number;
  commandedMPerS: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  state.startS ??= now.timeS;
  if (now.timeS - state.startS >= state.durationS) return 'done';
  const speed = Math.min(Math.abs(state.speedMPerS), state.commandedMPerS + state.rampMPerS);
  state.commandedMPerS = speed;
  const way = Math.sign(state.speedMPerS);
  wheels.leftMPerS = way * speed;
  wheels.rightMPerS = way * speed;
  return 'go on';
};

/**
 * Drive against a wall, both wheels alike, for a time: nothing is held straight, so that the wall can turn the
 * robot. That it touches is not seen; it ends by the clock.
 */
export const press = ({ speedMPerS, durationS }: Press, robot: Robot): Controller =>
  controller<State>(tick, {
    speedMPerS,
    durationS,
    rampMPerS: PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS,
    startS: null,
    commandedMPerS: 0,
  });
