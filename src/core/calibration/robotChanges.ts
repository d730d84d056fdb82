import type { Robot } from '../robot';
import { unitsOf } from '../units/ofRobot';
import type { Unit } from '../units/unit';
import type { CalibrationKind } from './calibration';

/** A part of a robot; what was measured with it no longer holds when it is changed. */
export const ROBOT_PARTS = [
  'wheels and track',
  'motors',
  'heading sensor',
  'distance sensor',
  'light sensor',
  'battery',
  'wiring',
  'other',
] as const;

export type RobotPart = (typeof ROBOT_PARTS)[number];

/** A dated change of a robot. */
export interface RobotChange {
  part: RobotPart;
  changedAt: Date;
}

/** What makes a unit another one for what was measured with it: not its port. */
const itself = ({ id, label, place, facingRad, behaviour, raw }: Unit) => ({
  id,
  label,
  place,
  facingRad,
  behaviour,
  raw,
});

const READ: Record<Exclude<RobotPart, 'other'>, (robot: Robot) => unknown> = {
  'wheels and track': ({ wheelDiameterM, trackM, build }) => ({
    wheelDiameterM,
    trackM,
    drivenWheels: build.drivenWheels,
    skids: build.skids,
  }),
  motors: ({ gearRatio, encoderCountsPerMotorDegree, motors, signs, build }) => ({
    gearRatio,
    encoderCountsPerMotorDegree,
    motors,
    left: signs.leftMotor,
    right: signs.rightMotor,
    onStop: build.onStop,
  }),
  'heading sensor': (robot) => ({
    sign: robot.signs.heading,
    units: unitsOf(robot, 'heading sensor').map(itself),
  }),
  'distance sensor': (robot) => ({ units: unitsOf(robot, 'distance sensor').map(itself) }),
  'light sensor': (robot) => ({ units: unitsOf(robot, 'light sensor').map(itself) }),
  battery: ({ build }) => build.battery,
  wiring: ({ build, units }) => ({
    ports: build.ports,
    units: units.map(({ id, kind, port }) => ({ id, kind, port })),
  }),
};

/** The parts in which two records of a robot differ. */
export const changedParts = (before: Robot, after: Robot): RobotPart[] =>
  (Object.keys(READ) as Exclude<RobotPart, 'other'>[]).filter(
    (part) => JSON.stringify(READ[part](before)) !== JSON.stringify(READ[part](after)),
  );

/** What each kind of calibration rests on. A swapped port changes nothing: it belongs to the unit. */
const RESTS_ON: Record<CalibrationKind, readonly RobotPart[]> = {
  'gyro-drift': ['heading sensor'],
  turns: ['wheels and track', 'motors', 'heading sensor'],
  drive: ['wheels and track'],
};

/** The parts changed since a calibration was made that it rests on, each once, the first change first. */
export const staleSince = (
  kind: CalibrationKind,
  madeAt: Date,
  changes: readonly RobotChange[],
): RobotPart[] => [
  ...new Set(
    changes
      .filter(({ part, changedAt }) => changedAt > madeAt && RESTS_ON[kind].includes(part))
      .toSorted((a, b) => a.changedAt.getTime() - b.changedAt.getTime())
      .map(({ part }) => part),
  ),
];
