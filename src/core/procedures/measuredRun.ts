import { z } from 'zod';
import { limits } from '../procedure/limits';

/** Where a run ended and whether it worked, as far as it is known. */
export const measuredRun = z
  .strictObject({
    xM: limits.coordinateM.nullish(),
    yM: limits.coordinateM.nullish(),
    headingRad: limits.endHeadingRad.nullish(),
    success: z.boolean().nullish(),
  })
  .refine((run) => typeof run.xM === typeof run.yM, 'expected xM and yM together, or neither');
