import type { Robot } from '../robot/robot';
import type { TunedId } from '../robot/tunedIds';
import { SHOWN } from '../control/tuned';

/** How long after an error a correction works, s: the reading is late, the loop comes round, and the motors follow. */
export const delayOf = (robot: Robot, id: TunedId): number =>
  SHOWN[id].readsLateS(robot) + robot.loopPeriodS + robot.motors.lagS;
