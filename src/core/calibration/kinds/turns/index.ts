import { degrees, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import { withHeading } from '../../../units/ofRobot';
import { withStops } from '../../withStops';
import type { TurnsCalibration } from './schema';

export const turns: CalibrationKindOf<TurnsCalibration> = {
  kind: 'turns',
  name: 'turns',
  unit: null,
  measuredBy: { procedure: 'turns', words: 'Measure turns' },
  restsOn: ['wheels and track', 'motors', 'heading sensor', 'heading sensor in use'],
  describe: ({ groups }) =>
    groups
      .map(({ direction, rates, constantRad, scaleError }) => {
        const way = direction === 'both' ? 'both ways' : direction;
        const rate = rates.map((one) => degrees(one, 0)).join(' and ');
        const share = scaleError === 0 ? '' : ` and ${number(scaleError * 100, 1)} %`;
        return `${way} at ${rate}/s: ${degrees(constantRad)}${share} too far`;
      })
      .join('; '),
  // Only what the sensor's own readings showed is told to programs; what trials alone tell stays doubtful.
  fit: (robot, value) => {
    const { scaleError = 0, by = 'trials' } = value.gyroScale ?? {};
    const headingScale = by === 'readings' ? 1 + scaleError : 1;
    const sensing = value.gyroScale == null ? robot : withHeading(robot, { scaleError });
    return withStops({ ...sensing, program: { ...sensing.program, headingScale } }, value);
  },
};
