import { errorShares } from '../detection/threshold';
import type { LightThresholdCalibration } from '../calibrationValues/lightThreshold';
import type { LineThreshold } from './lineThreshold';

/** What a threshold of another day or place does with what line and floor read now. */
export interface ProfileNow {
  /** Of today's readings, half of them from the line, so many would be wrong by it. */
  errorRate: number;
  holds: boolean;
}

/** A profile still holds while it errs no more than this, or no more than it did. */
const STILL_GOOD = 0.01;
const AS_BEFORE = 2;

/** The error rate of a kept threshold for the line and floor of some few readings made now. */
export function profileNow(profile: LightThresholdCalibration, now: LineThreshold): ProfileNow {
  if (profile.lineIs !== now.lineIs) return { errorRate: 1, holds: false };
  // Five readings at one place tell the means; how readings spread from place to place the profile knows better.
  const line = { mean: now.line.mean, sd: Math.max(profile.lineSd, known(now.line.sd)) };
  const floor = { mean: now.floor.mean, sd: Math.max(profile.floorSd, known(now.floor.sd)) };
  const isDarker = now.lineIs === 'darker';
  const shares = errorShares(
    isDarker ? { low: line, high: floor } : { low: floor, high: line },
    profile.threshold,
  );
  const errorRate = (shares.low + shares.high) / 2;
  return { errorRate, holds: errorRate <= Math.max(STILL_GOOD, AS_BEFORE * profile.errorHigh95) };
}

const known = (sd: number): number => (Number.isNaN(sd) ? 0 : sd);
