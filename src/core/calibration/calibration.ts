import { z } from 'zod';
import { balanceGainValue } from '../calibrationValues/balanceGain';
import { driveValue } from '../calibrationValues/drive';
import { gyroDriftValue } from '../calibrationValues/gyroDrift';
import { headingHoldValue } from '../calibrationValues/headingHold';
import { lineGainValue } from '../calibrationValues/lineGain';
import { placingValue } from '../calibrationValues/placing';
import { rangeValue } from '../calibrationValues/range';
import { speedValue } from '../calibrationValues/speed';
import { squaringValue } from '../calibrationValues/squaring';
import { stopValue } from '../calibrationValues/stop';
import { straightValue } from '../calibrationValues/straight';
import { turnGainValue } from '../calibrationValues/turnGain';
import { turnsValue } from '../calibrationValues/turns';
import { wallGainValue } from '../calibrationValues/wallGain';

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
