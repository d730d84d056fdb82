import { timeoutS } from '../control/settings';
import { normalCdf } from '../stats/normalCdf';

/** How a robot drives up to a wall and what its sensor is like; gaps from the bumper to the wall. */
export interface ApproachPlan {
  wantedM: number;
  speedMPerS: number;
  /** Time between two readings. */
  samplePeriodS: number;
  /** From the reading to the moment at which the motors brake. */
  latencyS: number;
  brakingMPerS2: number;
  /** So many readings in a row at or under the threshold. */
  confirmations: number;
  /** reading = offset + scale · gap. */
  offsetM: number;
  scaleFactor: number;
  noiseM: number;
  startGapM: number;
}

export interface ApproachAnswer {
  /** What the program compares its readings with. */
  thresholdReadingM: number;
  expectedGapM: number;
  gapSdM: number;
  gapLow95M: number;
  gapHigh95M: number;
  timeOutS: number;
}

/** Where within a period of readings the threshold lies is nobody's choice: so many places are looked at. */
const PHASES = 24;
/** Of readings that come so closely that many lie within their noise, one place does for all. */
const MANY_READINGS = 2000;
/** More readings than this within their noise are not looked at one by one. */
const MOST_READINGS = 60_000;
/** Readings further off than so many standard deviations are as good as impossible. */
const FAR_SDS = 6;
const HALVINGS = 60;

interface Passage {
  /** Gap where the robot comes to stand, and the chance of it. */
  gaps: { gapM: number; share: number }[];
}

/** So many readings it takes on its way through their noise about the threshold. */
const readingsWithin = ({ noiseM, scaleFactor, speedMPerS, samplePeriodS }: ApproachPlan): number =>
  (2 * FAR_SDS * noiseM) / scaleFactor / (speedMPerS * samplePeriodS);

/** Why an approach is not computed: its readings come too closely for their noise; null where it is. */
export const tooClose = (plan: ApproachPlan): string | null =>
  readingsWithin(plan) > MOST_READINGS
    ? `Its sensor would be read more than ${MOST_READINGS} times while its noise lasts: give a longer sample period, a higher speed, or less noise.`
    : null;

/** Where a robot comes to stand that compares its readings with a threshold, over all places of the first reading. */
function passage(plan: ApproachPlan, thresholdM: number): Passage {
  const { speedMPerS, samplePeriodS, confirmations, offsetM, scaleFactor, noiseM } = plan;
  const step = speedMPerS * samplePeriodS;
  const overrun = overrunOf(plan);
  const meanGap = (thresholdM - offsetM) / scaleFactor;
  const far = (FAR_SDS * noiseM) / scaleFactor;
  const from = Math.min(plan.startGapM, meanGap + far + step);
  const until = meanGap - far - (confirmations + 1) * step;
  const gaps: Passage['gaps'] = [];
  const phases = readingsWithin(plan) > MANY_READINGS ? 1 : PHASES;
  for (let phase = 0; phase < phases; phase += 1) {
    // The chance to drive still, with so many readings in a row at or under the threshold.
    let inRow = [1, ...Array.from({ length: confirmations - 1 }, () => 0)];
    for (let gap = from - (step * (phase + 0.5)) / phases; gap > until; gap -= step) {
      const under = shareUnder(plan, thresholdM, gap);
      const stops = (inRow.at(-1) ?? 0) * under;
      const driving = inRow.reduce((sum, share) => sum + share, 0);
      inRow = [driving * (1 - under), ...inRow.slice(0, -1).map((share) => share * under)];
      if (stops > 0) gaps.push({ gapM: gap - overrun, share: stops / phases });
    }
    // What is left stops at the last reading that was looked at.
    const left = inRow.reduce((sum, share) => sum + share, 0);
    if (left > 0) gaps.push({ gapM: until - overrun, share: left / phases });
  }
  return { gaps };
}

const overrunOf = ({ speedMPerS: v, latencyS, brakingMPerS2 }: ApproachPlan): number =>
  v * latencyS + v ** 2 / (2 * brakingMPerS2);

function shareUnder(plan: ApproachPlan, thresholdM: number, gapM: number): number {
  const readingM = plan.offsetM + plan.scaleFactor * gapM;
  if (plan.noiseM === 0) return readingM <= thresholdM ? 1 : 0;
  return normalCdf(thresholdM, readingM, plan.noiseM);
}

const meanOf = ({ gaps }: Passage): number =>
  gaps.reduce((sum, { gapM, share }) => sum + gapM * share, 0);

function sdOf(found: Passage): number {
  const centre = meanOf(found);
  return Math.sqrt(
    found.gaps.reduce((sum, { gapM, share }) => sum + share * (gapM - centre) ** 2, 0),
  );
}

function quantile({ gaps }: Passage, share: number): number {
  let sum = 0;
  for (const one of gaps.toSorted((a, b) => a.gapM - b.gapM)) {
    sum += one.share;
    if (sum >= share) return one.gapM;
  }
  return gaps.at(-1)?.gapM ?? Number.NaN;
}

/**
 * How far stops scatter by readings and their moments alone, standard deviation in m: the threshold that the spread
 * hardly depends on is taken as where a sensor without noise would have it.
 */
export function approachSpread(plan: ApproachPlan): number {
  const { wantedM, speedMPerS, samplePeriodS, confirmations, offsetM, scaleFactor } = plan;
  const gapM = wantedM + overrunOf(plan) + (confirmations - 1) * speedMPerS * samplePeriodS;
  return sdOf(passage(plan, offsetM + scaleFactor * gapM));
}

/**
 * The threshold at which a program has to stop so that the robot stands a wanted gap before the wall, and how far
 * the stops will scatter: the first of the readings in a row may be early by noise, so the distribution of the first
 * passage decides, from which the threshold follows by its mean.
 *
 * Source: first passage of a Markov chain of readings in a row (Feller, An Introduction to Probability Theory I,
 * 3rd ed., 1968, section XIII.7); uniform braking after a dead time.
 * @returns null where the robot cannot stop in time (the wanted gap and its way to stop are longer than the start
 *   gap), or would read so often that it is not computed (`tooClose`)
 */
export function approachPlan(plan: ApproachPlan): ApproachAnswer | null {
  const { wantedM, speedMPerS, samplePeriodS, confirmations, startGapM } = plan;
  const step = speedMPerS * samplePeriodS;
  const overrun = overrunOf(plan);
  if (wantedM + overrun + confirmations * step >= startGapM || tooClose(plan) !== null) return null;
  const readingAt = (gapM: number) => plan.offsetM + plan.scaleFactor * gapM;
  let low = readingAt(wantedM - FAR_SDS * plan.noiseM) - plan.noiseM;
  let high = readingAt(wantedM + overrun + (confirmations + 1) * step) + FAR_SDS * plan.noiseM;
  for (let i = 0; i < HALVINGS && high - low > 1e-9; i += 1) {
    const middle = (low + high) / 2;
    if (meanOf(passage(plan, middle)) < wantedM) low = middle;
    else high = middle;
  }
  const thresholdReadingM = (low + high) / 2;
  const found = passage(plan, thresholdReadingM);
  const expectedGapM = meanOf(found);
  return {
    thresholdReadingM,
    expectedGapM,
    gapSdM: sdOf(found),
    gapLow95M: quantile(found, 0.025),
    gapHigh95M: quantile(found, 0.975),
    timeOutS: timeoutS((startGapM - wantedM) / speedMPerS + plan.latencyS),
  };
}
