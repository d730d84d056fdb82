import { luminance, reflectedBy } from '../colour/reflected';
import { toTable } from '../geometry/pose';
import type { DeviceOf } from '../devices/device';
import { oncePerPeriod, type DeviceReader, type SensedWorld } from './reader';
import { underSpot, type Floor } from './underSpot';

/** No floor is darker than this: also black paper gives so much back. */
const DARKEST = 0.02;

/**
 * How dark it is under a round spot: 0 as the bare floor, 1 as a line; below 0 where something is lighter than
 * the floor.
 */
export function darknessUnder(
  floor: Floor,
  at: { xM: number; yM: number },
  diameterM: number,
): number {
  const bare = Math.max(DARKEST, luminance(reflectedBy(floor.floorColour)));
  return underSpot(floor, at, diameterM).reduce(
    (sum, { colour, share }) => sum + share * (1 - luminance(reflectedBy(colour)) / bare),
    0,
  );
}

/** A light sensor: the mean of floor, fields and lines over its spot, with its noise; of 1. */
export function lightReader(
  { place, behaviour }: DeviceOf<'light sensor'>,
  { floor, random }: SensedWorld,
): DeviceReader {
  const { spotDiameterM, floorShare, lineShare, noiseShare, periodS } = behaviour;
  return oncePerPeriod(periodS, (pose) => {
    const at = toTable(pose, { xM: place.aheadM, yM: place.leftM });
    const darkness = darknessUnder(floor, at, spotDiameterM);
    const read = floorShare + (lineShare - floorShare) * darkness + noiseShare * random.normal();
    return { light: Math.min(1, Math.max(0, read)) };
  });
}
