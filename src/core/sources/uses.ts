import type { MotionStep } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';

/** Whether a motion ends by the encoders. */
export const drivesByEncoders = (step: MotionStep | undefined): boolean =>
  step !== undefined && kindOfStep(step).byEncoders?.(step) !== undefined;

/** From which speed a motion stops by a distance reading; 0 for one that does not. */
export const stopSpeedMPerS = (step: MotionStep | undefined): number =>
  step === undefined ? 0 : (kindOfStep(step).stopsBy?.(step).speedMPerS ?? 0);

/** How fast a motion turns when its motors stop; 0 for one that does not. */
export const turningRateOf = (step: MotionStep | undefined): number =>
  step === undefined ? 0 : (kindOfStep(step).stopsTurningAt?.(step) ?? 0);
