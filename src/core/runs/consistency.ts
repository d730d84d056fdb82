import { wrap } from '../geometry/angle';
import type { Point, Pose } from '../geometry/pose';
import { discRadius } from '../stats/bivariateT';
import { circularMean } from '../stats/circularMean';
import { meanPoint, sampleCovariance, type Symmetric2 } from '../stats/covariance';
import { mean, sampleSd } from '../stats/moments';
import { wilson, type SuccessRate } from '../stats/wilson';
import { testBias, type BiasTest } from './biasTest';
import { radius95AboutMean, radius95AboutTarget } from './radius95';
import { meanRegion, singleRunRegion, type Ellipse } from './regions';
import { scatterModel } from './scatterModel';

/** One run as measured: xM and yM together or not at all, in the frame of the target. */
export interface MeasuredRun {
  xM?: number | null | undefined;
  yM?: number | null | undefined;
  headingRad?: number | null | undefined;
  success?: boolean | null | undefined;
}

/** How consistently a robot ends where it should. A figure that so few runs cannot give is null. */
export interface Consistency {
  /** Runs in all, those with a measured place, those with a measured heading. */
  n: number;
  nPose: number;
  nHeading: number;
  /** Mean offset (actual − target) and its sample standard deviations (n − 1). */
  biasXM: number | null;
  biasYM: number | null;
  biasHeadingRad: number | null;
  sdXM: number | null;
  sdYM: number | null;
  sdHeadingRad: number | null;
  covariance: Symmetric2 | null;
  /** AP of ISO 9283: distance of the mean from the target. */
  accuracyM: number | null;
  /** RP of ISO 9283: mean distance from the mean, plus three of its standard deviations. */
  repeatabilityM: number | null;
  /** Radius that holds half, or 95 %, of single runs to come; the interval is for the true 95 % radius. */
  r50AboutMeanM: number | null;
  r95AboutMeanM: number | null;
  r95AboutMeanLow95M: number | null;
  r95AboutMeanHigh95M: number | null;
  r50AboutTargetM: number | null;
  r95AboutTargetM: number | null;
  r95AboutTargetLow95M: number | null;
  r95AboutTargetHigh95M: number | null;
  ellipse95: Ellipse | null;
  meanEllipse95: Ellipse | null;
  biasTest: BiasTest | null;
  success: SuccessRate | null;
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

const NO_RADII = {
  r50AboutMeanM: null,
  r95AboutMeanM: null,
  r95AboutMeanLow95M: null,
  r95AboutMeanHigh95M: null,
  r50AboutTargetM: null,
  r95AboutTargetM: null,
  r95AboutTargetLow95M: null,
  r95AboutTargetHigh95M: null,
};

function radii(points: readonly Point[], target: Point) {
  const model = scatterModel(points, target);
  if (model === null) return NO_RADII;
  const { mean: centre, aboutMean, aboutTarget, biasErrorM } = model;
  const ofMean = radius95AboutMean(aboutMean);
  const ofTarget = radius95AboutTarget(aboutTarget, target, biasErrorM, points.length);
  return {
    r50AboutMeanM: discRadius(aboutMean.next, centre, 0.5),
    r95AboutMeanM: ofMean.radiusM,
    r95AboutMeanLow95M: ofMean.low95M,
    r95AboutMeanHigh95M: ofMean.high95M,
    r50AboutTargetM: discRadius(aboutTarget.next, target, 0.5),
    r95AboutTargetM: ofTarget.radiusM,
    r95AboutTargetLow95M: ofTarget.low95M,
    r95AboutTargetHigh95M: ofTarget.high95M,
  };
}

function positionFigures(points: readonly Point[], target: Point) {
  const n = points.length;
  const centre = meanPoint(points);
  const bias = { xM: centre.xM - target.xM, yM: centre.yM - target.yM };
  const covariance = n >= 2 ? sampleCovariance(points) : null;
  const distances = points.map((p) => Math.hypot(p.xM - centre.xM, p.yM - centre.yM));
  return {
    biasXM: finite(bias.xM),
    biasYM: finite(bias.yM),
    sdXM: covariance && Math.sqrt(covariance.xx),
    sdYM: covariance && Math.sqrt(covariance.yy),
    covariance,
    accuracyM: finite(Math.hypot(bias.xM, bias.yM)),
    repeatabilityM: finite(mean(distances) + 3 * sampleSd(distances)),
    ...radii(points, target),
    ellipse95: covariance && singleRunRegion(covariance, n),
    meanEllipse95: covariance && meanRegion(covariance, n),
    biasTest: covariance && testBias(bias, covariance, n),
  };
}

/**
 * Consistency of a series of runs at one target (a mission, or the end of the route).
 *
 * Accuracy and repeatability after ISO 9283:1998 (which has 30 runs; RP is not a 95 % radius);
 * regions, radii, bias test and success interval as in the functions that compute them. Runs
 * without a measured place stay in `n` and in the success figures: leaving them out would flatter.
 */
export function consistency(target: Pose, runs: readonly MeasuredRun[]): Consistency {
  const points = runs.flatMap(({ xM, yM }) =>
    typeof xM === 'number' && typeof yM === 'number' ? [{ xM, yM }] : [],
  );
  const headings = runs.flatMap(({ headingRad }) =>
    typeof headingRad === 'number' ? [wrap(headingRad - target.headingRad)] : [],
  );
  const judged = runs.filter((run) => typeof run.success === 'boolean');
  const heading = circularMean(headings);
  return {
    n: runs.length,
    nPose: points.length,
    nHeading: headings.length,
    ...positionFigures(points, target),
    biasHeadingRad: finite(heading.meanRad),
    sdHeadingRad: finite(heading.sdRad),
    success: wilson(judged.filter((run) => run.success === true).length, judged.length),
  };
}
