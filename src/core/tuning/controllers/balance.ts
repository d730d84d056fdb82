import { straight } from '../../control/straight';
import { gainTrace } from '../gainTrace';
import { HELD_S, WATCHED_S } from '../simulatedTrace';
import { lacksNothing, type TunedController } from './controller';
import { DRIVING, FAR_M } from '../../control/tunedDrives';

/** A straight drive that the encoders' difference keeps straight. */
export const balance: TunedController = {
  id: 'balance',
  lack: lacksNothing,
  experiment(robot, gainPerS, speedMPerS = DRIVING.usual) {
    let from: number | null = null;
    return {
      motion: straight(
        {
          distanceM: FAR_M,
          speedMPerS,
          keep: { strategy: 'encoder-balance', gainPerS, differenceM: null },
          timeoutS: WATCHED_S,
        },
        robot,
      ),
      errorOf({ leftM, rightM }) {
        from ??= rightM - leftM;
        return (rightM - leftM - from) / robot.trackM;
      },
      heldS: HELD_S,
    };
  },
  judge: (_robot, trace) => gainTrace(trace),
};
