import { z } from 'zod';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { toLine as controlToLine } from '../../control/toLine';
import { devicesOf } from '../../devices/ofRobot';
import { benchStepKind } from './kind';

/** It looks for a line no farther than this. */
const FARTHEST_M = 1;
/** A line that is laid across its way is this long. */
const LINE_M = 2;

const share = z.number().min(0).max(1);

export const toLine = benchStepKind({
  schema: z.object({
    kind: z.literal('to-line'),
    /** A line is laid across so far from under its light sensor, and is so wide. */
    awayM: z.number().min(0.02).max(FARTHEST_M),
    widthM: z.number().min(0.002).max(0.3),
    /** Negative drives backwards. */
    speedMPerS: z
      .number()
      .min(-1)
      .max(1)
      .refine((speed) => Math.abs(speed) >= 0.02, 'expected 0.02 m/s or more'),
    on: z.enum(['entering', 'leaving']),
    enterShare: share,
    leaveShare: share,
    lineIs: z.enum(['darker', 'lighter']),
  }),
  control({ speedMPerS, on, enterShare, leaveShare, lineIs, awayM, widthM }, robot) {
    const [unit] = devicesOf(robot, 'light sensor');
    return settled(
      controlToLine(
        {
          of: unit === undefined ? null : { unitId: unit.id, channel: 'light' },
          enter: enterShare,
          leave: leaveShare,
          lineIs,
          count: 1,
          on,
          speedMPerS,
          keep: { strategy: 'open-loop' },
          timeoutS: timeoutS((awayM + widthM) / Math.abs(speedMPerS)),
        },
        robot,
      ),
    );
  },
  about({ awayM, widthM, speedMPerS }, robot) {
    const [unit] = devicesOf(robot, 'light sensor');
    const place = unit?.place ?? { aheadM: 0, leftM: 0 };
    const xM = place.aheadM + Math.sign(speedMPerS) * (awayM + widthM / 2);
    return { walls: [], lines: [{ x1M: xM, y1M: -LINE_M / 2, x2M: xM, y2M: LINE_M / 2, widthM }] };
  },
});
