import type { TunedId } from '../tuning/controllers/shown';
import type { GainStudy, GainTrial } from '../tuning/gainStudy';
import type { HeadingHoldCalibration } from './kinds/headingHold/schema';

/** A gain that was found good, to be computed with; null while it is not, and for what no step of a route uses. */
export function calibrationFromGain(
  controller: TunedId,
  { gain, isFound }: GainStudy,
  trials: readonly GainTrial[],
): HeadingHoldCalibration | null {
  if (controller !== 'heading-hold' || !isFound || gain <= 0) return null;
  return { kind: 'heading-hold', gainMPerSPerRad: gain, looks: trials.length };
}
