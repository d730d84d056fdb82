import { z } from 'zod';
import { approach as controlApproach } from '../../control/approach';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { NOTHING_ABOUT } from '../surroundings';
import { benchStepKind } from './kind';

/** It looks for a wall no farther than this. */
const FARTHEST_M = 3;
/** A wall that is put before it is this wide. */
const WALL_M = 2;

export const approach = benchStepKind({
  schema: z.object({
    kind: z.literal('approach'),
    /** Of its distance sensor, as that reads. */
    thresholdM: z.number().min(0).max(FARTHEST_M),
    speedMPerS: z.number().min(0.02).max(1),
    /** A wall is put so far before its bumper; null: it drives at what stands there already. */
    wallM: z.number().min(0.02).max(FARTHEST_M).nullable(),
  }),
  control({ thresholdM, speedMPerS }, robot) {
    const keep = { strategy: 'open-loop' } as const;
    const limitS = timeoutS(FARTHEST_M / speedMPerS);
    return settled(controlApproach({ thresholdM, speedMPerS, keep, timeoutS: limitS }, robot));
  },
  about({ wallM }, { body }) {
    if (wallM === null) return NOTHING_ABOUT;
    const xM = body.frontM + wallM;
    return { walls: [{ x1M: xM, y1M: -WALL_M / 2, x2M: xM, y2M: WALL_M / 2 }], lines: [] };
  },
});
