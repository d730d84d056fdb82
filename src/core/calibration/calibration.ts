import { z } from 'zod';
import { balanceGainValue } from './kinds/balanceGain/schema';
import { driveValue } from './kinds/drive/schema';
import { gyroDriftValue } from './kinds/gyroDrift/schema';
import { headingHoldValue } from './kinds/headingHold/schema';
import { lineGainValue } from './kinds/lineGain/schema';
import { placingValue } from './kinds/placing/schema';
import { rangeValue } from './kinds/range/schema';
import { speedValue } from './kinds/speed/schema';
import { squaringValue } from './kinds/squaring/schema';
import { stopValue } from './kinds/stop/schema';
import { straightValue } from './kinds/straight/schema';
import { turnGainValue } from './kinds/turnGain/schema';
import { turnsValue } from './kinds/turns/schema';
import { wallGainValue } from './kinds/wallGain/schema';

/**
 * What a procedure found about a robot and may be computed with from then on. What is known of each kind
 * stands in its own folder; `registry.ts` lists them.
 */
export const calibrationValueSchema = z.discriminatedUnion('kind', [
  gyroDriftValue,
  turnsValue,
  straightValue,
  driveValue,
  rangeValue,
  speedValue,
  stopValue,
  squaringValue,
  headingHoldValue,
  balanceGainValue,
  turnGainValue,
  wallGainValue,
  lineGainValue,
  placingValue,
]);

export type CalibrationValue = z.output<typeof calibrationValueSchema>;
export type CalibrationKind = CalibrationValue['kind'];
export type CalibrationOf<K extends CalibrationKind> = Extract<CalibrationValue, { kind: K }>;

export const CALIBRATION_KIND_NAMES = calibrationValueSchema.options.map(
  ({ shape }) => shape.kind.value,
);
