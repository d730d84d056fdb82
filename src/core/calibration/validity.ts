import { knowledgeAge, type Freshness } from '../text/freshness';
import type { CalibrationKind } from './calibration';
import { staleSince, type Made, type RobotChange } from './robotChanges';

/**
 * How far a calibration can still be relied on: by its age, and by what was changed about the robot
 * since ("measure again: wheels and track changed since"). One by an earlier method is applied again from its trials.
 */
export function calibrationValidity(
  kind: CalibrationKind,
  made: Made | null,
  changes: readonly RobotChange[],
  now: Date,
): Freshness {
  const age = knowledgeAge(made?.at ?? null, now, 'not measured');
  const parts = made === null ? [] : staleSince(kind, made, changes);
  if (parts.length === 0 && made?.isByEarlierMethod === true) {
    return { text: 'by an earlier method: apply again', state: 'ageing' };
  }
  return parts.length === 0
    ? age
    : { text: `measure again: ${parts.join(', ')} changed since`, state: 'missing' };
}
