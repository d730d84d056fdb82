import type { CalibrationKind, CalibrationOf, CalibrationValue } from './calibration';

/** The calibration of a kind among those that hold, or null; of the units of a kind, that of the first. */
export const calibrationOf = <K extends CalibrationKind>(
  values: readonly CalibrationValue[],
  kind: K,
): CalibrationOf<K> | null =>
  values.find(
    (value): value is CalibrationOf<K> => value.kind === kind && value.unitId === undefined,
  ) ?? null;
