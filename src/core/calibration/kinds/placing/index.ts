import { counted, degrees, errorLength } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { PlacingCalibration } from '../../../calibrationValues/placing';

export const placing: CalibrationKindOf<PlacingCalibration> = {
  kind: 'placing',
  name: 'placing at the start',
  unit: null,
  measuredBy: { procedure: 'placing', words: 'Place it ten times' },
  restsOn: ['other'],
  describe: ({ person, way, n, alongSdM, acrossSdM, headingSdRad }) =>
    `${person}, ${way}: ± ${errorLength(alongSdM, 1)} along, ± ${errorLength(acrossSdM, 1)} across, ± ${degrees(headingSdRad, 2)} (${counted(n, 'placing')})`,
  fit: (robot, { aim }) => ({
    ...robot,
    measured: {
      ...robot.measured,
      placed: aim && { xM: aim.alongM, yM: aim.acrossM, headingRad: aim.headingRad },
    },
  }),
};
