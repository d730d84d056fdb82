import type { Robot } from '../robot';
import { unitsOf } from '../units/ofRobot';
import type { Unit } from '../units/unit';
import type { CalibrationKind } from './calibration';
import type { RobotPart } from './parts';
import { kindOfCalibration } from './registry';

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

/** The parts changed since a calibration was made that it rests on, each once, the first change first. */
export const staleSince = (
  kind: CalibrationKind,
  madeAt: Date,
  changes: readonly RobotChange[],
): RobotPart[] => {
  const { restsOn } = kindOfCalibration(kind);
  return [
    ...new Set(
      changes
        .filter(({ part, changedAt }) => changedAt > madeAt && restsOn.includes(part))
        .toSorted((a, b) => a.changedAt.getTime() - b.changedAt.getTime())
        .map(({ part }) => part),
    ),
  ];
};
