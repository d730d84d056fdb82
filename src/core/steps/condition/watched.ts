import type { Watched, WatchedSource } from '../../control/condition';
import { radiansFromDegrees } from '../../geometry/angle';
import { isA } from '../../devices/ofRobot';
import { BATTERY_VOLTS } from '../../machine/ownReadings';
import { motorDegreesFromDistance } from '../../robot/conversions';
import type { Robot } from '../../robot/robot';
import type { Leg } from '../kind';
import type { Condition, Reading } from './condition';
import { unitRead } from './unitRead';

/** Where the program finds what a condition looks at. */
function sourceOf(reading: Reading, leg: Leg, robot: Robot): WatchedSource {
  if (reading === 'time') return { from: 'time' };
  if (reading === 'volts') return { from: 'unit', of: BATTERY_VOLTS, factor: 1 };
  if (reading === 'heading') {
    const perRad = robot.program.headingScale;
    return {
      from: 'heading',
      perRad,
      atZeroRad: leg.fromHeadingRad - leg.plannedReadingRad / perRad,
    };
  }
  const unit = unitRead(reading, robot);
  if (unit === null) return { from: 'unit', of: null, factor: 1 };
  if ('unit' in reading)
    return { from: 'unit', of: { unitId: unit.id, channel: reading.channel }, factor: 1 };
  if (isA(unit, 'left motor') || isA(unit, 'right motor')) {
    const radPerM = radiansFromDegrees(motorDegreesFromDistance(robot, 1));
    return { from: 'wheel', isLeft: isA(unit, 'left motor'), radPerM };
  }
  return { from: 'unit', of: { unitId: unit.id, channel: 'angle' }, factor: radiansFromDegrees(1) };
}

/** A condition as a controller watches it, on a robot, in a motion. */
export function watchedOf(condition: Condition, leg: Leg, robot: Robot): Watched {
  if ('all' in condition)
    return { every: true, of: condition.all.map((one) => watchedOf(one, leg, robot)) };
  if ('any' in condition)
    return { every: false, of: condition.any.map((one) => watchedOf(one, leg, robot)) };
  const { reading, is, value, confirmations, timeoutS = Infinity } = condition;
  return { source: sourceOf(reading, leg, robot), is, value, confirmations, timeoutS };
}
