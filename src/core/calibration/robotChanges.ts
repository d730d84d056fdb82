import type { Robot } from '../robot';
import type { CalibrationKind } from './calibration';

/** A part of a robot; what was measured with it no longer holds when it is changed. */
export const ROBOT_PARTS = [
  'wheels and track',
  'motors',
  'heading sensor',
  'distance sensor',
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
  'heading sensor': ({ gyro, signs, build }) => ({
    gyro,
    sign: signs.heading,
    units: build.units.filter(({ role }) => role === 'heading sensor').map(({ label }) => label),
  }),
  'distance sensor': ({ distance, build }) => ({
    distance,
    units: build.units.filter(({ role }) => role === 'distance sensor').map(({ label }) => label),
  }),
  battery: ({ build }) => build.battery,
  wiring: ({ build }) => ({
    ports: build.ports,
    units: build.units.map(({ id, role, port }) => ({ id, role, port })),
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
