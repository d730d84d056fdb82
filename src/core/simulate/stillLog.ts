import type { RandomStream } from '../stats/random';

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
  /** Bias instability B of a drift that wanders alike at all times (1/f). */
  biasInstabilityRadPerS?: number;
  /** A warm-up: the angle that it turns the heading by in all, and its time constant. */
  warmUp?: { angleRad: number; timeConstantS: number };
}

/** Correlation times of the parts of which 1/f noise is made, s: octaves from below a reading's to hours. */
const OCTAVES_S = Array.from({ length: 16 }, (_, k) => 0.2 * 2 ** k);

/**
 * A drift that wanders as 1/f: Gauss-Markov processes an octave apart, of variance B²·ln 2/π each, which
 * have the spectrum B²/(2πf) and an Allan deviation of 0.664·B at all averaging times.
 *
 * Source: IEEE Std 952-2020, annex C; van der Ziel, Physica 16 (1950) 359–372.
 */
function flicker(biasInstability: number, random: RandomStream): (dt: number) => number {
  if (biasInstability === 0) return () => 0;
  const sd = biasInstability * Math.sqrt(Math.LN2 / Math.PI);
  const parts = OCTAVES_S.map(() => sd * random.normal());
  return (dt) => {
    OCTAVES_S.forEach((correlationS, k) => {
      const kept = Math.exp(-dt / correlationS);
      parts[k] = kept * (parts[k] ?? 0) + sd * Math.sqrt(1 - kept * kept) * random.normal();
    });
    return parts.reduce((sum, part) => sum + part, 0);
  };
}

/**
 * Heading of a simulated sensor at rest: drift (constant, wandering, warming up), random walk, a random
 * phase of the step, rounding; and its mean drift during a run that begins when the log ends.
 */
export function simulateStillHeading(sensor: StillSensor, random: RandomStream, runS = 150) {
  const { driftRadPerS, periodS, lengthS, warmUp, quantumRad } = sensor;
  const n = Math.floor(lengthS / periodS) + 1;
  const tS = new Float64Array(n);
  const headingRad = new Float64Array(n);
  const wander = flicker(sensor.biasInstabilityRadPerS ?? 0, random);
  const warmed = (t: number) =>
    warmUp === undefined ? 0 : warmUp.angleRad * (1 - Math.exp(-t / warmUp.timeConstantS));
  let angle = random.uniform() * quantumRad;
  let before = 0;
  for (let i = 0; i < n; i += 1) {
    const t = i === 0 ? 0 : Math.max(before, i * periodS + sensor.jitterS * random.normal());
    const dt = t - before;
    angle += (driftRadPerS + wander(dt)) * dt + warmed(t) - warmed(before);
    angle += sensor.walkRadPerSqrtS * Math.sqrt(dt) * random.normal();
    tS[i] = t;
    headingRad[i] = quantumRad > 0 ? Math.round(angle / quantumRad) * quantumRad : angle;
    before = t;
  }
  let wandered = 0;
  const steps = sensor.biasInstabilityRadPerS === undefined ? 0 : Math.round(runS / periodS);
  for (let i = 0; i < steps; i += 1) wandered += wander(periodS) / steps;
  const warming = (warmed(before + runS) - warmed(before)) / runS;
  return { tS, headingRad, nextRunRadPerS: driftRadPerS + wandered + warming };
}

/** Rate of a simulated sensor at rest: white noise about its drift, rounded. */
export function simulateStillRate(
  sensor: Pick<StillSensor, 'driftRadPerS' | 'walkRadPerSqrtS' | 'lengthS' | 'periodS'> & {
    quantumRadPerS: number;
  },
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
