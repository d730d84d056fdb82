import { randomStream } from '../stats/random';
import { median } from '../stats/median';
import { mean, sampleSd } from '../stats/moments';
import type { ApproachPlan } from './approach';

/** What a program may compare with its threshold instead of a single reading. */
export interface ReadingFilter {
  name: string;
  /** Of so many of the latest readings. */
  of: number;
  value(latest: readonly number[]): number;
}

export const READING_FILTERS: readonly ReadingFilter[] = [
  { name: 'single readings', of: 1, value: (latest) => latest.at(-1) ?? Number.NaN },
  { name: 'mean of 3', of: 3, value: mean },
  { name: 'median of 3', of: 3, value: median },
  { name: 'mean of 5', of: 5, value: mean },
  { name: 'median of 5', of: 5, value: median },
];

/** What a filter does to an approach. */
export interface FilteredApproach {
  name: string;
  /** What its value is compared with, so that the robot stands at the wanted gap on average. */
  thresholdReadingM: number;
  gapSdM: number;
  /** How much later it tells than single readings would without any noise. */
  delayS: number;
}

const RUNS = 400;
const SEED = 11;
/** Readings further off than so many standard deviations are as good as impossible. */
const FAR_SDS = 6;

/** Where one approach comes to stand whose threshold is that of a gap of 0, so that its sensor's zero is no matter. */
function stopsAt(plan: ApproachPlan, { of, value }: ReadingFilter, run: number): number {
  const { speedMPerS, samplePeriodS, confirmations, scaleFactor, noiseM, latencyS } = plan;
  const random = randomStream(SEED, run, 'approach filter');
  const step = speedMPerS * samplePeriodS;
  const noise = noiseM / scaleFactor;
  const latest: number[] = [];
  let inRow = 0;
  // The filter is full before any reading can be under the threshold.
  let gapM = FAR_SDS * noise + (of + random.uniform()) * step;
  for (; inRow < confirmations; gapM -= step) {
    latest.push(gapM + noise * random.normal());
    if (latest.length > of) latest.shift();
    const isUnder = latest.length === of && value(latest) <= 0;
    inRow = isUnder ? inRow + 1 : 0;
  }
  // The last step of the loop was not driven yet.
  return gapM + step - speedMPerS * latencyS - speedMPerS ** 2 / (2 * plan.brakingMPerS2);
}

/**
 * What each filter does to an approach: the threshold that leaves the wanted gap, the spread, and the delay. A mean
 * or a median of the latest n readings is steadier and (n − 1)/2 periods late; a median also passes over single
 * readings that are far off, which this does not reckon with.
 *
 * Source: first passage by Monte Carlo, always with the same noise, so that filters are compared on the same luck;
 * the delay of a moving average, Smith, Digital Signal Processing, 1999, chapter 15.
 */
export const filteredApproaches = (plan: ApproachPlan): FilteredApproach[] =>
  READING_FILTERS.map((filter) => {
    const stops = Array.from({ length: RUNS }, (_, run) => stopsAt(plan, filter, run));
    const gapM = plan.wantedM - mean(stops);
    return {
      name: filter.name,
      thresholdReadingM: plan.offsetM + plan.scaleFactor * gapM,
      gapSdM: sampleSd(stops),
      delayS: ((filter.of - 1) / 2) * plan.samplePeriodS,
    };
  });
