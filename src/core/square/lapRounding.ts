import type { RandomStream } from '../simulate/random';
import { angleStepRad, COARSEST_PROTRACTOR_RAD, floorStepM } from '../stats/instrumentStep';
import { sampleSd } from '../stats/moments';
import { leastScatter, shareHiddenByRounding } from '../stats/roundedFit';
import type { SquareLaps } from './squareFit';
import type { LapReturn } from './squarePath';

/** How one kind of figure was read: what all laps of a direction may share, and what each may have of its own, unseen. */
interface Rounding {
  shared: number;
  own: number;
}

function roundingOf(values: readonly number[], step: number): Rounding {
  const sd = values.length > 1 ? sampleSd(values) : 0;
  return {
    shared: step * Math.sqrt(shareHiddenByRounding(sd, step)),
    own: sd < leastScatter(step) ? leastScatter(step) : 0,
  };
}

/** Laps of one direction, as they may have been. */
function drawnFrom(
  laps: readonly LapReturn[],
  stepM: number,
  stepRad: number,
): (some: readonly LapReturn[], random: RandomStream) => LapReturn[] {
  const of = (value: (lap: LapReturn) => number, step: number) => roundingOf(laps.map(value), step);
  const x = of(({ xM }) => xM, stepM);
  const y = of(({ yM }) => yM, stepM);
  const heading = of(({ headingRad }) => headingRad, stepRad);
  return (some, random) => {
    const offM = x.shared * (random.uniform() - 0.5);
    const besideM = y.shared * (random.uniform() - 0.5);
    const turnedRad = heading.shared * (random.uniform() - 0.5);
    return some.map(({ xM, yM, headingRad }) => ({
      xM: xM + offM + x.own * random.normal(),
      yM: yM + besideM + y.own * random.normal(),
      headingRad: headingRad + turnedRad + heading.own * random.normal(),
    }));
  };
}

/**
 * Laps as they may have been before they were read off, by what a tape and a protractor hide in their steps: laps of one
 * direction that agree share an error of up to half a step.
 *
 * @returns draws such laps
 */
export function lapRounding({
  cw,
  ccw,
}: SquareLaps): (laps: SquareLaps, random: RandomStream) => SquareLaps {
  const all = [...cw, ...ccw];
  const stepM = floorStepM(all.flatMap(({ xM, yM }) => [xM, yM]));
  const headings = all.map(({ headingRad }) => headingRad);
  const stepRad = angleStepRad(headings, COARSEST_PROTRACTOR_RAD);
  const [right, left] = [drawnFrom(cw, stepM, stepRad), drawnFrom(ccw, stepM, stepRad)];
  return (laps, random) => ({
    ...laps,
    cw: right(laps.cw, random),
    ccw: left(laps.ccw, random),
  });
}
