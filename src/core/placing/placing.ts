import type { PlacingWay } from '../calibrationValues/placingWays';
import type { Pose } from '../geometry/pose';
import { floorStepM } from '../stats/instrumentStep';
import { mean } from '../stats/moments';
import { hiddenByRounding, roundedFit } from '../stats/roundedFit';
import { scatterInterval, type Scatter } from '../stats/scatterInterval';

/** Where nose and tail stand on a grid that is laid along the way the robot starts; across is to the left positive. */
export interface NoseAndTail {
  noseAlongM: number;
  noseAcrossM: number;
  tailAcrossM: number;
}

/** A robot that was placed as for a run, and read off before it was lifted again. */
export interface PlacingTrial extends NoseAndTail {
  person: string;
  way: PlacingWay;
}

/** How the two marks sit on the robot. */
export interface Marks {
  noseToTailM: number;
  /** From the nose back to the axle, about which a robot turns: its place is that of the axle's middle. */
  noseToAxleM: number;
}

/** What is said of one coordinate of the start. */
export interface Placed {
  mean: number;
  low95: number;
  high95: number;
  scatter: Scatter;
}

/** The placings of one person in one way. */
export interface PlacingGroup {
  person: string;
  way: PlacingWay;
  n: number;
  /** Single placings off the plan, in the frame of the start. */
  poses: Pose[];
  along: Placed;
  across: Placed;
  heading: Placed;
  /** Across the way, after one metre of driving straight from there: what it costs. */
  afterOneMetre: Placed;
}

/**
 * The pose of the axle's middle, by where nose and tail stand.
 *
 * @returns null where the two are further apart across than on the robot: one of them is read wrong
 */
export function poseOnGrid(
  { noseAlongM, noseAcrossM, tailAcrossM }: NoseAndTail,
  { noseToTailM, noseToAxleM }: Marks,
): Pose | null {
  const share = (noseAcrossM - tailAcrossM) / noseToTailM;
  if (!(Math.abs(share) < 1)) return null;
  const headingRad = Math.asin(share);
  return {
    xM: noseAlongM - noseToAxleM * Math.cos(headingRad),
    yM: noseAcrossM - noseToAxleM * share,
    headingRad,
  };
}

/** Where nose and tail of a robot stand that is placed so: the other way round. */
export const noseAndTailAt = (
  { xM, yM, headingRad }: Pose,
  { noseToTailM, noseToAxleM }: Marks,
): NoseAndTail => ({
  noseAlongM: xM + noseToAxleM * Math.cos(headingRad),
  noseAcrossM: yM + noseToAxleM * Math.sin(headingRad),
  tailAcrossM: yM - (noseToTailM - noseToAxleM) * Math.sin(headingRad),
});

/** How far across its way a robot stands that drove a metre straight ahead from there. */
export const acrossAfterOneMetre = ({ yM, headingRad }: Pose): number => yM + Math.sin(headingRad);

const ONE_MM = 0.001;

/** What somebody reads off a grid of millimetres of a robot that stands there. */
export function readOffGrid(pose: Pose, marks: Marks): NoseAndTail {
  const { noseAlongM, noseAcrossM, tailAcrossM } = noseAndTailAt(pose, marks);
  const toMillimetre = (metres: number) => Math.round(metres / ONE_MM) * ONE_MM;
  return {
    noseAlongM: toMillimetre(noseAlongM),
    noseAcrossM: toMillimetre(noseAcrossM),
    tailAcrossM: toMillimetre(tailAcrossM),
  };
}

/** The step of one reading that would hide as much as these, each weighed so, do together. */
const stepTogether = (weights: readonly number[], stepM: number): number =>
  hiddenByRounding(
    weights,
    weights.map((_, i) => String(i)),
    weights.map(() => stepM),
  ) / hiddenByRounding([1], ['0'], [1]);

function placedOf(values: readonly number[], step: number): Placed {
  const half =
    roundedFit(
      values.map(() => [1]),
      values,
      step,
    )?.halfWidth95([1]) ?? Infinity;
  const middle = mean(values);
  return {
    mean: middle,
    low95: middle - half,
    high95: middle + half,
    scatter: scatterInterval(values, step),
  };
}

/**
 * How exactly a robot is placed, by each person in each way: the mean of its start pose and the scatter of single
 * placings, with 95 % intervals that hold what rounding can hide.
 *
 * Heading and place follow from where two marks stand: sin(heading) = (nose − tail) across / their distance.
 *
 * Source: the mean by Student's t, the scatter by χ² (ISO 9283 calls them pose accuracy and repeatability).
 * @param planned where nose and tail would stand if it were placed as planned; without it only the scatter tells
 */
export function placing(
  trials: readonly PlacingTrial[],
  marks: Marks,
  planned: NoseAndTail | null,
): PlacingGroup[] {
  const stepM = floorStepM(
    trials.flatMap(({ noseAlongM, noseAcrossM, tailAcrossM }) => [
      noseAlongM,
      noseAcrossM,
      tailAcrossM,
    ]),
  );
  const from = (planned && poseOnGrid(planned, marks)) ?? { xM: 0, yM: 0, headingRad: 0 };
  const axle = marks.noseToAxleM / marks.noseToTailM;
  const perM = 1 / marks.noseToTailM;
  const keys = [...new Set(trials.map(({ person, way }) => JSON.stringify([person, way])))];
  return keys.flatMap((key) => {
    const some = trials.filter(({ person, way }) => JSON.stringify([person, way]) === key);
    const poses = some
      .flatMap((trial) => poseOnGrid(trial, marks) ?? [])
      .map(({ xM, yM, headingRad }) => ({
        xM: xM - from.xM,
        yM: yM - from.yM,
        headingRad: headingRad - from.headingRad,
      }));
    const [first] = some;
    if (first === undefined || poses.length === 0) return [];
    const of = (value: (pose: Pose) => number, weights: readonly number[]) =>
      placedOf(poses.map(value), stepTogether(weights, stepM));
    return {
      person: first.person,
      way: first.way,
      n: poses.length,
      poses,
      along: of(({ xM }) => xM, [1]),
      across: of(({ yM }) => yM, [1 - axle, axle]),
      heading: of(({ headingRad }) => headingRad, [perM, -perM]),
      afterOneMetre: of(acrossAfterOneMetre, [1 - axle + perM, axle - perM]),
    };
  });
}

/** The placings of whoever placed it last, in that way; null where there are none. */
export function lastGroup(
  trials: readonly Pick<PlacingTrial, 'person' | 'way'>[],
  groups: readonly PlacingGroup[],
): PlacingGroup | null {
  const last = trials.at(-1);
  const own = groups.find(({ person, way }) => person === last?.person && way === last.way);
  return own ?? groups[0] ?? null;
}
