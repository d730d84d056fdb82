import { chiSquareQuantile } from '../stats/chiSquare';
import { student975 } from '../stats/student';
import type { Point } from '../geometry/pose';
import { discRadius, type BivariateT } from '../stats/bivariateT';
import type { Scatter } from './scatterModel';

/** A radius that holds 95 % of single runs, and the 95 % interval in which the true one lies. */
export interface Radius95 {
  radiusM: number;
  low95M: number;
  high95M: number;
}

/** By how much the true scatter may be smaller or larger than the one seen: by chi-square. */
function spreadFactors(degreesOfFreedom: number) {
  const factor = (p: number) =>
    Math.sqrt(degreesOfFreedom / chiSquareQuantile(p, degreesOfFreedom));
  return { low: factor(0.975), high: factor(0.025) };
}

const scaledBy = (model: BivariateT, factor: number): BivariateT => {
  const { xx, xy, yy } = model.scale;
  const square = factor * factor;
  return { ...model, scale: { xx: xx * square, xy: xy * square, yy: yy * square } };
};

/**
 * R95 about the mean. The interval is for the radius that would be seen after very many runs: the
 * fitted one, which grows and shrinks with the scatter.
 */
export function radius95AboutMean({ fitted, next }: Scatter): Radius95 {
  const { low, high } = spreadFactors(next.degreesOfFreedom);
  const fittedM = discRadius(fitted, fitted.centre, 0.95);
  return {
    radiusM: discRadius(next, next.centre, 0.95),
    low95M: fittedM * low,
    high95M: fittedM * high,
  };
}

/**
 * R95 about the target: the scatter (chi-square) and the bias (Student's t) are each known only so
 * well. The arms of the two intervals are joined by their squares.
 *
 * Source: Zou and Donner, Statist. Med. 27 (2008) 1693–1702 (variance estimates recovery).
 * @param biasErrorM standard error of the bias in its own direction
 * @param n measured runs
 */
export function radius95AboutTarget(
  { fitted, next }: Scatter,
  target: Point,
  biasErrorM: number,
  n: number,
): Radius95 {
  const radius = (model: BivariateT) => discRadius(model, target, 0.95);
  const fittedM = radius(fitted);
  const { low, high } = spreadFactors(next.degreesOfFreedom);
  const x = fitted.centre.xM - target.xM;
  const y = fitted.centre.yM - target.yM;
  const bias = Math.hypot(x, y);
  const arm = student975(n - 1) * biasErrorM;
  const movedTo = (biasM: number) => {
    const [ux, uy] = bias > 0 ? [x / bias, y / bias] : [1, 0];
    return { ...fitted, centre: { xM: target.xM + biasM * ux, yM: target.yM + biasM * uy } };
  };
  const down = Math.hypot(
    fittedM - radius(scaledBy(fitted, low)),
    fittedM - radius(movedTo(Math.max(0, bias - arm))),
  );
  const up = Math.hypot(
    radius(scaledBy(fitted, high)) - fittedM,
    radius(movedTo(bias + arm)) - fittedM,
  );
  return { radiusM: radius(next), low95M: Math.max(0, fittedM - down), high95M: fittedM + up };
}
