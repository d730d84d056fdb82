import { z } from 'zod';
import { attachmentValue } from '../calibrationValues/attachment';
import { balanceGainValue } from '../calibrationValues/gains/balanceGain';
import { colourClassesValue } from '../calibrationValues/colourClasses';
import { driveValue } from '../calibrationValues/drive';
import { gyroDriftValue } from '../calibrationValues/gyroDrift';
import { headingTestsValue } from '../calibrationValues/headingTests';
import { headingHoldValue } from '../calibrationValues/gains/headingHold';
import { lightThresholdValue } from '../calibrationValues/lightThreshold';
import { lineCrossingValue } from '../calibrationValues/lineCrossing';
import { lineFollowingValue } from '../calibrationValues/lineFollowing';
import { lineGainValue } from '../calibrationValues/gains/lineGain';
import { lineSquaringValue } from '../calibrationValues/lineSquaring';
import { modeSwitchValue } from '../calibrationValues/modeSwitch';
import { placingValue } from '../calibrationValues/placing';
import { presenceValue } from '../calibrationValues/presence';
import { rangeValue } from '../calibrationValues/range';
import { speedValue } from '../calibrationValues/speed';
import { squaringValue } from '../calibrationValues/squaring';
import { stopValue } from '../calibrationValues/stop';
import { straightValue } from '../calibrationValues/straight';
import { turnGainValue } from '../calibrationValues/gains/turnGain';
import { turnsValue } from '../calibrationValues/turns';
import { wallGainValue } from '../calibrationValues/gains/wallGain';
import { mountedSchema } from '../robot/robot';
import { CALIBRATION_WAYS } from '../versions/ofCalibrations';
import { broughtToday, formatSchema } from '../versions/schema';

/** What every kind says besides. */
const KEPT = {
  format: formatSchema(CALIBRATION_WAYS),
  method: z
    .literal('earlier')
    .optional()
    .describe('by a method that claimed to know more than its trials had told'),
  unitId: z
    .string()
    .min(1)
    .max(40)
    .optional()
    .describe('the unit that was measured, where it is not the first of its kind on the robot'),
  mounted: mountedSchema
    .optional()
    .describe('what was mounted then; null: nothing; left out: nobody noted it'),
};

const anyKind = z.discriminatedUnion('kind', [
  gyroDriftValue.safeExtend(KEPT),
  turnsValue.safeExtend(KEPT),
  straightValue.safeExtend(KEPT),
  driveValue.safeExtend(KEPT),
  rangeValue.safeExtend(KEPT),
  speedValue.safeExtend(KEPT),
  stopValue.safeExtend(KEPT),
  squaringValue.safeExtend(KEPT),
  headingHoldValue.safeExtend(KEPT),
  balanceGainValue.safeExtend(KEPT),
  turnGainValue.safeExtend(KEPT),
  wallGainValue.safeExtend(KEPT),
  lineGainValue.safeExtend(KEPT),
  headingTestsValue.safeExtend(KEPT),
  modeSwitchValue.safeExtend(KEPT),
  placingValue.safeExtend(KEPT),
  lightThresholdValue.safeExtend(KEPT),
  colourClassesValue.safeExtend(KEPT),
  attachmentValue.safeExtend(KEPT),
  lineSquaringValue.safeExtend(KEPT),
  lineFollowingValue.safeExtend(KEPT),
  lineCrossingValue.safeExtend(KEPT),
  presenceValue.safeExtend(KEPT),
]);

/**
 * What a procedure found about a robot and may be computed with from then on. What is known of each kind
 * stands in its own folder; `registry.ts` lists them.
 */
export const calibrationValueSchema = broughtToday('calibration', CALIBRATION_WAYS, anyKind);

export type CalibrationValue = z.output<typeof calibrationValueSchema>;
export type CalibrationKind = CalibrationValue['kind'];
export type CalibrationOf<K extends CalibrationKind> = Extract<CalibrationValue, { kind: K }>;

export const CALIBRATION_KIND_NAMES = anyKind.options.map(({ shape }) => shape.kind.value);
