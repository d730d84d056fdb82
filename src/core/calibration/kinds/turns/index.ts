import { degrees, number } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
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
  fit: withStops,
};
