import { angleStepRad, COARSEST_PROTRACTOR_RAD, floorStepM } from '../stats/instrumentStep';
import type { SquareLaps } from './squareFit';

/** The steps in which returns of laps were read: places on the floor, headings by a protractor or by eye. */
export function lapSteps({ cw, ccw, readToM }: SquareLaps): {
  positionM: number;
  headingRad: number;
} {
  const all = [...cw, ...ccw];
  const headings = all.map(({ headingRad }) => headingRad);
  return {
    positionM: floorStepM(
      all.flatMap(({ xM, yM }) => [xM, yM]),
      readToM,
    ),
    headingRad: angleStepRad(headings, COARSEST_PROTRACTOR_RAD),
  };
}
