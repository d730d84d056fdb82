import { straight } from '../../control/straight';
import { gainTrace } from '../gainTrace';
import { HELD_S, WATCHED_S } from '../simulatedTrace';
import { lacksNothing, type TunedController } from './controller';
import { DRIVING, FAR_M } from '../../control/tunedDrives';

/** A straight drive that the heading sensor keeps straight. */
export const headingHold: TunedController = {
  id: 'heading-hold',
  lack: lacksNothing,
  experiment(robot, gainMPerSPerRad, speedMPerS = DRIVING.usual) {
    let from: number | null = null;
    return {
      motion: straight(
        {
          distanceM: FAR_M,
          speedMPerS,
          keep: { strategy: 'heading-hold', gainMPerSPerRad, headingRad: null },
          timeoutS: WATCHED_S,
        },
        robot,
      ),
      // Not wrapped: a robot that turns round and round is seen to.
      errorOf: ({ headingRad }) => headingRad - (from ??= headingRad),
      heldS: HELD_S,
    };
  },
  judge: (_robot, trace) => gainTrace(trace),
};
