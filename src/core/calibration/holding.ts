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

/** The units of a robot of which a kind of calibration can be, the one in use first; none for the whole robot's. */
export function devicesFor(robot: Pick<Robot, 'units'>, kind: CalibrationKind): string[] {
  const { unit } = kindOfCalibration(kind);
  return unit === null ? [] : devicesOf(robot, unit).map(({ id }) => id);
}

/** The unit of a robot to which a kind of calibration belongs: the one in use; null for the whole robot's. */
export const deviceFor = (robot: Pick<Robot, 'units'>, kind: CalibrationKind): string | null =>
  devicesFor(robot, kind)[0] ?? null;

/** Ids that were made for one unit alone; those of earlier records only tell the units of one robot apart. */
const ONE_OF_ITS_KIND = /^[0-9A-HJKMNP-TV-Z]{26}$/;

/** The units of a robot that may have been measured on another. */
export const movableDevices = ({ units }: Pick<Robot, 'units'>): string[] =>
  units.map(({ id }) => id).filter((id) => ONE_OF_ITS_KIND.test(id));

/**
 * Whether what was measured holds for a robot as it is now: what belongs to a unit goes with it, wherever it was
 * measured, and stays away with it.
 *
 * @param ofUnit the unit that is meant: without it the one in use
 */
export function belongsTo(
  { robotId, unitId }: Belonging,
  kind: CalibrationKind,
  robot: { id: string; robot: Pick<Robot, 'units'> },
  ofUnit = deviceFor(robot.robot, kind),
): boolean {
  const { unit } = kindOfCalibration(kind);
  if (unit === null) return robotId === robot.id;
  if (ofUnit === null) return false;
  // Made before units were told apart: taken as that of the first.
  if (unitId === null) return robotId === robot.id && ofUnit === deviceFor(robot.robot, kind);
  return (
    unitId === ofUnit && (robotId === robot.id || movableDevices(robot.robot).includes(unitId))
  );
}
