import { driftText } from '../gyro/stillSentence';
import { degrees, number, between } from '../text/quantities';
import type { CalibrationValue } from './calibration';

/** A calibration in a line: what is computed with. */
export function describeCalibration(value: CalibrationValue): string {
  switch (value.kind) {
    case 'gyro-drift':
      return `drift ${driftText(value.driftRadPerS)} (${between(value.low95, value.high95).map(driftText).join(' to ')})`;
    case 'turns':
      return value.groups
        .map(({ direction, rates, constantRad, scaleError }) => {
          const way = direction === 'both' ? 'both ways' : direction;
          const rate = rates.map((one) => degrees(one, 0)).join(' and ');
          const share = scaleError === 0 ? '' : ` and ${number(scaleError * 100, 1)} %`;
          return `${way} at ${rate}/s: ${degrees(constantRad)}${share} too far`;
        })
        .join('; ');
    case 'drive':
      return `track × ${number(value.trackRatio, 4)}, left wheel × ${number(value.leftWheelFactor, 4)}, right wheel × ${number(value.rightWheelFactor, 4)}`;
  }
}
