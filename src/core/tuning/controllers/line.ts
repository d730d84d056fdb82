import { follow } from '../../control/follow';
import type { Robot } from '../../robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../../simulate/floor';
import { unitsOf } from '../../units/ofRobot';
import { judgeFollowing } from '../following';
import { WATCHED_S } from '../simulatedTrace';
import type { TunedController } from './controller';
import { FOLLOWING_M_PER_S } from './drives';

/** Half of the line on which it drives, which has its edge to the robot's left, and how far off that it begins. */
const LINE_M = 0.05;
const BEGINS_OFF_M = 0.004;

function lookingDown(robot: Robot) {
  const [unit] = unitsOf(robot, 'light sensor');
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
  title: 'Along a line',
  gainOf: 'rad/s of turning for a reading that is off by all of it',
  push: 'Let it follow the left edge of a line, begun a little beside it.',
  lack: (robot) => (lookingDown(robot) === null ? 'No light sensor is plugged in.' : null),
  experiment(robot, gain) {
    const { unit, target, sign } = needed(robot);
    const edgeYM = FLOOR_MIDDLE.yM + unit.place.leftM - BEGINS_OFF_M;
    const middleYM = edgeYM - LINE_M / 2;
    const drawn = { x1M: 0, y1M: middleYM, x2M: OPEN_FLOOR.widthM, y2M: middleYM };
    return {
      motion: follow(
        {
          unitId: unit.id,
          target,
          gainRadPerS: sign * gain,
          speedMPerS: FOLLOWING_M_PER_S,
          durationS: WATCHED_S,
        },
        robot.trackM,
      ),
      errorOf(now) {
        const reading = now.unit(unit.id);
        return reading === null ? null : reading - target;
      },
      scene: {
        table: { ...OPEN_FLOOR, lines: [{ ...drawn, widthM: LINE_M }] },
        start: FLOOR_MIDDLE,
      },
    };
  },
  judge(robot, trace) {
    const { unit, sign } = needed(robot);
    return judgeFollowing(trace, sign, unit.place.aheadM / FOLLOWING_M_PER_S);
  },
};
