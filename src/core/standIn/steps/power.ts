import { z } from 'zod';
import { controller, type Begun, type Tick } from '../../control/controller';
import { meantByPower } from '../../program/byPower';
import { benchStepKind } from './kind';

const tick: Tick<Begun & { speedMPerS: number; durationS: number }> = (state, now, wheels) => {
  state.startS ??= now.timeS;
  wheels.leftMPerS = state.speedMPerS;
  wheels.rightMPerS = state.speedMPerS;
  return now.timeS - state.startS >= state.durationS ? 'done' : 'go on';
};

/** Both motors at a share of full power, for a time, and nothing held straight. */
export const power = benchStepKind({
  schema: z.object({
    kind: z.literal('power'),
    share: z.number().gt(0).max(1),
    durationS: z.number().min(0.2).max(20),
  }),
  control: ({ share, durationS }, robot) =>
    controller(tick, {
      speedMPerS: meantByPower(robot, share) ?? share * robot.motors.maxSpeedMPerS,
      durationS,
      startS: null,
    }),
});
