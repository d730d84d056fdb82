import { sideOf, type TurnDirection } from '../calibrationValues/turnCommand';
import type { KnownScale } from './errorModel';
import { angleStepRad } from '../stats/instrumentStep';

/** One turn that was tried: what the program was told, and what the robot truly did. */
export interface TurnTrial {
  /** Left positive, right negative; unwrapped. */
  targetRad: number;
  actualRad: number;
  /** Turning rate, a magnitude. */
  rateRadPerS: number;
  kind: 'spin' | 'pivot';
  /** How long the turn took; where it is not known, target over rate. */
  durationS?: number | undefined;
  /** Standard deviation of its reading, where that was less sure than usual: judged by eye, say. */
  readingSdRad?: number | null | undefined;
  /** What the heading sensor showed of that turn when it stood; left positive. */
  readingRad?: number | null | undefined;
  /** By what it was measured; what the sensor itself says tells nothing of its scale. */
  measuredBy?: string | undefined;
}

/** As trials name it that were measured by the heading sensor itself. */
const BY_SENSOR = 'own heading';

/** A trial in magnitudes, the known drift taken out. */
export interface TurnPoint {
  target: number;
  actual: number;
  side: TurnDirection;
  rate: number;
  kind: 'spin' | 'pivot';
  readingSdRad?: number | undefined;
  /** What the heading sensor showed of it, the known drift taken out; a magnitude. */
  reading?: number | undefined;
  /** What the known drift came to during the turn; it is in `actual`, and was taken out of `reading`. */
  driftRad: number;
  /** Measured by the sensor itself: it tells how far the turn went on, and nothing of the sensor's scale. */
  bySensor: boolean;
  /** The step in which angles were read. */
  stepRad: number;
  /** The share of the angle that is the heading sensor's, where its own reading told how far it turned. */
  known?: KnownScale | undefined;
}

/**
 * A trial in magnitudes. A program stops by its gyro: with a drift d(reading − truth)/dt the robot
 * has truly turned drift·duration less than it read, which would pass for a scale error.
 */
export function turnPoint(trial: TurnTrial, driftRadPerS: number, stepRad = 0): TurnPoint {
  const { targetRad, actualRad, rateRadPerS, kind } = trial;
  const durationS = trial.durationS ?? Math.abs(targetRad) / rateRadPerS;
  const side = sideOf(targetRad);
  const sign = side === 'left' ? 1 : -1;
  const driftRad = sign * driftRadPerS * durationS;
  return {
    target: Math.abs(targetRad),
    actual: sign * actualRad + driftRad,
    driftRad,
    bySensor: trial.measuredBy === BY_SENSOR,
    stepRad,
    side,
    rate: rateRadPerS,
    kind,
    ...(trial.readingSdRad != null && { readingSdRad: trial.readingSdRad }),
    ...(trial.readingRad != null && { reading: sign * trial.readingRad - driftRad }),
  };
}

/** Trials in magnitudes, with the step in which their angles were read. */
export function turnPoints(trials: readonly TurnTrial[], driftRadPerS: number): TurnPoint[] {
  const stepRad = angleStepRad(trials.map(({ actualRad }) => actualRad));
  return trials.map((trial) => turnPoint(trial, driftRadPerS, stepRad));
}

/** How a turn was truly measured; see `trueAngle`. */
export type AngleReading =
  | { by: 'protractor'; angleRad: number }
  /** Beside a straight edge: how far the robot's line runs along the reference, and away from it. */
  | { by: 'along-reference'; alongM: number; offsetM: number }
  /** Beside a straight edge: length along the turned edge, and its end's distance from the reference. */
  | { by: 'along-edge'; edgeM: number; offsetM: number };

/**
 * The angle between the line turned to and a reference line, in radians, signed like the offset.
 *
 * @throws RangeError when the offset is longer than the edge that it belongs to
 */
export function measuredAngle(reading: AngleReading): number {
  switch (reading.by) {
    case 'protractor':
      return reading.angleRad;
    case 'along-reference':
      return Math.atan2(reading.offsetM, reading.alongM);
    case 'along-edge':
      if (Math.abs(reading.offsetM) > reading.edgeM) {
        throw new RangeError('The offset cannot be longer than the edge: look at both again.');
      }
      return Math.asin(reading.offsetM / reading.edgeM);
  }
}

/**
 * The angle truly turned, left positive.
 *
 * @param reading the whole turn, or what is over the target (positive: too far, in either direction)
 */
export function trueAngle(
  reading: AngleReading,
  targetRad: number,
  means: 'whole' | 'over',
): number {
  const angle = measuredAngle(reading);
  const sign = targetRad < 0 ? -1 : 1;
  return means === 'over' ? targetRad + sign * angle : sign * angle;
}
