import { lookingAhead } from '../../../core/devices/ofRobot';
import type { PresenceTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';

/** An empty list about noticing something, by the sensor that looks ahead at first. */
export const newPresenceTrials = (
  id: string,
  robotId: string,
  robot: RobotRecord,
): PresenceTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'presence',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    by: lookingAhead(robot.robot)?.label ?? '',
    target: '',
    passes: null,
    caught: null,
    absentPasses: null,
    falseAlarms: null,
  },
  trials: [],
  archivedAt: null,
});
