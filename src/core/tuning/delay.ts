import type { Robot } from '../robot';
import type { TunedId } from './controllers/ids';
import { SHOWN } from './controllers/shown';

/** How long after an error a correction works, s: the reading is late, the loop comes round, and the motors follow. */
export const delayOf = (robot: Robot, id: TunedId): number =>
  SHOWN[id].readsLateS(robot) + robot.loopPeriodS + robot.motors.lagS;
