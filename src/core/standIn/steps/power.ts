import { z } from 'zod';
import type { Controller } from '../../control/controller';
import { meantByPower } from '../../program/byPower';
import { benchStepKind } from './kind';

/** Both motors at a share of full power, for a time, and nothing held straight. */
export const power = benchStepKind({
  schema: z.object({
    kind: z.literal('power'),
    share: z.number().gt(0).max(1),
    durationS: z.number().min(0.2).max(20),
  }),
  control({ share, durationS }, robot): Controller {
    const speedMPerS = meantByPower(robot, share) ?? share * robot.motors.maxSpeedMPerS;
    let startS: number | null = null;
    return (now, wheels) => {
      startS ??= now.timeS;
      wheels.leftMPerS = speedMPerS;
      wheels.rightMPerS = speedMPerS;
      return now.timeS - startS >= durationS ? 'done' : 'go on';
    };
  },
});
