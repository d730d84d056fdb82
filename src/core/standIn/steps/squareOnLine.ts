import { z } from 'zod';
import { squareOnLine as controlSquare } from '../../control/squareOnLine';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { leftAndRight } from '../../light/twoLightSensors';
import { benchStepKind } from './kind';

/** A line that is laid across its way is this long, and lies so far ahead of its sensors. */
const LINE_M = 2;
const AWAY_M = 0.15;
const WIDTH_M = 0.03;
/** It backs off so far before a second pass. */
const BACK_M = 0.04;

const share = z.number().min(0).max(1);
const speed = z.number().min(0.01).max(1);

export const squareOnLine = benchStepKind({
  schema: z.object({
    kind: z.literal('square-on-line'),
    /** By so much the robot is turned to the left of square before it. */
    beforeRad: z.number().min(-0.7).max(0.7),
    speedMPerS: speed,
    secondMPerS: speed.nullable(),
    /** Readings of the sensors on either side from which on they are on the line. */
    leftEnterShare: share,
    rightEnterShare: share,
    lineIs: z.enum(['darker', 'lighter']),
  }),
  control({ speedMPerS, secondMPerS, leftEnterShare, rightEnterShare, lineIs }, robot) {
    const sides = leftAndRight(robot);
    const looking = (unitId: string, enter: number) => ({
      of: { unitId, channel: 'light' },
      enter,
    });
    const slowest = Math.min(speedMPerS, secondMPerS ?? speedMPerS);
    return settled(
      controlSquare(
        {
          left: sides && looking(sides.left.id, leftEnterShare),
          right: sides && looking(sides.right.id, rightEnterShare),
          lineIs,
          speedMPerS,
          secondMPerS,
          backM: BACK_M,
          timeoutS: timeoutS((2 * AWAY_M + 4 * BACK_M) / slowest),
        },
        robot,
      ),
    );
  },
  about({ beforeRad }, robot) {
    const sides = leftAndRight(robot);
    const aheadM = sides === null ? 0 : Math.max(sides.left.place.aheadM, sides.right.place.aheadM);
    // The robot is turned to the left of the line's normal: seen from it, the line is turned to the right.
    const [cos, sin] = [Math.cos(beforeRad), Math.sin(beforeRad)];
    const middle = { xM: aheadM + AWAY_M + WIDTH_M / 2, yM: 0 };
    const half = LINE_M / 2;
    const line = {
      x1M: middle.xM - half * sin,
      y1M: middle.yM - half * cos,
      x2M: middle.xM + half * sin,
      y2M: middle.yM + half * cos,
      widthM: WIDTH_M,
    };
    return { walls: [], lines: [line] };
  },
});
