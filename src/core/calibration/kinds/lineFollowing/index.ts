import { gainText } from '../../../control/tuned';
import { benchLength, benchSpeed, number, percent } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { LineFollowingCalibration } from '../../../calibrationValues/lineFollowing';

export const lineFollowing: CalibrationKindOf<LineFollowingCalibration> = {
  kind: 'line-following',
  name: 'following an edge',
  unit: null,
  measuredBy: { procedure: 'line-follow', words: 'Follow an edge' },
  restsOn: ['wheels and track', 'motors', 'light sensor'],
  isOnlyTyped: true,
  describe: ({
    targetShare,
    gainRadPerSPerShare,
    speedMPerS,
    tightestBendM,
    fastestMPerS,
    lostAfterS,
  }) =>
    `keep ${percent(targetShare)} with ${gainText('line', gainRadPerSPerShare)} at ${benchSpeed(speedMPerS)}, round bends of ${benchLength(tightestBendM)} on the simulator at up to ${benchSpeed(fastestMPerS)}, lost after ${number(lostAfterS, 2)} s without the edge`,
  fit: (robot) => robot,
};
