import { z } from 'zod';
import { finite, notNegative } from './fields';

/** How far straight drives truly go: actual = scaleFactor · told + coast. */
export const straightValue = z.strictObject({
  kind: z.literal('straight'),
  scaleFactor: z.number().min(0.2).max(5),
  scaleFactorSe: notNegative,
  coastM: z.number().min(-1).max(1),
  /** Scatter of single drives. */
  residualSdM: notNegative,
  /** Degrees of freedom on which it rests; left out: by an earlier method. */
  scatterFreedom: notNegative.optional(),
  /**
   * At this distance the error of the scale and that of a drive's mean are independent, and this is the latter's standard
   * error; calibrations by an earlier method do not say.
   */
  atMid: z.strictObject({ distanceM: finite, seM: notNegative }).optional(),
  /** So much less the first drive after one the other way goes; left out: nobody tried. */
  play: z.strictObject({ meanM: finite, seM: notNegative }).optional(),
  /** How a trailing caster kicks it then, by chance, and by how many drives. */
  kick: z.strictObject({ sdRad: notNegative, n: z.number().int().positive() }).optional(),
});

export type StraightCalibration = z.output<typeof straightValue>;
