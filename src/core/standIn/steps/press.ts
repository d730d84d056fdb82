import { z } from 'zod';
import { controller, type Begun, type Tick } from '../../control/controller';
import { meantByPower } from '../../program/byPower';
import { benchStepKind } from './kind';

/** A robot of which nothing is known is straightened so fast, per metre that its wheels would have driven. */
const USUAL_PER_M = 20;

interface State extends Begun {
  /** What is left of a heading error dies away so fast. */
  perS: number;
  beforeRad: number;
  durationS: number;
  trackM: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { perS, beforeRad, durationS, trackM } = state;
  state.startS ??= now.timeS;
  const pressedS = now.timeS - state.startS;
  const rateRadPerS = -beforeRad * perS * Math.exp(-perS * pressedS);
  const half = (rateRadPerS * trackM) / 2;
  wheels.leftMPerS = -half;
  wheels.rightMPerS = half;
  return pressedS >= durationS ? 'done' : 'go on';
};

/**
 * Pressing against a wall with a share of full power: the wall turns the robot to itself, ever slower, as the moment
 * that turns it dies away with the angle. What the wall does to it is what its wheels roll.
 */
export const press = benchStepKind({
  schema: z.object({
    kind: z.literal('press'),
    share: z.number().gt(0).max(1),
    durationS: z.number().min(0.05).max(20),
    /** How far it is off the wall's direction at first; positive to the left. */
    beforeRad: z.number().min(-1.6).max(1.6),
  }),
  control({ share, durationS, beforeRad }, robot) {
    const { trackM, measured, motors } = robot;
    const speedMPerS = meantByPower(robot, share) ?? share * motors.maxSpeedMPerS;
    const perS = (measured.squaring?.straightensPerM ?? USUAL_PER_M) * speedMPerS;
    return controller(tick, { perS, beforeRad, durationS, trackM, startS: null });
  },
});
