import type { HeadingTestsCalibration } from '../calibrationValues/headingTests';
import { driftText } from './driftText';

/** What the tests say, in a line: what was found, part by part. */
export const headingTestsText = ({ axis, start, motors }: HeadingTestsCalibration): string =>
  [
    axis && `“${axis.name}” is the heading, ${axis.sign > 0 ? 'growing' : 'shrinking'} to the left`,
    start && (start === 'zeroes' ? 'a start zeroes it' : 'a start leaves it as it was'),
    motors &&
      (motors.low95 > 0 || motors.high95 < 0
        ? `running motors push it by ${driftText(motors.driftRadPerS)}`
        : 'running motors are not proved to disturb it'),
  ]
    .filter(Boolean)
    .join('; ');
