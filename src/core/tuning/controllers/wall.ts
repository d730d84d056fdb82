import type { Robot } from '../../robot/robot';
import { lookingSideways } from '../../devices/ofRobot';
import { ranIntoWall } from '../judge';
import { wallTrace, type WallSide } from '../wallTrace';
import type { TunedController } from './controller';
import { FOLLOWING } from '../../control/tunedDrives';
import { followed } from './followed';

/** The side of the robot is to keep so far from the wall, and begins so much too far away. */
const KEPT_M = 0.1;
const TOO_FAR_M = 0.04;
/** A robot that reads so much too far has turned away from the wall, or along its sensor's beam. */
const LOST_M = 0.2;
/** The distance sensor that looks to a side, which side, and at what reading the robot keeps its distance. */
function besideOf(robot: Robot) {
  const unit = lookingSideways(robot);
  if (unit === null) return null;
  const side: WallSide = unit.facingRad > 0 ? 'left' : 'right';
  const sign = side === 'left' ? 1 : -1;
  const { offsetM, scale } = unit.behaviour;
  const gapM = KEPT_M + Math.max(0, robot.body.halfWidthM - sign * unit.place.leftM);
  return { unit, side, sign, gapM, targetM: offsetM + scale * gapM };
}

const needed = (robot: Robot) => {
  const beside = besideOf(robot);
  if (beside === null) throw new RangeError('no distance sensor looks to a side');
  return beside;
};

/** Following a wall by a distance sensor that looks to it. */
export const wall: TunedController = {
  id: 'wall',
  lack: (robot) =>
    besideOf(robot) === null
      ? 'No distance sensor of this robot looks to a side: say on the Robot page which way it faces.'
      : null,
  experiment(robot, gain, speed = FOLLOWING.usual) {
    const { unit, sign, gapM, targetM } = needed(robot);
    const kept = {
      of: { unitId: unit.id, channel: 'distance' },
      target: targetM,
      gainRadPerS: sign * gain,
    };
    const wallM = unit.place.leftM + sign * (gapM + TOO_FAR_M);
    return followed(robot, kept, wallM, speed, (along) => ({ walls: [along] }));
  },
  judge(robot, trace, speed = FOLLOWING.usual) {
    const { tS, error, correction, hitWall } = trace;
    const { unit, side, sign, targetM } = needed(robot);
    // Turned towards the wall, the sensor looks back along it, and reads more and more.
    const lostIt = hitWall || error.some((off) => off > LOST_M);
    if (lostIt && sign * (correction[0] ?? 0) > 0) return ranIntoWall(trace);
    const readingM = error.map((off) => off + targetM);
    const leadS = unit.place.aheadM / speed;
    return wallTrace({ tS, readingM, correctionRadPerS: correction }, targetM, side, leadS);
  },
};
