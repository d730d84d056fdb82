import type { RandomStream } from './random';

/** A heading sensor at rest, and how its log is written. */
export interface StillSensor {
  driftRadPerS: number;
  /** Angle random walk N. */
  walkRadPerSqrtS: number;
  quantumRad: number;
  lengthS: number;
  /** Time between two readings, and how much it jitters. */
  periodS: number;
  jitterS: number;
}

/** Heading of a simulated sensor at rest: drift, random walk, a random phase of the step, rounding. */
export function simulateStillHeading(sensor: StillSensor, random: RandomStream) {
  const n = Math.floor(sensor.lengthS / sensor.periodS) + 1;
  const tS = new Float64Array(n);
  const headingRad = new Float64Array(n);
  let angle = random.uniform() * sensor.quantumRad;
  let before = 0;
  for (let i = 0; i < n; i += 1) {
    const t = i === 0 ? 0 : Math.max(before, i * sensor.periodS + sensor.jitterS * random.normal());
    const dt = t - before;
    angle += sensor.driftRadPerS * dt + sensor.walkRadPerSqrtS * Math.sqrt(dt) * random.normal();
    tS[i] = t;
    headingRad[i] =
      sensor.quantumRad > 0 ? Math.round(angle / sensor.quantumRad) * sensor.quantumRad : angle;
    before = t;
  }
  return { tS, headingRad };
}

/** Rate of a simulated sensor at rest: white noise about its drift, rounded. */
export function simulateStillRate(
  sensor: Omit<StillSensor, 'quantumRad'> & { quantumRadPerS: number },
  random: RandomStream,
) {
  const n = Math.floor(sensor.lengthS / sensor.periodS) + 1;
  const tS = Float64Array.from({ length: n }, (_, i) => i * sensor.periodS);
  const sd = sensor.walkRadPerSqrtS / Math.sqrt(sensor.periodS);
  const rateRadPerS = tS.map(() => {
    const rate = sensor.driftRadPerS + sd * random.normal();
    return sensor.quantumRadPerS > 0
      ? Math.round(rate / sensor.quantumRadPerS) * sensor.quantumRadPerS
      : rate;
  });
  return { tS, rateRadPerS };
}
