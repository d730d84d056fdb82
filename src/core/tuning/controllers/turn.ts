import { turn as turnMotion } from '../../control/turn';
import { turnStrategySchema } from '../../control/turn/schema';
import { radiansFromDegrees } from '../../geometry/angle';
import { gainTrace } from '../gainTrace';
import { WATCHED_S } from '../simulatedTrace';
import { lacksNothing, type TunedController } from './controller';
import { TURNING } from '../../control/tunedDrives';
import { SHOWN } from '../../control/tuned';

const ANGLE_RAD = radiansFromDegrees(45);

/** A turn on the spot by a rate in proportion to the angle left. */
export const turn: TunedController = {
  id: 'turn',
  lack: lacksNothing,
  experiment({ trackM }, gain, rateRadPerS = TURNING.usual) {
    const how = { ...turnStrategySchema.parse(STRATEGY), kpPerS: gain, rateRadPerS } as const;
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

const STRATEGY = { school: 'proportional', rateRadPerS: TURNING.usual, kpPerS: 0 } as const;
