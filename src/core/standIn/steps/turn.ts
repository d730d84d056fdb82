import { z } from 'zod';
import { settled } from '../../control/rest';
import { turn as controlTurn, turnTimeoutS } from '../../control/turn';
import { turnStrategySchema } from '../../control/turn/schema';
import { benchStepKind } from './kind';

export const turn = benchStepKind({
  schema: z.object({
    kind: z.literal('turn'),
    angleRad: z.number().min(-20).max(20),
    how: turnStrategySchema,
    pivots: z.boolean().optional().describe('about the inner wheel'),
  }),
  control({ angleRad, how, pivots = false }, robot) {
    const timeoutS = turnTimeoutS(how, angleRad);
    const motion = { angleRad, how, fromReadingRad: null, timeoutS, pivots };
    return settled(controlTurn(motion, robot.trackM));
  },
});
