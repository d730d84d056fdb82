import type { CalibrationKind, CalibrationValue } from './calibration';
import type { CalibrationKindOf } from './kind';
import { attachment } from './kinds/attachment';
import { balanceGain } from './kinds/balanceGain';
import { colourClasses } from './kinds/colourClasses';
import { drive } from './kinds/drive';
import { gyroDrift } from './kinds/gyroDrift';
import { headingTests } from './kinds/headingTests';
import { headingHold } from './kinds/headingHold';
import { lightThreshold } from './kinds/lightThreshold';
import { lineCrossing } from './kinds/lineCrossing';
import { lineFollowing } from './kinds/lineFollowing';
import { lineGain } from './kinds/lineGain';
import { lineSquaring } from './kinds/lineSquaring';
import { modeSwitch } from './kinds/modeSwitch';
import { placing } from './kinds/placing';
import { presence } from './kinds/presence';
import { range } from './kinds/range';
import { speed } from './kinds/speed';
import { squaring } from './kinds/squaring';
import { stop } from './kinds/stop';
import { straight } from './kinds/straight';
import { turnGain } from './kinds/turnGain';
import { turns } from './kinds/turns';
import { wallGain } from './kinds/wallGain';

const KINDS: Record<CalibrationKind, CalibrationKindOf<CalibrationValue>> = {
  'heading-tests': headingTests,
  'gyro-drift': gyroDrift,
  speed,
  straight,
  drive,
  turns,
  range,
  stop,
  squaring,
  'heading-hold': headingHold,
  'balance-gain': balanceGain,
  'turn-gain': turnGain,
  'wall-gain': wallGain,
  'line-gain': lineGain,
  placing,
  'light-threshold': lightThreshold,
  'colour-classes': colourClasses,
  attachment,
  'line-crossing': lineCrossing,
  'line-following': lineFollowing,
  'line-squaring': lineSquaring,
  presence,
  'mode-switch': modeSwitch,
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
export const isByEarlierMethod = ({ method }: CalibrationValue): boolean => method === 'earlier';

/** Something of every kind. */
export const ofEveryKind = <T>(of: (kind: CalibrationKind) => T): Record<CalibrationKind, T> =>
  Object.fromEntries(CALIBRATION_KINDS.map(({ kind }) => [kind, of(kind)])) as Record<
    CalibrationKind,
    T
  >;
