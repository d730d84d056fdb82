import { radiansFromDegrees } from '../core/geometry/angle';
import type { RawLog } from '../core/directionCheck';
import type { Reading, ReadingNumber } from './readings';

/** Readings as they came, without any sign turned: for finding the signs. */
export function rawLogOf(readings: readonly Reading[]): RawLog {
  const column = (name: ReadingNumber, factor: number) => {
    const values = readings.flatMap((reading) => reading[name] ?? []);
    return values.length < 2 ? null : Float64Array.from(values, (value) => value * factor);
  };
  return {
    headingRad: column('heading_deg', radiansFromDegrees(1)),
    leftMotorDegrees: column('left_deg', 1),
    rightMotorDegrees: column('right_deg', 1),
  };
}
