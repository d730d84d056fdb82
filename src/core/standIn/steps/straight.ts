import { z } from 'zod';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { expectedStraightS, straight as controlStraight } from '../../control/straight';
import { benchStepKind } from './kind';

/** The gain of a heading that is held, m/s per radian. */
const HOLD_GAIN = 1.2;

export const straight = benchStepKind({
  schema: z.object({
    kind: z.literal('straight'),
    distanceM: z.number().min(-3).max(3),
    speedMPerS: z.number().min(0.02).max(1),
    holdHeading: z.boolean(),
  }),
  control({ distanceM, speedMPerS, holdHeading }, robot) {
    const keep = holdHeading
      ? ({ strategy: 'heading-hold', gainMPerSPerRad: HOLD_GAIN, headingRad: null } as const)
      : ({ strategy: 'open-loop' } as const);
    const limit = timeoutS(expectedStraightS(distanceM, speedMPerS, robot));
    return settled(controlStraight({ distanceM, speedMPerS, keep, timeoutS: limit }, robot));
  },
});
