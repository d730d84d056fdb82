import { z } from 'zod';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { expectedStraightS, straight as controlStraight } from '../../control/straight';
import { benchStepKind } from './kind';

/** The gain of a heading that is held, m/s per radian. */
const HOLD_GAIN = 1.2;
/** The gain of encoders that are kept alike, 1/s. */
const BALANCE_GAIN = 8;

export const straight = benchStepKind({
  schema: z.object({
    kind: z.literal('straight'),
    distanceM: z.number().min(-3).max(3),
    speedMPerS: z.number().min(0.02).max(1),
    holdHeading: z.boolean(),
    balanceEncoders: z.boolean().optional().describe('where it does not hold its heading'),
  }),
  control({ distanceM, speedMPerS, holdHeading, balanceEncoders = false }, robot) {
    const keep = holdHeading
      ? ({ strategy: 'heading-hold', gainMPerSPerRad: HOLD_GAIN, headingRad: null } as const)
      : balanceEncoders
        ? ({ strategy: 'encoder-balance', gainPerS: BALANCE_GAIN, differenceM: null } as const)
        : ({ strategy: 'open-loop' } as const);
    const limit = timeoutS(expectedStraightS(distanceM, speedMPerS, robot));
    return settled(controlStraight({ distanceM, speedMPerS, keep, timeoutS: limit }, robot));
  },
});
