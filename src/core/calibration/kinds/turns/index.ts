import { degrees, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import { withHeading } from '../../../devices/ofRobot';
import { headingScaleOf } from '../../../calibrationValues/turnStop';
import { withStops } from '../../withStops';
import type { TurnsCalibration } from '../../../calibrationValues/turns';

export const turns: CalibrationKindOf<TurnsCalibration> = {
  kind: 'turns',
  name: 'turns',
  unit: null,
  measuredBy: { procedure: 'turns', words: 'Measure turns' },
  restsOn: ['wheels and track', 'motors', 'heading sensor', 'heading sensor in use'],
  isInRoutes: true,
  headingScale: headingScaleOf,
  describe: (value) =>
    [
      ...value.groups.map(({ direction, rates, constantRad, scaleError }) => {
        const way = direction === 'both' ? 'both ways' : direction;
        const rate = rates.map((one) => degrees(one, 0)).join(' and ');
        const share = scaleError === 0 ? '' : ` and ${number(scaleError * 100, 1)} %`;
        return `${way} at ${rate}/s: ${degrees(constantRad)}${share} too far`;
      }),
      ...(headingScaleOf(value) === 1
        ? []
        : [`headings told × ${number(headingScaleOf(value), 4)}`]),
    ].join('; '),
  // Only what the sensor's own readings showed is told to programs; what trials alone tell stays doubtful.
  fit: (robot, value) => {
    const { scaleError } = value.gyroScale ?? {};
    const sensing = scaleError === undefined ? robot : withHeading(robot, { scaleError });
    const program = { ...sensing.program, headingScale: headingScaleOf(value) };
    return withStops({ ...sensing, program }, value);
  },
};
