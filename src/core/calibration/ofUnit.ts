import type { Robot } from '../robot/robot';
import type { CalibrationKind, CalibrationOf, CalibrationValue } from './calibration';
import { calibrationOf } from './find';
import { deviceFor } from './holding';

/** The calibration of a kind that holds for one unit of a robot, or null. */
export const calibrationOfUnit = <K extends CalibrationKind>(
  values: readonly CalibrationValue[],
  kind: K,
  robot: Pick<Robot, 'units'>,
  unitId: string,
): CalibrationOf<K> | null =>
  unitId === deviceFor(robot, kind)
    ? calibrationOf(values, kind)
    : (values.find(
        (value): value is CalibrationOf<K> => value.kind === kind && value.unitId === unitId,
      ) ?? null);
