import { z } from 'zod';
import { controller, type Begun, type Law } from '../../control/controller';
import { meantByPower } from '../../program/byPower';
import { benchStepKind } from './kind';

const LAW: Law<{ speedMPerS: number; durationS: number }, Begun> = {
  begin: () => ({ startS: null }),
  tick({ speedMPerS, durationS }, kept, now, wheels) {
    kept.startS ??= now.timeS;
    wheels.leftMPerS = speedMPerS;
    wheels.rightMPerS = speedMPerS;
    return now.timeS - kept.startS >= durationS ? 'done' : 'go on';
  },
};

/** Both motors at a share of full power, for a time, and nothing held straight. */
export const power = benchStepKind({
  schema: z.object({
    kind: z.literal('power'),
    share: z.number().gt(0).max(1),
    durationS: z.number().min(0.2).max(20),
  }),
  control: ({ share, durationS }, robot) =>
    controller(LAW, {
      speedMPerS: meantByPower(robot, share) ?? share * robot.motors.maxSpeedMPerS,
      durationS,
    }),
});
