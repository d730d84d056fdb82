import { distanceFromMotorDegrees, motorDegreesFromDistance } from '../drive/conversions';
import type { Robot } from '../robot';
import type { Command } from './profile';
import { percentForSpeed, speedAtPercent } from './speedTable';

/** One way in which programs say how fast a wheel goes. */
export interface CommandWay {
  /** Behind a number of it. */
  unit: string;
  decimals: number;
  /** No program tells more. */
  most: number;
  /** Wheel speed in m/s for a number of it; null where it was not measured. */
  speed(robot: Robot, command: number): number | null;
  /** The number for a wheel speed; null where it was not measured. */
  told(robot: Robot, mPerS: number): number | null;
  /** What has to be done where it was not measured. */
  lacks: string;
}

const byMotor = (unit: string, decimals: number, degreesPerUnit: number): CommandWay => ({
  unit,
  decimals,
  most: 1e6,
  speed: (robot, command) => distanceFromMotorDegrees(robot, command * degreesPerUnit),
  told: (robot, mPerS) => motorDegreesFromDistance(robot, mPerS) / degreesPerUnit,
  lacks: '',
});

export const COMMAND_WAYS: Record<Command, CommandWay> = {
  percent: {
    unit: '%',
    decimals: 0,
    most: 100,
    speed: ({ program }, percent) => speedAtPercent(program.speeds, percent),
    told: ({ program }, mPerS) => percentForSpeed(program.speeds, mPerS),
    lacks: 'not timed yet at such a power (time drives on the Bench: Speed at a power)',
  },
  'degrees per second': byMotor('°/s of the motor', 0, 1),
  'rotations per second': byMotor('rotations/s', 2, 360),
};
