import { counted, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { ModeSwitchCalibration } from '../../../calibrationValues/modeSwitch';

export const modeSwitch: CalibrationKindOf<ModeSwitchCalibration> = {
  kind: 'mode-switch',
  name: 'switching a sensor’s modes',
  unit: null,
  measuredBy: { procedure: 'loop', words: 'Time a switch' },
  restsOn: ['light sensor', 'other'],
  isOnlyTyped: true,
  describe: ({ switchS, low95S, high95S, oldReadings }) =>
    `${number(1000 * switchS)} ms (${number(1000 * low95S)} to ${number(1000 * high95S)}), then ${counted(oldReadings, 'old reading')}`,
  fit: (robot) => robot,
};
