import { knowledgeAge, type Freshness } from '../freshness';
import type { CalibrationKind } from './calibration';
import { staleSince, type RobotChange } from './robotChanges';

/**
 * How far a calibration can still be relied on: by its age, and by what was changed about the robot
 * since ("measure again: wheels and track changed since").
 */
export function calibrationValidity(
  kind: CalibrationKind,
  madeAt: Date | null,
  changes: readonly RobotChange[],
  now: Date,
): Freshness {
  const age = knowledgeAge(madeAt, now, 'not measured');
  const parts = madeAt === null ? [] : staleSince(kind, madeAt, changes);
  return parts.length === 0
    ? age
    : { text: `measure again: ${parts.join(', ')} changed since`, state: 'missing' };
}
