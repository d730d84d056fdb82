import { reflectedBy } from '../colour/reflected';
import { toTable } from '../geometry/pose';
import type { DeviceOf } from '../devices/device';
import { oncePerPeriod, type DeviceReader, type SensedWorld } from './reader';
import { underSpot } from './underSpot';

/** A colour sensor: in each band the mean of what is in its spot, between what it reads over black and over white. */
export function colourReader(
  { place, behaviour }: DeviceOf<'colour sensor'>,
  { floor, random }: SensedWorld,
): DeviceReader {
  const { spotDiameterM, whiteShare, blackShare, noiseShare, hasClear, periodS } = behaviour;
  const read = (reflected: number): number => {
    const value = blackShare + (whiteShare - blackShare) * reflected + noiseShare * random.normal();
    return Math.min(1, Math.max(0, value));
  };
  return oncePerPeriod(periodS, (pose) => {
    const at = toTable(pose, { xM: place.aheadM, yM: place.leftM });
    const seen = underSpot(floor, at, spotDiameterM).map(({ colour, share }) => ({
      share,
      of: reflectedBy(colour),
    }));
    const mean = (band: 'red' | 'green' | 'blue') =>
      seen.reduce((sum, { share, of }) => sum + share * of[band], 0);
    const [red, green, blue] = [mean('red'), mean('green'), mean('blue')];
    return {
      red: read(red),
      green: read(green),
      blue: read(blue),
      ...(hasClear && { clear: read((red + green + blue) / 3) }),
    };
  });
}
