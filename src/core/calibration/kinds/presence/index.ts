import { number } from '../../../text/quantities';
import { oneIn } from '../../../text/oneIn';
import { thereText } from '../../../presence/presenceWords';
import type { CalibrationKindOf } from '../../kind';
import type { PresenceCalibration } from '../../../calibrationValues/presence';

export const presence: CalibrationKindOf<PresenceCalibration> = {
  kind: 'presence',
  name: 'something there',
  unit: null,
  measuredBy: { procedure: 'presence', words: 'Read it with something there and without' },
  restsOn: ['distance sensor', 'light sensor'],
  isOnlyTyped: true,
  describe: (value) =>
    `${value.target === '' ? 'something' : value.target} is there when ${value.by === '' ? 'the sensor' : value.by} ${thereText(value)}; ${oneIn(value.missRate, 'look')} misses it${value.lostBelowV === null ? '' : `; echoes are lost below ${number(value.lostBelowV, 1)} V`}`,
  fit: (robot) => robot,
};
