import type { DeviceOf } from '../devices/device';
import { gapAhead } from '../table/ray';
import { oncePerPeriod, type DeviceReader, type SensedWorld } from './reader';

/** A distance sensor: a reading a period, with its noise, quantum and lost echoes. */
export function distanceReader(
  unit: DeviceOf<'distance sensor'>,
  { surfaces, random }: SensedWorld,
): DeviceReader {
  const { offsetM, scale, noiseM, quantumM, lostEchoShare, minM, maxM, periodS, beamHalfAngleRad } =
    unit.behaviour;
  return oncePerPeriod(periodS, (pose) => {
    const gap = gapAhead(pose, unit, beamHalfAngleRad, surfaces);
    const raw = offsetM + scale * gap + noiseM * random.normal();
    const lost = random.uniform() < lostEchoShare || gap > maxM;
    const quantised = quantumM > 0 ? Math.round(raw / quantumM) * quantumM : raw;
    return { distance: lost ? null : Math.max(minM, quantised) };
  });
}
