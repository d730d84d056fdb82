import type { Robot } from '../../robot/robot';
import { devicesOf } from '../../devices/ofRobot';
import { judgeFollowing } from '../following';
import type { TunedController } from './controller';
import { FOLLOWING } from '../../control/tunedDrives';
import { followed } from './followed';

/** Half of the line on which it drives, which has its edge to the robot's left, and how far off that it begins. */
const LINE_M = 0.05;
const BEGINS_OFF_M = 0.004;

function lookingDown(robot: Robot) {
  const [unit] = devicesOf(robot, 'light sensor');
  if (unit === undefined) return null;
  const { floorShare, lineShare } = unit.behaviour;
  // Too much floor under it is too far left of the line: it turns right.
  const sign: 1 | -1 = floorShare > lineShare ? -1 : 1;
  return { unit, target: (floorShare + lineShare) / 2, sign };
}

const needed = (robot: Robot) => {
  const found = lookingDown(robot);
  if (found === null) throw new RangeError('no light sensor is plugged in');
  return found;
};

/** Following the left edge of a line by a light sensor that looks at the floor. */
export const line: TunedController = {
  id: 'line',
  lack: (robot) => (lookingDown(robot) === null ? 'No light sensor is plugged in.' : null),
  experiment(robot, gain, speed = FOLLOWING.usual) {
    const { unit, target, sign } = needed(robot);
    const kept = { of: { unitId: unit.id, channel: 'light' }, target, gainRadPerS: sign * gain };
    const middleM = unit.place.leftM - BEGINS_OFF_M - LINE_M / 2;
    return followed(robot, kept, middleM, speed, (along) => ({
      lines: [{ ...along, widthM: LINE_M }],
    }));
  },
  judge(robot, trace, speed = FOLLOWING.usual) {
    const { unit, sign } = needed(robot);
    return judgeFollowing(trace, sign, unit.place.aheadM / speed);
  },
};
