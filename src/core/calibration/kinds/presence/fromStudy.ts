import type { PresenceCalibration } from '../../../calibrationValues/presence';
import type { Presence } from '../../../presence/presence';

/** By which reading something is there; null where nothing tells how often that errs. */
export function calibrationFromPresence(
  { thereIs, threshold, step, enter, leave, missRate, falseRate }: Presence,
  of: { by: string; target: string; n: number; lostBelowV: number | null },
): PresenceCalibration | null {
  if (!Number.isFinite(missRate.value) || !Number.isFinite(falseRate.value)) return null;
  return {
    kind: 'presence',
    ...of,
    thereIs,
    threshold,
    step,
    enter,
    leave,
    missRate: missRate.value,
    missHigh95: missRate.high95,
    falseRate: falseRate.value,
    falseHigh95: falseRate.high95,
  };
}
