import type { Robot } from '../robot/robot';
import { devicesOf } from '../devices/ofRobot';
import type { Device } from '../devices/device';
import type { CalibrationKind } from './calibration';
import { PARTS_IN_USE, type RobotPart } from './parts';
import { kindOfCalibration } from './registry';

/** A dated change of a robot. */
export interface RobotChange {
  part: RobotPart;
  changedAt: Date;
}

/** What makes a unit another one for what was measured with it: not its port. */
const itself = ({ id, label, place, facingRad, behaviour, raw }: Device) => ({
  id,
  label,
  place,
  facingRad,
  behaviour,
  raw,
});

/** The units of a kind that another record has as well, as far as a calibration depends on them. */
const keptDevices = (robot: Robot, other: Robot, kind: Device['kind']) =>
  devicesOf(robot, kind)
    .filter(({ id }) => other.units.some((unit) => unit.id === id))
    .map(itself);

/** What of a record a part is; the other record tells which units have stayed. */
const READ: Record<Exclude<RobotPart, 'other'>, (robot: Robot, other: Robot) => unknown> = {
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
  'heading sensor': (robot, other) => ({
    sign: robot.signs.heading,
    units: keptDevices(robot, other, 'heading sensor'),
  }),
  'heading sensor in use': (robot) => devicesOf(robot, 'heading sensor')[0]?.id,
  'distance sensor': (robot) => ({ units: devicesOf(robot, 'distance sensor').map(itself) }),
  'light sensor': (robot) => ({ units: devicesOf(robot, 'light sensor').map(itself) }),
  battery: ({ build }) => build.battery,
  wiring: ({ build, units }) => ({
    ports: build.ports,
    units: units.map(({ id, kind, port }) => ({ id, kind, port })),
  }),
};

/** The parts in which two records of a robot differ. */
export const changedParts = (before: Robot, after: Robot): RobotPart[] =>
  (Object.keys(READ) as Exclude<RobotPart, 'other'>[]).filter(
    (part) =>
      JSON.stringify(READ[part](before, after)) !== JSON.stringify(READ[part](after, before)),
  );

/** When a calibration was made, and of which unit. */
export interface Made {
  at: Date;
  unitId: string | null;
  /** By a method that claimed to know more than its trials told. */
  isByEarlierMethod?: boolean;
}

/** The parts changed since a calibration was made that it rests on, each once, the first change first. */
export const staleSince = (
  kind: CalibrationKind,
  made: Made,
  changes: readonly RobotChange[],
): RobotPart[] => {
  const restsOn = kindOfCalibration(kind).restsOn.filter(
    (part) => made.unitId === null || !PARTS_IN_USE.includes(part),
  );
  return [
    ...new Set(
      changes
        .filter(({ part, changedAt }) => changedAt > made.at && restsOn.includes(part))
        .toSorted((a, b) => a.changedAt.getTime() - b.changedAt.getTime())
        .map(({ part }) => part),
    ),
  ];
};
