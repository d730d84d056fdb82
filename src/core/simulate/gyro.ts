import type { Robot } from '../robot';
import type { RandomStream } from './random';

/** A heading sensor in a run: fed with the true heading, read by the program. */
export interface Gyro {
  /** Tell the sensor the true (unwrapped) heading at this physics step. */
  feed(step: number, headingRad: number): void;
  /** The heading since the start of the program, as the program reads it now. */
  read(step: number): number;
}

/**
 * A heading sensor with its own period, latency, drift (drawn anew each run), scale error, angle
 * random walk and quantum.
 */
export function createGyro(
  spec: Robot['gyro'],
  dtS: number,
  startHeadingRad: number,
  random: RandomStream,
): Gyro {
  const every = Math.max(1, Math.round(spec.periodS / dtS));
  const late = Math.round(spec.latencyS / dtS);
  const depth = Math.ceil(late / every) + 2;
  const kept = new Float64Array(depth);
  const drift = spec.driftRadPerS + spec.driftSdRadPerS * random.normal();
  const walkStep = spec.noiseRadPerSqrtS * Math.sqrt(every * dtS);
  let walk = 0;
  const quantise = (value: number) =>
    spec.quantumRad > 0 ? Math.round(value / spec.quantumRad) * spec.quantumRad : value;
  return {
    feed(step, headingRad) {
      if (step % every !== 0) return;
      walk += walkStep * random.normal();
      const turned = (1 + spec.scaleError) * (headingRad - startHeadingRad);
      kept[(step / every) % depth] = quantise(turned + drift * step * dtS + walk);
    },
    read(step) {
      const sample = Math.floor((step - late) / every);
      return sample < 0 ? 0 : (kept[sample % depth] ?? 0);
    },
  };
}
