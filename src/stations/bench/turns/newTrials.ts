import { radiansFromDegrees } from '../../../core/geometry/angle';
import { USUAL_ANGLES_RAD } from '../../../core/turns/turnStudy';
import type { TurnTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';

/** An empty list of turn trials, kept with its first trial. */
export const newTurnTrials = (
  id: string,
  { id: robotId, robot: { build } }: RobotRecord,
  driftRadPerS: number,
): TurnTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'turns',
  conditions: {
    surface: '',
    battery: build.battery,
    who: '',
    readToM: null,
    driftRadPerS,
    readingSdRad: radiansFromDegrees(0.5),
    wantedRad: [...USUAL_ANGLES_RAD],
    stopMode: build.onStop,
  },
  trials: [],
  archivedAt: null,
});
