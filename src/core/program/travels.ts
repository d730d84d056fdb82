import { distanceFromMotorDegrees, motorDegreesFromDistance } from '../robot/conversions';
import type { Robot } from '../robot/robot';
import type { Travel } from '../robot/programWays';

/** One way in which programs say how far the robot drives. */
export interface TravelWay {
  unit: string;
  decimals: number;
  distanceM(robot: Robot, travel: number): number;
  travel(robot: Robot, distanceM: number): number;
}

const byMotor = (unit: string, decimals: number, degreesPerUnit: number): TravelWay => ({
  unit,
  decimals,
  distanceM: (robot, travel) => distanceFromMotorDegrees(robot, travel * degreesPerUnit),
  travel: (robot, distanceM) => motorDegreesFromDistance(robot, distanceM) / degreesPerUnit,
});

const byLength = (unit: string, decimals: number, perM: number): TravelWay => ({
  unit,
  decimals,
  distanceM: (_robot, travel) => travel / perM,
  travel: (_robot, distanceM) => distanceM * perM,
});

export const TRAVEL_WAYS: Record<Travel, TravelWay> = {
  'motor degrees': byMotor('° of the motor', 0, 1),
  rotations: byMotor('rotations', 2, 360),
  mm: byLength('mm', 0, 1000),
  cm: byLength('cm', 1, 100),
  inches: byLength('in', 2, 1 / 0.0254),
};
