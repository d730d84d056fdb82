import { devicesOf } from '../devices/ofRobot';
import type { Robot } from '../robot/robot';
import type { TwoSensors } from './lineSquaring';

/** Where a robot has fewer than two light sensors: a usual distance between two. */
const USUAL_SPACING_M = 0.08;
const USUAL_PERIOD_S = 0.01;

/** How many light sensors are plugged in. */
export const lightSensorCount = (robot: Robot): number => devicesOf(robot, 'light sensor').length;

/** The light sensor that is furthest to the left, and that furthest to the right; null where there are not two. */
export function leftAndRight(robot: Robot) {
  const sensors = devicesOf(robot, 'light sensor').toSorted(
    (a, b) => b.place.leftM - a.place.leftM,
  );
  const [left, right] = [sensors[0], sensors.at(-1)];
  return left === undefined || right === undefined || left === right ? null : { left, right };
}

/** The two light sensors that are furthest apart across the way, as the record has them. */
export function twoLightSensors(robot: Robot): TwoSensors {
  const sensors = devicesOf(robot, 'light sensor');
  const across = sensors.map(({ place }) => place.leftM);
  const spacingM = Math.max(...across) - Math.min(...across);
  return {
    spacingM: sensors.length > 1 && spacingM > 0 ? spacingM : USUAL_SPACING_M,
    loopPeriodS: robot.loopPeriodS,
    sensorPeriodS: Math.max(...sensors.map(({ behaviour }) => behaviour.periodS), USUAL_PERIOD_S),
  };
}
