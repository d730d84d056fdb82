import type { CalibrationKind, CalibrationValue } from './calibration';
import type { CalibrationKindOf } from './kind';
import { drive } from './kinds/drive';
import { gyroDrift } from './kinds/gyroDrift';
import { headingHold } from './kinds/headingHold';
import { placing } from './kinds/placing';
import { range } from './kinds/range';
import { speed } from './kinds/speed';
import { squaring } from './kinds/squaring';
import { stop } from './kinds/stop';
import { straight } from './kinds/straight';
import { turns } from './kinds/turns';

const KINDS: Record<CalibrationKind, CalibrationKindOf<CalibrationValue>> = {
  'gyro-drift': gyroDrift,
  speed,
  straight,
  drive,
  turns,
  range,
  stop,
  squaring,
  'heading-hold': headingHold,
  placing,
};

/** Every kind, in working order: each is fitted on what those before it found. */
export const CALIBRATION_KINDS: readonly CalibrationKindOf<CalibrationValue>[] =
  Object.values(KINDS);

export const kindOfCalibration = (kind: CalibrationKind): CalibrationKindOf<CalibrationValue> =>
  KINDS[kind];

/** A calibration in a line: what is computed with. */
export const describeCalibration = (value: CalibrationValue): string =>
  KINDS[value.kind].describe(value);

/** Whether an earlier Corvat made it, by a method that is not trusted any more. */
export const isByEarlierMethod = (value: CalibrationValue): boolean =>
  KINDS[value.kind].isByEarlierMethod?.(value) ?? false;

/** Something of every kind. */
export const ofEveryKind = <T>(of: (kind: CalibrationKind) => T): Record<CalibrationKind, T> =>
  Object.fromEntries(CALIBRATION_KINDS.map(({ kind }) => [kind, of(kind)])) as Record<
    CalibrationKind,
    T
  >;
