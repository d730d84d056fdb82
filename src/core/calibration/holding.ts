import type { Robot } from '../robot/robot';
import { devicesOf } from '../devices/ofRobot';
import type { CalibrationKind } from './calibration';
import { kindOfCalibration } from './registry';

/** Whose a calibration is, or a line of the journal about one. */
export interface Belonging {
  robotId: string;
  /** Null: the whole robot's, or made before units were told apart. */
  unitId: string | null;
}

/** The unit of a robot to which a kind of calibration belongs: the one in use; null for the whole robot's. */
export function deviceFor(robot: Pick<Robot, 'units'>, kind: CalibrationKind): string | null {
  const { unit } = kindOfCalibration(kind);
  return unit === null ? null : (devicesOf(robot, unit)[0]?.id ?? null);
}

/** Ids that were made for one unit alone; those of earlier records only tell the units of one robot apart. */
const ONE_OF_ITS_KIND = /^[0-9A-HJKMNP-TV-Z]{26}$/;

/** The units of a robot that may have been measured on another. */
export const movableDevices = ({ units }: Pick<Robot, 'units'>): string[] =>
  units.map(({ id }) => id).filter((id) => ONE_OF_ITS_KIND.test(id));

/**
 * Whether what was measured holds for a robot as it is now: what belongs to a unit goes with it, wherever it was
 * measured, and stays away with it.
 */
export function belongsTo(
  { robotId, unitId }: Belonging,
  kind: CalibrationKind,
  robot: { id: string; robot: Pick<Robot, 'units'> },
): boolean {
  const { unit } = kindOfCalibration(kind);
  if (unit === null) return robotId === robot.id;
  const inUse = deviceFor(robot.robot, kind);
  if (inUse === null) return false;
  if (unitId === null) return robotId === robot.id;
  return unitId === inUse && (robotId === robot.id || movableDevices(robot.robot).includes(unitId));
}
