import { mean, sampleSd } from '../stats/moments';
import { student975 } from '../stats/student';

/** A mean over all robots that this one may be, and between which values its own mean lies (95 %). */
export interface MeanRange {
  mean: number;
  low95: number;
  high95: number;
  /** How far single runs of one robot lie apart. */
  sdWithin: number;
}

/**
 * Where the mean of one robot's runs lies, from a few runs of each of many sampled robots: how far the robots' means
 * lie apart, less what few runs scatter by themselves; never surer than so many runs tell.
 *
 * Source: one-way analysis of variance with random effects, by moments (Searle, Casella and McCulloch, Variance
 * Components, 1992, section 3.3).
 * @param runsEach of each robot, one after the other; with one they are all taken to be of the same robot
 * @returns null with fewer than two robots
 */
export function meanRange(values: readonly number[], runsEach: number): MeanRange | null {
  const robots = Math.floor(values.length / runsEach);
  if (robots < 2) return null;
  const used = values.slice(0, robots * runsEach);
  const centre = mean(used);
  if (runsEach === 1) {
    const sdWithin = sampleSd(used);
    const half = (student975(robots - 1) * sdWithin) / Math.sqrt(robots);
    return { mean: centre, low95: centre - half, high95: centre + half, sdWithin };
  }
  const own = Array.from({ length: robots }, (_, i) =>
    used.slice(i * runsEach, (i + 1) * runsEach),
  );
  const means = own.map(mean);
  const within = mean(own.map((runs) => sampleSd(runs) ** 2));
  const ofMeans = sampleSd(means) ** 2;
  const between = Math.max(0, ofMeans - within / runsEach);
  const half = student975(robots - 1) * Math.sqrt(between + ofMeans / robots);
  return { mean: centre, low95: centre - half, high95: centre + half, sdWithin: Math.sqrt(within) };
}
