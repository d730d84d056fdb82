import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import type { Segment } from '../course/table';
import type { RandomStream } from './random';
import { gapAhead } from './ray';

/** A distance sensor in a run: a reading a period, with its noise, quantum and lost echoes. */
export function createDistanceReader(
  robot: Robot,
  surfaces: readonly Segment[],
  random: RandomStream,
) {
  const sensor = robot.distance;
  let lastSlot = -1;
  let last: number | null = null;
  return (pose: Pose, timeS: number): number | null => {
    if (sensor === null) return null;
    const slot = Math.floor(timeS / sensor.periodS + 1e-9);
    if (slot === lastSlot) return last;
    lastSlot = slot;
    const gap = gapAhead(pose, sensor, surfaces);
    const raw = sensor.offsetM + sensor.scale * gap + sensor.noiseM * random.normal();
    const lost = random.uniform() < sensor.lostEchoShare || gap > sensor.maxM;
    const quantised =
      sensor.quantumM > 0 ? Math.round(raw / sensor.quantumM) * sensor.quantumM : raw;
    last = lost ? null : Math.max(sensor.minM, quantised);
    return last;
  };
}
