import { turn as turnMotion } from '../../control/turn';
import { turnSchoolSchema } from '../../control/turn/schema';
import { radiansFromDegrees } from '../../geometry/angle';
import { degrees } from '../../text/quantities';
import { gainTrace } from '../gainTrace';
import { WATCHED_S } from '../simulatedTrace';
import { lacksNothing, type TunedController } from './controller';
import { SHOWN } from './shown';

const ANGLE_RAD = radiansFromDegrees(45);
const RATE_RAD_PER_S = 2;
const TURNING = {
  usual: RATE_RAD_PER_S,
  others: [60, 120, 180, 240].map(radiansFromDegrees),
  say: (rate: number) => `${degrees(rate, 0)}/s`,
};

/** A turn on the spot by a rate in proportion to the angle left. */
export const turn: TunedController = {
  id: 'turn',
  lack: lacksNothing,
  speeds: TURNING,
  experiment({ trackM }, gain, rateRadPerS = TURNING.usual) {
    const how = { ...turnSchoolSchema.parse(SCHOOL), kpPerS: gain, rateRadPerS } as const;
    const motion = turnMotion(
      { angleRad: ANGLE_RAD, how, fromReadingRad: null, timeoutS: WATCHED_S },
      trackM,
    );
    let from: number | null = null;
    return {
      motion,
      errorOf: ({ headingRad }) => headingRad - (from ??= headingRad) - ANGLE_RAD,
    };
  },
  judge: (_robot, trace) => gainTrace(trace, SHOWN.turn.bandRad),
};

const SCHOOL = { school: 'proportional', rateRadPerS: RATE_RAD_PER_S, kpPerS: 0 } as const;
